package wellspan.core.shape;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;

/**
 * What everybody asks of a shape, whatever its sort: where it is, what it consists of, what it
 * measures, what it follows.
 */
public sealed interface Geometry permits Shape {
  /** Worked out once, in time of the number of points. */
  Box bounds();

  /** The triangles it is made of; empty for lines, points and pictures. */
  default Optional<Mesh> triangles() {
    return Optional.empty();
  }

  /** Whether there is nothing that a file could hold: no triangle, no point. */
  default boolean isEmpty() {
    return false;
  }

  /** Number of points or vertices by which it is given; 0 where it is given by measures. */
  default int pointCount() {
    return 0;
  }

  /**
   * Coordinates of the points by which it is given, easting, northing and level in threes, one
   * array for each part; not to be written. Nothing where it is given by measures.
   */
  default List<double[]> vertices() {
    return List.of();
  }

  /**
   * Coordinates of the places at which one would take hold of it, in threes, one array for each
   * part; not to be written.
   */
  default List<double[]> marks() {
    return vertices();
  }

  /** The lines that it consists of, or that stand for it; empty for what is no line. */
  default List<Polyline> lines() {
    return List.of();
  }

  /** The lines in plan that enclose an area, each ending where it began. */
  default List<Polyline> rings() {
    return List.of();
  }

  /** The single points that it consists of. */
  default List<NamedPoint> points() {
    return List.of();
  }

  /** The alignment that it is, or along which it was carried. */
  default Optional<Alignment> follows() {
    return Optional.empty();
  }

  /** Whether anything of it lies between two distances along the alignment that it follows. */
  default boolean reaches(double from, double to) {
    return true;
  }

  /** What is worked out of its measures and curves, under the names that it has in every job. */
  default List<PropertySet> facts() {
    return List.of();
  }

  /** A number by which it is known; empty where it has none of the sort. */
  default OptionalDouble measure(Measure m) {
    return ShapeMeasures.of(this, m);
  }
}
