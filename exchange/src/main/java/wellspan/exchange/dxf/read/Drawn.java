package wellspan.exchange.dxf.read;

import java.util.Map;
import wellspan.core.geom.Affine;

/** What an entity draws, in the coordinates of its block or of the drawing. */
sealed interface Drawn {
  String layer();

  /**
   * Triangles.
   *
   * @param solid true if they came as one mesh that may be a closed body, not as loose faces
   */
  record Faces(String layer, double[] xyz, int[] triangles, boolean solid) implements Drawn {}

  /** Straight pieces through points. */
  record Path(String layer, double[] xyz) implements Drawn {}

  /**
   * Straight and round pieces in a plane.
   *
   * @param xyz corners in the plane's coordinates, the first again at the end if it is closed
   * @param bulges of the piece behind each corner
   */
  record RoundPath(String layer, Affine plane, double[] xyz, double[] bulges) implements Drawn {}

  /**
   * A circle, an ellipse or a part of one: {@code centre + cos(t)·major + sin(t)·minor}.
   *
   * @param sweep 2π for a whole one
   * @param circle true if it was drawn as a whole circle, which may be a marker
   */
  record Ellipse(
      String layer,
      double[] centre,
      double[] major,
      double[] minor,
      double from,
      double sweep,
      boolean circle)
      implements Drawn {}

  record Spline(String layer, int degree, double[] knots, double[] weights, double[] control)
      implements Drawn {}

  /** A point. */
  record Point(String layer, double[] at) implements Drawn {}

  /**
   * A text at a place.
   *
   * @param height of its letters
   */
  record Text(String layer, double[] at, String words, double height) implements Drawn {}

  /**
   * A block laid out here, once or in rows and columns.
   *
   * @param plane from the insert's plane to what contains it
   * @param scale of the block's coordinates, before they are turned
   * @param turn in the insert's plane, counter-clockwise, radians
   * @param name what its attributes call it, empty if it has none
   * @param attributes words by their tags, in the order of the file
   */
  record Insert(
      String layer,
      String block,
      Affine plane,
      Affine scale,
      double turn,
      int columns,
      int rows,
      double columnSpacing,
      double rowSpacing,
      double[] at,
      String name,
      Map<String, String> attributes)
      implements Drawn {}
}
