package wellspan.core.step;

import java.util.Locale;
import java.util.stream.Collectors;
import wellspan.core.flaw.FalseLevels;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Drops points whose level is a stand-in for none.
 *
 * @param refill closes the gaps of a surface over their outlines
 */
@Declared(
    id = "drop false levels",
    title = "Drop levels that are none",
    about = "Drops points whose level stands for none, such as -999 or a lone 0.",
    also = "zero levels remove",
    accepts = {Takes.POINTS, Takes.SURFACE})
public record DropFalseLevels(
    @Parameter(label = "close the gaps", usual = "false", start = "true", takes = Takes.SURFACE)
        boolean refill)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    if (item.shape() instanceof Shape.Points p) {
      FalseLevels found = FalseLevels.find(p.coordinates(), progress);
      return new Done(PointEdits.without(p, found.points()), told(found, p.pointCount()));
    }
    Shape.Faces s = (Shape.Faces) item.shape();
    FalseLevels found = FalseLevels.find(s.mesh(), progress);
    return new Done(SurfaceEdits.without(s, found.points(), refill), told(found, s.pointCount()));
  }

  private static String told(FalseLevels f, int of) {
    String values =
        f.values().entrySet().stream()
            .map(e -> String.format(Locale.ROOT, "%d at %.3f m", e.getValue(), e.getKey()))
            .collect(Collectors.joining(", "));
    return Step.share(f.points().size(), of, "points")
        + (values.isEmpty() ? "." : ": " + values + ".");
  }
}
