package wellspan.app.stage;

import java.awt.Color;

/** How terrain is drawn in plan. */
sealed interface SurfaceLook {
  /** Contours over a faint shade. */
  record ContourLines(Color line, Color major) implements SurfaceLook {}

  record Shade(boolean dark) implements SurfaceLook {}

  record Triangles(Color edge, boolean dark) implements SurfaceLook {}

  /**
   * What arrived, coloured by how far it lies from what was sent.
   *
   * @param deviations of each vertex, metres
   */
  record Deviation(double[] deviations, Color same, Color off, Color edge) implements SurfaceLook {}
}
