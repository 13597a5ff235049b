package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.OutlineArea;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.shape.Shape;

/**
 * Gives an area of the surface to an item of its own; the surface keeps the rest.
 *
 * @param name of the new item
 * @param material that it is made of
 */
@Declared(
    id = "cover",
    title = "Give an outline to a cover",
    about = "Gives an area of a surface to a cover with a material of its own.",
    accepts = Takes.SURFACE)
public record CutCover(
    @Parameter(label = "name", start = "\"Cover\"") String name,
    @Parameter(label = "material", start = "\"grass\"") String material,
    @Parameter(label = "outline") Outline outline)
    implements Step {
  @Override
  public String title() {
    return "Give to the cover " + name;
  }

  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Mesh ground = ((Shape.Faces) item.shape()).mesh();
    Geometry area = OutlineArea.of(outline, inputs);
    Mesh cover = SurfaceEdits.clean(PlanClip.inside(ground, area, progress.part(0, 0.5)));
    if (cover.triangleCount() == 0) {
      throw new IllegalArgumentException("the outline lies beside the surface.");
    }
    Mesh rest = SurfaceEdits.clean(PlanClip.outside(ground, area, progress.part(0.5, 1)));
    return new Done(
        new Shape.Faces(rest),
        List.of(Item.cover(name, cover, material)),
        String.format(
            Locale.ROOT,
            "%.1f m² of %s; %.1f m² stay.",
            cover.planArea(),
            material.isEmpty() ? "cover" : material,
            rest.planArea()),
        List.of());
  }
}
