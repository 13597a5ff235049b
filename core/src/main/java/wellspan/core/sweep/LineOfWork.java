package wellspan.core.sweep;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Inputs;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Measure;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;

/**
 * A string or an alignment between two chainages, along which something is made.
 *
 * @param name of the line
 * @param shape lines or an axis
 * @param from distance from its start, metres
 * @param to distance from its start, metres
 * @param ground whose levels count; null for the line's own
 */
public record LineOfWork(
    String name, Shape shape, double from, double to, SweepPath.Ground ground) {

  /**
   * @param along a string, of which the first line is taken, or an alignment
   * @param on a surface; empty for none
   * @param fromChainage as displayed; before the start for all of it
   * @param toChainage as displayed; beyond the end for all of it
   * @throws IllegalArgumentException with a sentence, if nothing of the line lies there
   */
  public static LineOfWork of(
      Inputs inputs, ItemId along, ItemId on, double fromChainage, double toChainage) {
    Item item = inputs.item(along);
    if (item.shape().lines().isEmpty()) {
      throw new IllegalArgumentException(
          item.name() + " is no line. Choose a string or an alignment.");
    }
    double start = item.shape().measure(Measure.START_CHAINAGE).orElse(0);
    double length =
        item.shape()
            .follows()
            .map(Alignment::length)
            .orElseGet(() -> SweepPath.planLength(item.shape().lines().getFirst()));
    double from = distance(item.shape(), fromChainage, false, length);
    double to = distance(item.shape(), toChainage, true, length);
    if (!(to - from > 1e-3)) {
      throw new IllegalArgumentException(
          String.format(
              Locale.ROOT,
              "%s runs from %.3f m to %.3f m; nothing of it lies between the chainages given.",
              item.name(),
              start,
              start + length));
    }
    SweepPath.Ground ground = null;
    if (!on.value().isEmpty()) {
      ground = new SweepPath.Ground.Surface(new TriangleIndex(inputs.ground(on)));
    }
    return new LineOfWork(item.name(), item.shape(), from, to, ground);
  }

  /** The distance of a displayed chainage, held to the ends of the line. */
  private static double distance(Shape line, double chainage, boolean last, double length) {
    if (!(line instanceof Shape.Axis a)) {
      return Math.clamp(chainage, 0, length);
    }
    List<Double> at = a.alignment().chainages().distances(chainage, length);
    if (at.isEmpty()) {
      return chainage <= a.alignment().startChainage() ? 0 : length;
    }
    return last ? at.getLast() : at.getFirst();
  }

  /**
   * The same for somebody who stays on the line, within a reach of it: what it stands on is kept as
   * levels, not as the surface that may be as large as all the rest.
   */
  LineOfWork withLevels(double reach) {
    return ground == null
        ? this
        : new LineOfWork(name, shape, from, to, path(reach, Curved.USUAL_CHORD).levels());
  }

  /** What of it lies between two distances; empty where nothing does. */
  Optional<LineOfWork> between(double first, double last) {
    double a = Math.max(from, first);
    double b = Math.min(to, last);
    return b - a > 1e-6 ? Optional.of(new LineOfWork(name, shape, a, b, ground)) : Optional.empty();
  }

  /** The places at which a section stands. */
  SweepPath path(double reach, double chord) {
    return shape
        .follows()
        .map(a -> SweepPath.along(a, from, to, reach, chord, ground))
        .orElseGet(() -> SweepPath.along(shape.lines().getFirst(), from, to, ground));
  }

  /** Chainage of a distance from the start, as displayed. */
  public double chainage(double distance) {
    return shape instanceof Shape.Axis a ? a.alignment().chainages().at(distance) : distance;
  }

  /** The place and direction at a distance. */
  SweepPath.Station at(double distance) {
    if (shape instanceof Shape.Axis a) {
      Alignment line = a.alignment();
      double step = Math.min(1e-3, (to - from) / 2);
      double d = Math.min(distance, to - step);
      SweepPath two = SweepPath.along(line, d, d + step, 0, Double.POSITIVE_INFINITY, ground);
      return distance > d ? two.stations().getLast() : two.stations().getFirst();
    }
    Polyline line = shape.lines().getFirst();
    double step = 1e-3;
    double d = Math.clamp(distance, from, Math.max(from, to - step));
    SweepPath two = SweepPath.along(line, d, Math.min(to, d + step), ground);
    return distance > d ? two.stations().getLast() : two.stations().getFirst();
  }

  /**
   * A place beside the line.
   *
   * @param distance from its start, metres
   * @param offset to the right, metres
   * @return with the level of the line, NaN where it has none
   */
  public Position place(double distance, double offset) {
    SweepPath.Station s = at(distance);
    double[] right = across(distance);
    return new Position(s.east() + offset * right[0], s.north() + offset * right[1], s.level());
  }

  /** Level of the ground it is worked on, NaN beside it and where there is none. */
  public double groundAt(double east, double north) {
    return ground == null ? Double.NaN : ground.level(Double.NaN, east, north);
  }

  /** The direction across at a distance, to the right: east and north, of length 1. */
  public double[] across(double distance) {
    double[] f = at(distance).forward();
    return new double[] {f[1], -f[0]};
  }

  /** The distance of a displayed chainage, held to the ends of what is worked along. */
  public double distance(double chainage) {
    return Math.clamp(distance(shape, chainage, false, to), from, to);
  }

  /**
   * A place at which a section stands, mitred where the line bends.
   *
   * @param distance from the line's start, metres
   */
  public record Across(double distance, Position on, double[] right) {
    /** The place at an offset to the right, metres. */
    public Position at(double offset) {
      return new Position(
          on.east() + offset * right[0], on.north() + offset * right[1], on.level());
    }
  }

  /**
   * Where sections stand within the usual chord tolerance.
   *
   * @param reach furthest offset, metres
   */
  public List<Across> across(double reach, double chord) {
    return path(reach, chord).stations().stream()
        .map(s -> new Across(s.distance(), new Position(s.east(), s.north(), s.level()), s.right()))
        .toList();
  }

  /** The same along rounded corners; an alignment has none. */
  public LineOfWork rounded(double radius) {
    if (radius == 0 || !(shape instanceof Shape.Lines l)) {
      return this;
    }
    Polyline round = RoundedCorners.of(l.lines().getFirst(), radius, Curved.USUAL_CHORD / 2);
    double length = SweepPath.planLength(round);
    double whole = SweepPath.planLength(l.lines().getFirst());
    return new LineOfWork(
        name,
        new Shape.Lines(List.of(round)),
        Math.min(from, length),
        to > whole - 1e-6 ? length : Math.min(to, length),
        ground);
  }

  /**
   * A closed line of a drawing as a section: x and y in turn, its base point in the middle of its
   * lower edge.
   *
   * @throws IllegalArgumentException if no line of the item is closed
   */
  public static double[] section(Item drawn) {
    if (drawn.shape() instanceof Shape.Lines l) {
      for (Polyline p : l.lines()) {
        if (p.pointCount() >= 4 && p.isClosed(1e-6)) {
          int n = p.pointCount() - 1;
          double[] ring = new double[2 * n];
          double low = Double.POSITIVE_INFINITY;
          double left = Double.POSITIVE_INFINITY;
          double right = Double.NEGATIVE_INFINITY;
          for (int i = 0; i < n; i++) {
            left = Math.min(left, p.point(i).east());
            right = Math.max(right, p.point(i).east());
            low = Math.min(low, p.point(i).north());
          }
          for (int i = 0; i < n; i++) {
            ring[2 * i] = p.point(i).east() - (left + right) / 2;
            ring[2 * i + 1] = p.point(i).north() - low;
          }
          return ring;
        }
      }
    }
    throw new IllegalArgumentException(
        drawn.name() + " has no closed line that could be a section. Choose one that is closed.");
  }
}
