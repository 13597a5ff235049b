package wellspan.core.road;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;
import wellspan.core.shape.Curved;

/**
 * A part of a road: its outline carried along the alignment from section to section. Between
 * sections points run linear in distance along the curved axis, levels over the profile where there
 * is one. Where a section reaches beyond the centre of a curve it is cut where another place of the
 * axis is nearer.
 */
public final class CarriedSection implements Curved {
  /** Nodes and weights of Gauss and Legendre, five points. */
  private static final double[][] GAUSS = {
    {0, 0.5688888888888889},
    {-0.5384693101056831, 0.47862867049936647},
    {0.5384693101056831, 0.47862867049936647},
    {-0.906179845938664, 0.23692688505618908},
    {0.906179845938664, 0.23692688505618908}
  };

  private final RoadStations stations;
  private final List<List<SectionRing>> runs;
  private final boolean closed;

  /**
   * @param runs outlines of as many points each, rising; one list for each stretch
   */
  CarriedSection(RoadStations stations, List<List<SectionRing>> runs) {
    this.stations = stations;
    this.runs = runs.stream().map(List::copyOf).toList();
    closed = runs.getFirst().getFirst().closed();
    for (List<SectionRing> run : this.runs) {
      for (int i = 0; i + 1 < run.size(); i++) {
        stations.need(run.get(i), run.get(i + 1));
      }
    }
  }

  /** Whether its outlines enclose an area anywhere. */
  public boolean isSolid() {
    return closed && runs.stream().flatMap(List::stream).anyMatch(r -> !r.isFlat());
  }

  /** Distance along the axis of its first section, metres. */
  public double from() {
    return runs.getFirst().getFirst().distance();
  }

  /** Distance along the axis of its last section, metres. */
  public double to() {
    return runs.getLast().getLast().distance();
  }

  /** Length along the axis of all its stretches, metres. */
  public double length() {
    double sum = 0;
    for (List<SectionRing> run : runs) {
      sum += run.getLast().distance() - run.getFirst().distance();
    }
    return sum;
  }

  /** Whether a section reaches beyond the centre of a curve anywhere and is cut there. */
  public boolean isCutAtCentre() {
    for (List<SectionRing> run : runs) {
      for (int i = 0; i + 1 < run.size(); i++) {
        SectionRing a = run.get(i);
        SectionRing b = run.get(i + 1);
        for (double d : stations.between(a.distance(), b.distance(), USUAL_CHORD)) {
          if (reach(a.towards(b, d)).cuts()) {
            return true;
          }
        }
      }
    }
    return false;
  }

  /**
   * The outlines of one unbroken body that stands square to its axis and encloses an area
   * everywhere, levels over the profile where there is one; empty where it is none or is cut at a
   * centre.
   */
  public Optional<List<Outline>> sweep() {
    List<SectionRing> run = runs.getFirst();
    boolean whole = closed && runs.size() == 1 && run.size() > 1;
    if (!whole || run.stream().anyMatch(r -> r.isFlat() || r.skew() != 0) || isCutAtCentre()) {
      return Optional.empty();
    }
    List<Outline> out = new ArrayList<>();
    for (SectionRing r : run) {
      double level = stations.line().level(r.distance());
      double zero = Double.isFinite(level) ? level : 0;
      out.add(new Outline(r.distance(), r.offset().clone(), r.above(zero).level()));
    }
    boolean levels = Double.isFinite(stations.line().level(from()));
    return run.stream()
            .allMatch(r -> levels == Double.isFinite(stations.line().level(r.distance())))
        ? Optional.of(out)
        : Optional.empty();
  }

  /**
   * An outline of a sweep.
   *
   * @param distance from the start of the axis, metres
   * @param offset of each corner, positive to the right, metres
   * @param level of each corner, over the profile where there is one, metres
   */
  public record Outline(double distance, double[] offset, double[] level) {}

  /** Corners of the outlines it is given by. */
  double[] givenCorners() {
    return runs.stream()
        .flatMap(List::stream)
        .flatMapToDouble(r -> Arrays.stream(points(r)))
        .toArray();
  }

  /** How far a position lies from the nearest corner of the outline at a distance, metres. */
  double offCorner(double distance, Position p) {
    double[] xyz = points(at(runs.getFirst(), Math.clamp(distance, from(), to())));
    double best = Double.POSITIVE_INFINITY;
    for (int i = 0; i < xyz.length; i += 3) {
      double plan = Math.hypot(p.east() - xyz[i], p.north() - xyz[i + 1]);
      best = Math.min(best, Math.hypot(plan, p.level() - xyz[i + 2]));
    }
    return best;
  }

