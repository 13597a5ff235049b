package wellspan.core.step;

import java.util.Locale;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.Location;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
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

/** Keeps what lies within an outline, or beside it; triangles are cut exactly there. */
@Declared(
    id = "clip",
    title = "Clip to an outline",
    about = "Keeps what lies within an outline, or what lies beside it.",
    also = "crop boundary cut out",
    accepts = {Takes.POINTS, Takes.SURFACE})
public record Clip(
    @Parameter(label = "outline") Outline outline,
    @Parameter(label = "keep the inside", usual = "true") boolean inside)
    implements Step {
  @Override
  public String title() {
    return inside ? "Clip to an outline" : "Cut an outline out";
  }

  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Geometry area = OutlineArea.of(outline, inputs);
    if (item.shape() instanceof Shape.Points p) {
      return points(p, area);
    }
    Mesh m = ((Shape.Faces) item.shape()).mesh();
    Mesh part =
        SurfaceEdits.clean(
            inside ? PlanClip.inside(m, area, progress) : PlanClip.outside(m, area, progress));
    return new Done(
        new Shape.Faces(part),
        String.format(Locale.ROOT, "%.1f m² of %.1f m² stay.", part.planArea(), m.planArea()));
  }

  private Done points(Shape.Points p, Geometry area) {
    IndexedPointInAreaLocator in = new IndexedPointInAreaLocator(area);
    Shape.Points kept =
        PointEdits.only(
            p,
            i -> {
              Position q = p.points().get(i).position();
              boolean within = in.locate(new Coordinate(q.east(), q.north())) != Location.EXTERIOR;
              return within == inside;
            });
    int n = p.points().size();
    return new Done(kept, Step.share(n - kept.points().size(), n, "points") + ".");
  }
}
