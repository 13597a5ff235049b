package wellspan.core.overlay;

import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.triangulate.Triangulator;

/**
 * What a receiver makes of a surface that keeps its points and draws triangles of its own: the
 * Delaunay triangulation of the same vertices, without breaklines.
 *
 * @param mesh the receiver's triangles; they cover the hull of the points
 * @param difference the receiver's levels minus the designer's, where both lie
 */
public record Retriangulated(Mesh mesh, LevelDifference difference) {

  /**
   * @throws IllegalArgumentException if the vertices lie on one line
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Retriangulated of(Mesh designed, Progress progress) {
    Mesh used = designed.compact();
    Mesh drawn = Triangulator.delaunay(used.xyz(), progress.part(0, 0.5));
    return new Retriangulated(drawn, LevelDifference.between(used, drawn, progress.part(0.5, 1)));
  }
}