  /** The part between two distances along the axis; empty where it has none. */
  @Override
  public Optional<CarriedSection> between(double from, double to) {
    List<List<SectionRing>> cut = new ArrayList<>();
    for (List<SectionRing> run : runs) {
      double low = Math.max(from, run.getFirst().distance());
      double high = Math.min(to, run.getLast().distance());
      if (high - low < 1e-6) {
        continue;
      }
      List<SectionRing> part = new ArrayList<>();
      part.add(at(run, low));
      run.stream()
          .filter(r -> r.distance() > low + 1e-6 && r.distance() < high - 1e-6)
          .forEach(part::add);
      part.add(at(run, high));
      cut.add(part);
    }
    return cut.isEmpty()
        ? Optional.empty()
        : Optional.of(new CarriedSection(stations.within(from, to), cut));
  }

  /**
   * The same along the moved axis: offsets with the scale, levels with the shift.
   *
   * @param there its axis moved alike
   */
  CarriedSection moved(Similarity how, Alignment there) {
    return new CarriedSection(
        stations.moved(how, new RoadLine(there)),
        runs.stream().map(run -> run.stream().map(r -> r.moved(how)).toList()).toList());
  }

  /** Its outlines, rising; a list for each stretch. */
  List<List<SectionRing>> runs() {
    return runs;
  }

  /** The outline of a stretch at a distance within it. */
  SectionRing at(List<SectionRing> run, double distance) {
    int i = 0;
    while (i + 2 < run.size() && run.get(i + 1).distance() < distance) {
      i++;
    }
    return between(run.get(i), run.get(i + 1), distance);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(length());
  }

  @Override
  public Mesh mesh(double chord) {
    MeshRows rows = new MeshRows(closed);
    for (List<SectionRing> run : runs) {
      rows.open();
      for (int i = 0; i + 1 < run.size(); i++) {
        SectionRing a = run.get(i);
        SectionRing b = run.get(i + 1);
        List<Double> at = stations.between(a.distance(), b.distance(), chord);
        for (int k = i == 0 ? 0 : 1; k < at.size(); k++) {
          SectionRing r = reached(between(a, b, at.get(k)));
          rows.row(r, points(r), k);
        }
      }
      rows.close();
    }
    return rows.mesh();
  }

  /** The outline at a distance between two sections, levels over the profile. */
  private SectionRing between(SectionRing a, SectionRing b, double at) {
    double za = stations.line().level(a.distance());
    double zb = stations.line().level(b.distance());
    double z = stations.line().level(at);
    if (Double.isFinite(za) && Double.isFinite(zb) && Double.isFinite(z)) {
      return a.above(za).towards(b.above(zb), at).above(-z);
    }
    return a.towards(b, at);
  }

  /**
   * How far an outline goes to both sides and how far it can go.
   *
   * @param cuts whether it goes further
   */
  private record Reach(double left, double right, boolean cuts) {}

  private Reach reach(SectionRing r) {
    double[] e = extent(r);
    double left = Math.min(0, e[0]);
    double right = Math.max(0, e[1]);
    double l = left < 0 ? stations.line().reach(r.distance(), left) : 0;
    double q = right > 0 ? stations.line().reach(r.distance(), right) : 0;
    return new Reach(l, q, l > left || q < right);
  }

  /** The outline cut where it reaches beyond the centre of a curve. */
  private SectionRing reached(SectionRing r) {
    Reach reach = reach(r);
    return reach.cuts ? RingCut.between(r, reach.left, reach.right) : r;
  }

  private double[] points(SectionRing r) {
    AlignmentPoint p = stations.line().at(r.distance());
    double right = p.direction() - Math.PI / 2 - r.skew();
    double c = Math.cos(right);
    double s = Math.sin(right);
    double[] xyz = new double[3 * r.size()];
    for (int i = 0; i < r.size(); i++) {
      xyz[3 * i] = p.east() + r.offset()[i] * c;
      xyz[3 * i + 1] = p.north() + r.offset()[i] * s;
      xyz[3 * i + 2] = r.level()[i];
    }
    return xyz;
  }

