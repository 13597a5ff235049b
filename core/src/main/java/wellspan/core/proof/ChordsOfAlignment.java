package wellspan.core.proof;

import java.util.List;
import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentChords;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.UnbrokenStretches;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.proof.Difference.What;
import wellspan.core.shape.Shape;

/**
 * Compares an alignment with the line of points that stands for it where a format has no
 * alignments. Each point is looked up on the alignment itself: it must lie on it, in order, from
 * end to end of its profile, no two may be farther apart than a metre, and no chord farther from it
 * than was asked for.
 */
final class ChordsOfAlignment {
  private static final double WIDEST = 1 + 1e-6;

  /** So near along the line a foot is that of a gap, metres. */
  private static final double NEAR = 1e-6;

  /** So far from a gap a place is on one side of it, a part of what may differ. */
  private static final double ASIDE = 0.1;

  private ChordsOfAlignment() {}

  static ItemComparison compare(
      Item sent, Shape.Axis axis, List<Polyline> arrived, double tolerance) {
    Alignment a = axis.alignment();
    double start = a.profile().map(p -> Math.max(0, p.start())).orElse(0.0);
    double end = a.profile().map(p -> Math.min(a.length(), p.end())).orElse(a.length());
    if (arrived.size() != 1) {
      return result(
          sent,
          0,
          Double.POSITIVE_INFINITY,
          new double[0],
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              sent.name() + " arrived in " + arrived.size() + " lines instead of one."));
    }
    boolean jumps = a.largestGap() > tolerance;
    UnbrokenStretches whole = new UnbrokenStretches(a, tolerance, ASIDE * tolerance);
    Polyline line = arrived.getFirst();
    double[] off = new double[line.pointCount()];
    double reached = start;
    double widest = 0;
    double beside = 0;
    for (int i = 0; i < off.length; i++) {
      Position p = line.point(i);
      double at = i == 0 ? start : i == off.length - 1 ? end : foot(whole, a.at(reached), p, end);
      widest = i == 0 ? 0 : Math.max(widest, at - reached);
      if (i > 0 && at > reached && !(jumps && spansGap(a, reached, at, tolerance))) {
        beside =
            Math.max(
                beside, AlignmentChords.off(a.at(reached), a.at((reached + at) / 2), a.at(at)));
      }
      if (i > 0 && at <= reached) {
        widest = Double.POSITIVE_INFINITY; // it turns back
      }
      reached = at;
      off[i] = off(p, a.at(at));
    }
    int worst = MeshComparison.worst(off);
    double max = off[worst];
    if (!(max <= tolerance)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
                  What.GEOMETRY,
                  sent.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: point %d of the line lies %.4f mm from the alignment.",
                      sent.name(),
                      worst + 1,
                      1000 * max))
              .at(line.point(worst))
              .by(max));
    }
    if (!(widest <= WIDEST)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
              What.GEOMETRY,
              sent.name(),
              String.format(
                  Locale.ROOT,
                  "%s: the points of the line are up to %.3f m apart, so it leaves the alignment between them.",
                  sent.name(),
                  widest)));
    }
    if (!(beside <= axis.chord() + tolerance)) {
      return result(
          sent,
          off.length,
          max,
          off,
          Difference.of(
                  What.GEOMETRY,
                  sent.name(),
                  String.format(
                      Locale.ROOT,
                      "%s: between its points the line lies up to %.2f mm beside the alignment.",
                      sent.name(),
                      1000 * beside))
              .by(beside));
    }
    return result(sent, off.length, max, off);
  }

  /**
   * Whether there is a gap from one distance on and before another: a chord crosses it straight.
   */
  private static boolean spansGap(Alignment a, double from, double to, double tolerance) {
    double reached = 0;
    for (int i = 0; i + 1 < a.elements().size() && reached < to; i++) {
      PlanPoint end = a.elements().get(i).end();
      PlanPoint start = a.elements().get(i + 1).start();
      reached += a.elements().get(i).length();
      if (reached > from - NEAR
          && reached < to + NEAR
          && Math.hypot(end.east() - start.east(), end.north() - start.north()) > tolerance) {
        return true;
      }
    }
    return false;
  }

  private static double off(Position p, AlignmentPoint q) {
    double plan = Math.hypot(p.east() - q.east(), p.north() - q.north());
    return Double.isNaN(q.level()) ? plan : Math.hypot(plan, p.level() - q.level());
  }

  private static ItemComparison result(
      Item sent, int points, double max, double[] off, Difference... found) {
    return new ItemComparison(
        new Proof.ItemProof(
            sent.name(), sent.kind().title(), points + " points", max, found.length == 0, off),
        List.of(found));
  }

  /** The distance along of the place beside a point, looked for from the last one on. */
  private static double foot(
      UnbrokenStretches whole, AlignmentPoint before, Position p, double end) {
    double ahead = Math.hypot(p.east() - before.east(), p.north() - before.north());
    double from = before.distance();
    return whole.foot(p.east(), p.north(), from + ahead, ahead + WIDEST, from, end);
  }
}
