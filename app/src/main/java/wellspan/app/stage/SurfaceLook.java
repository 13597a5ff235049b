package wellspan.app.stage;

import java.awt.Color;

/** How terrain is drawn in plan. */
sealed interface SurfaceLook {
  /**
   * Contours over a faint shade.
   *
   * @param interval distance of levels, metres; 0 for one that fits the scale
   */
  record ContourLines(Color line, Color major, double interval) implements SurfaceLook {}

  /** Arrows down the slope, over whatever else is drawn. */
  record RunOff(Color line) implements SurfaceLook {}

  /**
   * In one colour, as made of one material.
   *
   * @param rgb 0xRRGGBB
   */
  record Tint(int rgb) implements SurfaceLook {}

  record Shade(boolean dark) implements SurfaceLook {}

  record Triangles(Color edge, boolean dark) implements SurfaceLook {}

  /**
   * What arrived, coloured by how far it lies from what was sent.
   *
   * @param deviations of each vertex, metres
   * @param tolerance up to which it is the same, metres
   */
  record Deviation(double[] deviations, double tolerance, Color same, Color off, Color edge)
      implements SurfaceLook {}

  /**
   * Coloured by level.
   *
   * @param lowest and {@code highest} level of the scale, metres
   */
  record Levels(double lowest, double highest) implements SurfaceLook {}

  /** Coloured by slope in per cent. */
  record Slope() implements SurfaceLook {}

  /** Coloured by the direction in which water runs off. */
  record Aspect() implements SurfaceLook {}

  /** Coloured by how much higher or lower another surface lies. */
  record Difference(wellspan.core.terrain.TriangleIndex other) implements SurfaceLook {}
}