  /**
   * Volume by ∫(A + κM)ds, A the area of the section and M its moment about the axis, cubic metres;
   * exact for arcs and clothoids where no section is skewed or cut. For skewed sections that of
   * fine triangles.
   */
  public double exactVolume() {
    if (!closed) {
      return 0;
    }
    boolean skewed = runs.stream().flatMap(List::stream).anyMatch(r -> r.skew() != 0);
    if (skewed) {
      return mesh(1e-4).volume();
    }
    double sum = 0;
    for (List<SectionRing> run : runs) {
      for (int i = 0; i + 1 < run.size(); i++) {
        SectionRing a = run.get(i);
        SectionRing b = run.get(i + 1);
        List<Double> ends = new ArrayList<>();
        ends.add(a.distance());
        ends.addAll(stations.line().breaksBetween(a.distance(), b.distance()));
        ends.add(b.distance());
        for (int k = 0; k + 1 < ends.size(); k++) {
          sum += integral(a, b, ends.get(k), ends.get(k + 1));
        }
      }
    }
    return sum;
  }

  private double integral(SectionRing a, SectionRing b, double from, double to) {
    int panels = 4;
    double half = (to - from) / panels / 2;
    double sum = 0;
    for (int p = 0; p < panels; p++) {
      double middle = from + (2 * p + 1) * half;
      for (double[] g : GAUSS) {
        double d = middle + half * g[0];
        SectionRing r = reached(a.towards(b, d));
        sum += half * g[1] * (r.area() + stations.line().curvature(d) * r.moment());
      }
    }
    return sum;
  }

  /** Area of the section, averaged over its length, square metres. */
  public double meanArea() {
    double sum = 0;
    for (List<SectionRing> run : runs) {
      for (int i = 0; i + 1 < run.size(); i++) {
        SectionRing a = run.get(i);
        SectionRing b = run.get(i + 1);
        double m = a.towards(b, (a.distance() + b.distance()) / 2).area();
        sum += (b.distance() - a.distance()) * (a.area() + 4 * m + b.area()) / 6;
      }
    }
    return length() > 0 ? sum / length() : 0;
  }

  /** Width of the section, averaged over its length, metres. */
  public double meanWidth() {
    double sum = 0;
    for (List<SectionRing> run : runs) {
      for (int i = 0; i + 1 < run.size(); i++) {
        SectionRing a = run.get(i);
        SectionRing b = run.get(i + 1);
        sum += (b.distance() - a.distance()) * (width(a) + width(b)) / 2;
      }
    }
    return length() > 0 ? sum / length() : 0;
  }

  private static double width(SectionRing r) {
    double[] e = extent(r);
    return e[1] - e[0];
  }

  /**
   * Codes of the outermost points on the left and on the right of the first section, upper ones.
   */
  public List<String> between() {
    SectionRing r = runs.getFirst().getFirst();
    int left = 0;
    int right = 0;
    for (int i = 1; i < r.size(); i++) {
      left = furtherOut(r, i, left, -1) ? i : left;
      right = furtherOut(r, i, right, 1) ? i : right;
    }
    return List.of(r.code().get(left), r.code().get(right));
  }

  /** Further to one side, or as far and higher. */
  private static boolean furtherOut(SectionRing r, int i, int than, int side) {
    double by = side * (r.offset()[i] - r.offset()[than]);
    return by > 1e-9 || by > -1e-9 && r.level()[i] > r.level()[than];
  }

  /**
   * Whether it lies below another part where both have a section: over the same offsets by more
   * than half its width.
   */
  boolean liesUnder(CarriedSection other) {
    if (!closed || !other.closed) {
      return false;
    }
    for (List<SectionRing> run : runs) {
      for (SectionRing r : run) {
        for (List<SectionRing> run2 : other.runs) {
          for (SectionRing o : run2) {
            if (o.distance() == r.distance()) {
              return under(r, o);
            }
          }
        }
      }
    }
    return false;
  }

  private static boolean under(SectionRing r, SectionRing o) {
    double[] a = extent(r);
    double[] b = extent(o);
    double common = Math.min(a[1], b[1]) - Math.max(a[0], b[0]);
    return common > Math.min(a[1] - a[0], b[1] - b[0]) / 2 && a[2] < b[2];
  }

  /** Smallest and largest offset and mean level. */
  private static double[] extent(SectionRing r) {
    double min = Double.POSITIVE_INFINITY;
    double max = Double.NEGATIVE_INFINITY;
    double level = 0;
    for (int i = 0; i < r.size(); i++) {
      min = Math.min(min, r.offset()[i]);
      max = Math.max(max, r.offset()[i]);
      level += r.level()[i] / r.size();
    }
    return new double[] {min, max, level};
  }
}
