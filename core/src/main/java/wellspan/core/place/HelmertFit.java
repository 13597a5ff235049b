package wellspan.core.place;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.apache.commons.statistics.distribution.TDistribution;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/**
 * A fit of source coordinates to shared ones: translation, rotation, plan scale (or scale fixed to
 * 1) and a height shift, by least squares (four-parameter Helmert transformation; closed solution
 * about the centroids).
 *
 * @param similarity from source to shared coordinates
 * @param residuals fitted minus known of every pair, also of those not used, in the order given
 * @param planDeviation standard deviation of a coordinate in plan, √(Σv²/(2n−u)), metres; NaN
 *     without redundancy
 * @param heightDeviation standard deviation of a height, metres; NaN without redundancy
 * @param scaleFree whether the scale was fitted
 */
public record HelmertFit(
    Similarity similarity,
    List<Residual> residuals,
    double planDeviation,
    double heightDeviation,
    boolean scaleFree) {

  /** Probability of marking a good point by mistake. */
  private static final double SIGNIFICANCE = 0.001;

  /** Residuals below this are never gross errors, metres: they are rounding. */
  private static final double NEGLIGIBLE = 5e-4;

  /**
   * @param gross whether the point is out of line with the others (externally studentised residual
   *     in plan or height beyond Student's t at 0.1 %, and above half a millimetre)
   */
  public record Residual(PointPair pair, double east, double north, double height, boolean gross) {
    public double plan() {
      return Math.hypot(east, north);
    }
  }

  /** Point pairs that no fit can be made of; the message is a sentence. */
  public static final class NoFitException extends Exception {
    NoFitException(String message) {
      super(message);
    }
  }

  /**
   * @param scaleFree false to hold the scale at 1
   * @throws NoFitException if fewer than two pairs are used, a number is not finite, or the points
   *     of either side coincide
   */
  public static HelmertFit solve(List<PointPair> pairs, boolean scaleFree) throws NoFitException {
    List<PointPair> used = pairs.stream().filter(PointPair::used).toList();
    check(used);
    Similarity s = similarity(used, scaleFree);
    double planSum = 0;
    double heightSum = 0;
    int heights = 0;
    for (PointPair p : used) {
      Position d = difference(s, p);
      planSum += d.east() * d.east() + d.north() * d.north();
      if (p.hasHeights()) {
        heightSum += d.level() * d.level();
        heights++;
      }
    }
    int planFreedom = 2 * used.size() - (scaleFree ? 4 : 3);
    List<Residual> residuals = new ArrayList<>();
    for (PointPair p : pairs) {
      Position d = difference(s, p);
      boolean gross =
          p.used()
              ? grossInPlan(used, p, d, planSum, planFreedom, scaleFree)
                  || grossInHeight(d, heightSum, heights)
              : false;
      residuals.add(new Residual(p, d.east(), d.north(), d.level(), gross));
    }
    return new HelmertFit(
        s,
        List.copyOf(residuals),
        planFreedom > 0 ? Math.sqrt(planSum / planFreedom) : Double.NaN,
        heights > 1 ? Math.sqrt(heightSum / (heights - 1)) : Double.NaN,
        scaleFree);
  }

  private static void check(List<PointPair> used) throws NoFitException {
    if (used.size() < 2) {
      throw new NoFitException(
          "A fit needs two point pairs or more; "
              + (used.isEmpty() ? "none is" : "one is")
              + " switched on.");
    }
    for (PointPair p : used) {
      if (!Double.isFinite(
          p.source().east() + p.source().north() + p.shared().east() + p.shared().north())) {
        throw new NoFitException("The pair " + p.name() + " has a coordinate that is no number.");
      }
    }
    coincident(used.stream().map(PointPair::source).toList(), "source");
    coincident(used.stream().map(PointPair::shared).toList(), "shared");
  }

  private static void coincident(List<Position> points, String side) throws NoFitException {
    Position c = centroid(points);
    double spread = points.stream().mapToDouble(c::planDistanceTo).max().orElse(0);
    if (!(spread > 1e-3)) {
      throw new NoFitException(
          String.format(
              Locale.ROOT,
              "All pairs have the same %s position (within %.1f mm), so rotation cannot be found. Choose points that lie apart.",
              side,
              1000 * spread));
    }
  }

  private static Position centroid(List<Position> points) {
    Position first = points.getFirst();
    double e = 0, n = 0;
    for (Position p : points) {
      e += p.east() - first.east();
      n += p.north() - first.north();
    }
    return new Position(
        first.east() + e / points.size(), first.north() + n / points.size(), Double.NaN);
  }

  private static Similarity similarity(List<PointPair> used, boolean scaleFree) {
    Position a = centroid(used.stream().map(PointPair::source).toList());
    Position b = centroid(used.stream().map(PointPair::shared).toList());
    double cosines = 0, sines = 0, squares = 0, shift = 0;
    int heights = 0;
    for (PointPair p : used) {
      double x = p.source().east() - a.east(), y = p.source().north() - a.north();
      double u = p.shared().east() - b.east(), v = p.shared().north() - b.north();
      cosines += x * u + y * v;
      sines += x * v - y * u;
      squares += x * x + y * y;
      if (p.hasHeights()) {
        shift += p.shared().level() - p.source().level();
        heights++;
      }
    }
    double scale = scaleFree ? Math.hypot(cosines, sines) / squares : 1;
    return new Similarity(
        new Position(a.east(), a.north(), 0),
        new Position(b.east(), b.north(), heights == 0 ? 0 : shift / heights),
        Math.atan2(sines, cosines),
        scale);
  }

  private static Position difference(Similarity s, PointPair p) {
    Position q = s.apply(p.source());
    return new Position(
        q.east() - p.shared().east(),
        q.north() - p.shared().north(),
        q.level() - p.shared().level());
  }

  /**
   * Data snooping after Baarda with the deviation estimated without the point itself: redundancy of
   * a coordinate is 1 − 1/n − d²/Σd² with free scale; with fixed scale the last term counts half of
   * it in the mean of both coordinates.
   */
  private static boolean grossInPlan(
      List<PointPair> used, PointPair p, Position d, double sum, int freedom, boolean scaleFree) {
    int left = freedom - 2;
    if (left < 1 || Math.hypot(d.east(), d.north()) < NEGLIGIBLE) {
      return false;
    }
    Position c = centroid(used.stream().map(PointPair::source).toList());
    double squares = used.stream().mapToDouble(q -> sq(c.planDistanceTo(q.source()))).sum();
    double lever = sq(c.planDistanceTo(p.source())) / squares;
    double redundancy = 1 - 1.0 / used.size() - (scaleFree ? lever : lever / 2);
    return studentised(Math.hypot(d.east(), d.north()) / Math.sqrt(2), redundancy, sum, 2, left);
  }

  private static boolean grossInHeight(Position d, double sum, int heights) {
    int left = heights - 2;
    if (left < 1 || !(Math.abs(d.level()) >= NEGLIGIBLE)) {
      return false;
    }
    return studentised(Math.abs(d.level()), 1 - 1.0 / heights, sum, 1, left);
  }

  private static boolean studentised(
      double residual, double redundancy, double sum, int coordinates, int left) {
    if (!(redundancy > 1e-9)) {
      return false;
    }
    double without = Math.max(0, sum - coordinates * residual * residual / redundancy);
    double deviation = Math.max(Math.sqrt(without / left), NEGLIGIBLE / 10);
    double limit = TDistribution.of(left).inverseCumulativeProbability(1 - SIGNIFICANCE / 2);
    return residual / Math.sqrt(redundancy) > limit * deviation;
  }

  private static double sq(double x) {
    return x * x;
  }
}
