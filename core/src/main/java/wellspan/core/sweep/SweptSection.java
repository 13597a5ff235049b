package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.function.DoubleFunction;
import wellspan.core.geom.Mesh;
import wellspan.core.shape.Curved;
import wellspan.core.solid.Loft;

/**
 * A section carried along a line, upright, with flat ends and mitred corners.
 *
 * @see SweepPath
 */
final class SweptSection implements Curved {
  private final double[] ring;
  private final double fall;
  private final DoubleFunction<SweepPath> path;

  /**
   * @param ring x to the right and y upwards in turn, metres
   * @param fall how much it rises to the right, metres for each metre
   * @param path for a chord tolerance
   */
  SweptSection(double[] ring, double fall, DoubleFunction<SweepPath> path) {
    this.ring = ring.clone();
    this.fall = fall;
    this.path = path;
  }

  /**
   * @throws IllegalArgumentException with the place, if levels are missing or the section is wider
   *     than a bend
   */
  @Override
  public Mesh mesh(double chord) {
    SweepPath along = path.apply(chord);
    List<List<double[]>> sections = new ArrayList<>();
    double[] last = null;
    List<SweepPath.Station> stations = along.stations();
    for (int i = 0; i < stations.size(); i++) {
      double[] here = at(stations.get(i));
      if (last != null) {
        requireForward(last, here, stations.get(i - 1), stations.get(i));
      }
      sections.add(List.of(here));
      last = here;
    }
    if (along.ring()) {
      requireForward(last, sections.getFirst().getFirst(), stations.getLast(), stations.getFirst());
    }
    return Loft.body(sections, along.ring());
  }

  private double[] at(SweepPath.Station s) {
    if (!Double.isFinite(s.level())) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "there is no level at %.3f m of the line. Choose a ground that lies under all of it, or a line with levels.",
              s.distance()));
    }
    double[] out = new double[3 * ring.length / 2];
    for (int i = 0; i < ring.length / 2; i++) {
      double x = ring[2 * i];
      out[3 * i] = s.east() + x * s.right()[0];
      out[3 * i + 1] = s.north() + x * s.right()[1];
      out[3 * i + 2] = s.level() + ring[2 * i + 1] + fall * x;
    }
    return out;
  }

  /** Every corner goes forward from section to section; where one does not the body would fold. */
  private static void requireForward(
      double[] a, double[] b, SweepPath.Station from, SweepPath.Station to) {
    double e = to.east() - from.east();
    double n = to.north() - from.north();
    for (int i = 0; i < a.length; i += 3) {
      if (!((b[i] - a[i]) * e + (b[i + 1] - a[i + 1]) * n > 0)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "the section is wider than the bend at %.3f m of the line. Take a smaller offset, or end it before.",
                to.distance()));
      }
    }
  }

  @Override
  public OptionalDouble planLength() {
    List<SweepPath.Station> s = path.apply(USUAL_CHORD).stations();
    return OptionalDouble.of(s.getLast().distance() - s.getFirst().distance());
  }

  /** Area of the section, square metres. */
  static double area(double[] ring) {
    double twice = 0;
    int n = ring.length / 2;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      twice += ring[2 * i] * ring[2 * j + 1] - ring[2 * j] * ring[2 * i + 1];
    }
    return Math.abs(twice) / 2;
  }
}
