package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.road.SectionedBody;
import wellspan.core.shape.Curved;
import wellspan.core.solid.Loft;

/**
 * A section carried along a line, upright, with flat ends and mitred corners.
 *
 * @see SweepPath
 */
public final class SweptSection implements Curved {
  private final LineOfWork line;
  private final String name;
  private final double[] ring;
  private final double fall;
  private final double reach;

  /**
   * @param name of the section
   * @param ring x to the right and y upwards in turn, metres
   * @param fall how much it rises to the right, metres for each metre
   */
  SweptSection(LineOfWork line, String name, double[] ring, double fall) {
    this.name = name;
    this.ring = ring.clone();
    this.fall = fall;
    double furthest = 0;
    for (int i = 0; i < ring.length; i += 2) {
      furthest = Math.max(furthest, Math.abs(ring[i]));
    }
    reach = furthest;
    this.line = line.withLevels(reach);
  }

  /**
   * @throws IllegalArgumentException with the place, if levels are missing or the section is wider
   *     than a bend
   */
  @Override
  public Mesh mesh(double chord) {
    SweepPath along = line.path(reach, chord);
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
    return OptionalDouble.of(line.to() - line.from());
  }

  @Override
  public Optional<Alignment> follows() {
    return line.shape().follows();
  }

  /**
   * The same as outlines along an alignment; empty where it is carried along a string, or stands on
   * a ground whose levels no profile has.
   */
  public Optional<SectionedBody> sectioned() {
    if (line.ground() != null || follows().isEmpty()) {
      return Optional.empty();
    }
    double[] offset = new double[ring.length / 2];
    double[] above = new double[ring.length / 2];
    for (int i = 0; i < offset.length; i++) {
      offset[i] = ring[2 * i];
      above[i] = ring[2 * i + 1] + fall * offset[i];
    }
    return SectionedBody.constant(follows().get(), offset, above, line.from(), line.to());
  }

  @Override
  public boolean reaches(double from, double to) {
    return line.between(from, to).isPresent();
  }

  @Override
  public Optional<SweptSection> between(double from, double to) {
    return line.between(from, to).map(part -> new SweptSection(part, name, ring, fall));
  }

  @Override
  public List<PropertySet> facts() {
    return facts(mesh(USUAL_CHORD).volume());
  }

  /**
   * @param volume what its triangles enclose, cubic metres
   */
  List<PropertySet> facts(double volume) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Along", new PropertyValue.Label(line.name()));
    v.put("Section", new PropertyValue.Label(name));
    v.put("StartChainage", new PropertyValue.Length(line.chainage(line.from())));
    v.put("EndChainage", new PropertyValue.Length(line.chainage(line.to())));
    v.put("Length", new PropertyValue.Length(line.to() - line.from()));
    v.put("SectionArea", new PropertyValue.Area(area(ring)));
    v.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", volume));
    return List.of(new PropertySet("Wellspan_Sweep", v));
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
