package wellspan.core.operation;

import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;

/** The part of a surface within an outline, cut exactly, for figures that count there only. */
public final class Within {
  private Within() {}

  /**
   * @param inputs holds the item that the outline is taken from
   * @throws IllegalArgumentException with a sentence, if the outline encloses nothing of it
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Mesh of(Mesh surface, Outline outline, Inputs inputs, Progress progress) {
    Mesh part = PlanClip.inside(surface, OutlineArea.of(outline, inputs), progress);
    if (part.triangleCount() == 0) {
      throw new IllegalArgumentException(
          "The outline lies beside the surface. Choose another one.");
    }
    return part;
  }
}
