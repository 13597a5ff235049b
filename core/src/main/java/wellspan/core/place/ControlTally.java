package wellspan.core.place;

import static wellspan.core.finding.Stop.PLACE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * Control points as known against those found in one source or delivered file, worst first.
 *
 * @param where name of the source or file
 * @param notFound names of control points inside the file's extent that nothing was found for
 */
public record ControlTally(
    String where, double tolerance, List<Line> lines, List<String> notFound) {

  /** A point of another name or a vertex this far from the known place still counts as it. */
  private static final double REACH = 1.0;

  /** How a point was found in the file. */
  public enum FoundBy {
    NAME("point of this name"),
    POINT("nearest point"),
    VERTEX("nearest vertex");

    private final String title;

    FoundBy(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /**
   * One control point; differences are found minus known.
   *
   * @param found shared position; its height is NaN where the file gives none
   */
  public record Line(String name, Position known, Position found, FoundBy by) {
    public double east() {
      return found.east() - known.east();
    }

    public double north() {
      return found.north() - known.north();
    }

    /** NaN where one of the heights is not known. */
    public double height() {
      return found.level() - known.level();
    }

    public double plan() {
      return Math.hypot(east(), north());
    }

    /** Distance in space, or in plan where a height is not known. */
    public double space() {
      return Double.isNaN(height()) ? plan() : Math.hypot(plan(), height());
    }

    public boolean within(double tolerance) {
      return plan() <= tolerance && !(Math.abs(height()) > tolerance);
    }
  }

  public ControlTally {
    lines = List.copyOf(lines);
    notFound = List.copyOf(notFound);
  }

  public boolean isWithin() {
    return lines.stream().allMatch(l -> l.within(tolerance));
  }

  /**
   * Looks for every control point in what was read from a file: first a point of its name, then the
   * nearest point, then the nearest vertex of a mesh or line, the latter two within a metre.
   * Control points outside the file's extent that have no namesake are passed over.
   *
   * @param read in shared coordinates
   */
  public static ControlTally of(Control control, String where, Received read) {
    if (control.points().isEmpty()) {
      return new ControlTally(where, control.tolerance(), List.of(), List.of());
    }
    List<NamedPoint> points = new ArrayList<>();
    List<double[]> vertices = new ArrayList<>();
    for (Item i : read.items()) {
      if (i.shape() instanceof Shape.Points p) {
        points.addAll(p.points());
      } else {
        vertices.addAll(i.shape().vertices());
      }
    }
    Box extent = read.bounds();
    List<Line> lines = new ArrayList<>();
    List<String> notFound = new ArrayList<>();
    for (Control.Point c : control.points()) {
      Optional<Line> line =
          byName(c, points).or(() -> nearestPoint(c, points)).or(() -> nearestVertex(c, vertices));
      line.ifPresentOrElse(
          lines::add,
          () -> {
            if (holds(extent, c.known())) {
              notFound.add(c.name());
            }
          });
    }
    lines.sort(Comparator.comparingDouble(Line::space).reversed());
    return new ControlTally(where, control.tolerance(), lines, notFound);
  }

  private static boolean holds(Box b, Position p) {
    return !b.isEmpty()
        && p.east() >= b.minE()
        && p.east() <= b.maxE()
        && p.north() >= b.minN()
        && p.north() <= b.maxN();
  }

  private static Optional<Line> byName(Control.Point c, List<NamedPoint> points) {
    return points.stream()
        .filter(p -> p.name().strip().equalsIgnoreCase(c.name().strip()))
        .min(Comparator.comparingDouble(p -> p.position().planDistanceTo(c.known())))
        .map(p -> new Line(c.name(), c.known(), p.position(), FoundBy.NAME));
  }

  private static Optional<Line> nearestPoint(Control.Point c, List<NamedPoint> points) {
    return points.stream()
        .map(NamedPoint::position)
        .filter(p -> p.planDistanceTo(c.known()) <= REACH)
        .min(Comparator.comparingDouble(p -> p.planDistanceTo(c.known())))
        .map(p -> new Line(c.name(), c.known(), p, FoundBy.POINT));
  }

  private static Optional<Line> nearestVertex(Control.Point c, List<double[]> vertices) {
    double best = REACH;
    Position found = null;
    for (double[] xyz : vertices) {
      for (int i = 0; i + 2 < xyz.length; i += 3) {
        double dx = xyz[i] - c.known().east();
        double dy = xyz[i + 1] - c.known().north();
        if (Math.abs(dx) <= best && Math.abs(dy) <= best && Math.hypot(dx, dy) <= best) {
          best = Math.hypot(dx, dy);
          found = new Position(xyz[i], xyz[i + 1], xyz[i + 2]);
        }
      }
    }
    return Optional.ofNullable(found).map(f -> new Line(c.name(), c.known(), f, FoundBy.VERTEX));
  }

  /**
   * What the tally says: an error for each point out of tolerance that was found by its name, a
   * note where only a neighbour was found.
   *
   * @param stop where the findings belong
   */
  public List<Finding> findings(Stop stop) {
    List<Finding> out = new ArrayList<>();
    for (Line l : lines) {
      if (l.within(tolerance)) {
        continue;
      }
      boolean far = l.space() >= 10;
      Figure figure = far ? Figure.of(l.space(), 1, "m") : Figure.of(1000 * l.space(), 0, "mm");
      String message =
          String.format(
              Locale.ROOT,
              "%s: control point %s differs by ΔE %s, ΔN %s%s %s (%s). %s",
              where,
              l.name(),
              signed(l.east(), far),
              signed(l.north(), far),
              Double.isNaN(l.height()) ? "" : ", ΔH " + signed(l.height(), far),
              far ? "m" : "mm",
              l.by().title(),
              advice(l));
      out.add(
          (l.by() == FoundBy.NAME
                  ? Finding.error(stop, "place.tally", where, message)
                  : Finding.note(stop, "place.tally.near", where, message))
              .at(l.known())
              .withFigure(figure));
    }
    if (stop == PLACE
        && !notFound.isEmpty()
        && lines.stream().anyMatch(l -> l.by() == FoundBy.NAME)) {
      out.add(
          Finding.note(
              stop,
              "place.tally.missing",
              where,
              where + " holds nothing at " + String.join(", ", notFound) + "."));
    }
    return out;
  }

  private static String signed(double metres, boolean far) {
    return String.format(Locale.ROOT, far ? "%+.1f" : "%+.0f", far ? metres : 1000 * metres);
  }

  private String advice(Line l) {
    long good = lines.stream().filter(o -> o.within(tolerance)).count();
    if (l.by() != FoundBy.NAME) {
      return "It may be another point.";
    }
    if (good * 2 < lines.size()) {
      return "Most points differ: check the source's place.";
    }
    return l.plan() <= tolerance ? "Look at its height first." : "Look at this point first.";
  }
}
