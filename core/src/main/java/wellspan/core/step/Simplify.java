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
import wellspan.core.reshape.Simplification;
import wellspan.core.shape.Shape;

/**
 * Fewer triangles, no vertex farther off than promised.
 *
 * @param error metres
 */
@Declared(
    id = "simplify",
    title = "Simplify",
    about = "Makes a surface of fewer triangles; no vertex lies farther off than stated.",
    also = "thin decimate reduce vertices points tolerance",
    accepts = Takes.SURFACE)
public record Simplify(
    @Parameter(label = "no vertex more off than", unit = "m", start = "0.020", least = 0)
        double error)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    if (!(error > 0)) {
      throw new IllegalArgumentException("the error to allow must be greater than zero.");
    }
    Mesh m = ((Shape.Faces) item.shape()).mesh();
    Simplification simple = Simplification.of(m, error, progress);
    return new Done(
        new Shape.Faces(simple.mesh()),
        String.format(
            Locale.ROOT,
            "%d of %d triangles stay; no vertex lies more than %.3f m off.",
            simple.mesh().triangleCount(),
            m.triangleCount(),
            simple.error()));
  }
}
