package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Clothoids end to end that stand for a transition over its tangent where a receiver has no curve
 * of its law. Each begins where and in the direction in which the one before ends, the first has no
 * curvature at the flat end, and all but the first end on the transition in its direction. Between
 * the ends they lie beside it by about the fourth power of their length, so few are enough.
 *
 * @param pieces from the transition's start to its end
 * @param beside how far from the transition the pieces get at most, at the same distance from the
 *     start, metres; looked at in {@value #LOOKS} places of each piece
 */
public record ClothoidPieces(List<PlanElement.Spiral> pieces, double beside) {
  /** A tenth of a millimetre: finer than anybody sets out or builds. Metres. */
  public static final double FINE = 1e-4;

  private static final int MOST = 64;
  private static final int LOOKS = 8;
  private static final int STEPS = 30;

  public ClothoidPieces {
    pieces = List.copyOf(pieces);
  }

  /**
   * As many as it takes to stay within {@link #FINE}, at most {@value #MOST}.
   *
   * @param s a transition with a flat end
   */
  public static ClothoidPieces of(PlanElement.Spiral s) {
    boolean fromFlat = Math.abs(s.startCurvature()) <= Math.abs(s.endCurvature());
    PlanElement.Spiral opening = fromFlat ? s : ReversedAlignment.reversed(s);
    for (int n = 2; ; n *= 2) {
      List<PlanElement.Spiral> pieces = laid(opening, n);
      double beside = beside(opening, pieces);
      if (beside <= FINE || n >= MOST) {
        return new ClothoidPieces(
            fromFlat
                ? pieces
                : pieces.reversed().stream().map(ReversedAlignment::reversed).toList(),
            beside);
      }
    }
  }

  private static List<PlanElement.Spiral> laid(PlanElement.Spiral s, int n) {
    List<PlanElement.Spiral> out = new ArrayList<>();
    double each = s.length() / n;
    PlanPoint at = s.start();
    for (int i = 0; i < n; i++) {
      PlanPoint to = s.at((i + 1) * each);
      double curvature = i == 0 ? 0 : s.curvatureAt(i * each);
      PlanElement.Spiral piece = fitted(at, to, curvature, each, i == 0);
      out.add(piece);
      at = piece.end();
    }
    return out;
  }

  /**
   * The clothoid from one point to another with both directions, by Newton's method for its length
   * and the curvature at its start; that at its end follows, as the mean of both turns it. One
   * without curvature at its start has its length only to choose, and reaches as far as the point.
   *
   * @param curvature near to that at its start
   * @param length near to that of it
   */
  private static PlanElement.Spiral fitted(
      PlanPoint at, PlanPoint to, double curvature, double length, boolean flat) {
    double turn = to.direction() - at.direction();
    double l = length;
    double k = curvature;
    double dl = 1e-6 * length;
    double dk = 1e-6 / length;
    for (int i = 0; i < STEPS; i++) {
      double[] miss = miss(at, to, turn, l, k);
      double[] longer = slope(miss, miss(at, to, turn, l + dl, k), dl);
      double[] bent = slope(miss, miss(at, to, turn, l, k + dk), dk);
      double whole = longer[0] * bent[1] - longer[1] * bent[0];
      double moreLength =
          flat ? -miss[0] / longer[0] : (miss[1] * bent[0] - miss[0] * bent[1]) / whole;
      double moreBend = flat ? 0 : (miss[0] * longer[1] - miss[1] * longer[0]) / whole;
      if (!(Math.abs(l + moreLength - length) < length / 2 && Double.isFinite(moreBend))) {
        return piece(at, turn, length, curvature); // it is looked at how far that lies beside
      }
      l += moreLength;
      k += moreBend;
      if (Math.abs(moreLength) <= 1e-13 * length && Math.abs(moreBend) * length <= 1e-13) {
        break;
      }
    }
    return piece(at, turn, l, k);
  }

  private static PlanElement.Spiral piece(PlanPoint at, double turn, double length, double k) {
    return new PlanElement.Spiral(at, length, k, 2 * turn / length - k, SpiralLaw.CLOTHOID);
  }

  /** How far from the point a clothoid ends, along and across the direction at its start. */
  private static double[] miss(PlanPoint at, PlanPoint to, double turn, double l, double k) {
    PlanPoint end = piece(at, turn, l, k).end();
    double e = end.east() - to.east();
    double n = end.north() - to.north();
    double c = Math.cos(at.direction());
    double s = Math.sin(at.direction());
    return new double[] {e * c + n * s, n * c - e * s};
  }

  private static double[] slope(double[] from, double[] to, double over) {
    return new double[] {(to[0] - from[0]) / over, (to[1] - from[1]) / over};
  }

  private static double beside(PlanElement.Spiral s, List<PlanElement.Spiral> pieces) {
    Alignment laid =
        new Alignment(
            "", List.copyOf(pieces), new Chainages(0, List.of()), Optional.<Profile>empty());
    double most = Math.abs(s.length() - laid.length());
    int looks = LOOKS * pieces.size();
    for (int i = 0; i <= looks; i++) {
      PlanPoint p = s.at(s.length() * i / looks);
      AlignmentPoint q = laid.at(s.length() * i / looks);
      most = Math.max(most, Math.hypot(p.east() - q.east(), p.north() - q.north()));
    }
    return most;
  }
}
