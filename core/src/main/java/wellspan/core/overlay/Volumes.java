package wellspan.core.overlay;

import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;

/**
 * Earth between an existing and a proposed surface, exact over the area that both cover. To measure
 * within a boundary clip one of them first.
 *
 * @param cut where the proposed surface lies lower, cubic metres in the ground
 * @param fill where it lies higher, cubic metres in place
 * @param cutArea and {@code fillArea} in plan, square metres
 * @param area that both cover, square metres
 */
public record Volumes(double cut, double fill, double cutArea, double fillArea, double area) {

  /**
   * How earth changes its volume.
   *
   * @param swell loose volume of a cubic metre cut
   * @param compaction cubic metres in the ground that make one of compacted fill
   */
  public record Factors(double swell, double compaction) {
    public static final Factors NONE = new Factors(1, 1);

    /**
     * @throws IllegalArgumentException unless both are positive
     */
    public Factors {
      if (!(swell > 0) || !(compaction > 0)) {
        throw new IllegalArgumentException("Swell and compaction must be greater than zero.");
      }
    }
  }

  /**
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Volumes between(Mesh existing, Mesh proposed, Progress progress) {
    double[] s = new double[5];
    Overlay.run(
        existing,
        proposed,
        progress,
        (n, e, h, first, second, a) -> {
          double d0 = second[0] - first[0];
          for (int i = 2; i < n; i++) {
            double part =
                ((e[i - 1] - e[0]) * (h[i] - h[0]) - (h[i - 1] - h[0]) * (e[i] - e[0])) / 2;
            double d1 = second[i - 1] - first[i - 1], d2 = second[i] - first[i];
            s[0] += TriangleIntegrals.positive(part, -d0, -d1, -d2);
            s[1] += TriangleIntegrals.positive(part, d0, d1, d2);
            s[2] += TriangleIntegrals.areaBelow(0, part, d0, d1, d2);
            s[3] += TriangleIntegrals.areaBelow(0, part, -d0, -d1, -d2);
            s[4] += part;
          }
        });
    return new Volumes(s[0], s[1], s[2], s[3], s[4]);
  }

  /** Volume to carry away (positive) or to bring (negative), in the ground, cubic metres. */
  public double surplus(Factors f) {
    return cut - fill * f.compaction();
  }

  /** Volume of the cut on the lorry, cubic metres. */
  public double loose(Factors f) {
    return cut * f.swell();
  }
}
