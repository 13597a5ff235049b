package wellspan.core.step;

import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.OutlineTrim;
import wellspan.core.shape.Shape;

/**
 * Takes long and flat triangles off the outer edge.
 *
 * @param longest side in metres; 0 for no limit
 * @param flattest angle in degrees; 0 for no limit
 */
@Declared(
    id = "trim",
    title = "Trim the outer edge",
    about = "Takes long and flat triangles off the outer edge of a surface.",
    also = "long edge triangles boundary",
    accepts = Takes.SURFACE)
public record Trim(
    @Parameter(label = "longest side", unit = "m; 0 for any", start = "40", least = 0)
        double longest,
    @Parameter(label = "flattest angle", unit = "°; 0 for any", start = "0", least = 0)
        double flattest)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Mesh m = ((Shape.Faces) item.shape()).mesh();
    double side = longest > 0 ? longest : Double.POSITIVE_INFINITY;
    Mesh rest = OutlineTrim.trim(m, side, flattest);
    int all = m.triangleCount();
    return new Done(
        new Shape.Faces(rest), Step.share(all - rest.triangleCount(), all, "triangles") + ".");
  }
}
