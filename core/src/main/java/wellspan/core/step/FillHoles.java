package wellspan.core.step;

import java.util.Locale;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.HoleFilling;
import wellspan.core.shape.Shape;

/**
 * Closes holes.
 *
 * @param largest plan area of a hole that is closed, square metres; 0 closes all
 */
@Declared(
    id = "fill holes",
    title = "Fill holes",
    about = "Closes the holes of a surface.",
    also = "gaps close voids",
    accepts = Takes.SURFACE)
public record FillHoles(
    @Parameter(label = "up to", unit = "m²; 0 for all", usual = "0", least = 0) double largest)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Shape.Faces s = (Shape.Faces) item.shape();
    Mesh m = s.mesh();
    Mesh filled = HoleFilling.fill(m, largest > 0 ? largest : Double.POSITIVE_INFINITY);
    return new Done(
        new Shape.Faces(filled, s.invisible()),
        String.format(
            Locale.ROOT,
            "%d triangles put in, %.1f m².",
            filled.triangleCount() - m.triangleCount(),
            filled.planArea() - m.planArea()));
  }
}
