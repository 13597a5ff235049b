package wellspan.core.step;

import java.util.Locale;
import wellspan.core.flaw.FalseLevels;
import wellspan.core.flaw.Spikes;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Drops points that stand out of their surroundings.
 *
 * @param height from which a point counts, metres; 0 takes it from the points
 * @param refill closes the gaps of a surface over their outlines
 */
@Declared(
    id = "drop spikes",
    title = "Drop spikes",
    about = "Drops points that stand out of the plane of their neighbours.",
    also = "outliers peaks remove",
    accepts = {Takes.POINTS, Takes.SURFACE})
public record DropSpikes(
    @Parameter(label = "higher than", unit = "m; 0 finds it", usual = "0", least = 0) double height,
    @Parameter(label = "close the gaps", usual = "false", start = "true", takes = Takes.SURFACE)
        boolean refill)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    double from = height > 0 ? height : Double.NaN;
    Progress first = progress.part(0, 0.3);
    Progress then = progress.part(0.3, 1);
    // a false level is a spike too, but it is another flaw with a step of its own
    if (item.shape() instanceof Shape.Points p) {
      double[] xyz = p.coordinates();
      boolean[] left = PointEdits.flags(FalseLevels.find(xyz, first).points(), p.pointCount());
      Spikes found = Spikes.find(xyz, left, from, then);
      return new Done(PointEdits.without(p, found.points()), told(found, p.pointCount()));
    }
    Shape.Faces s = (Shape.Faces) item.shape();
    boolean[] left = PointEdits.flags(FalseLevels.find(s.mesh(), first).points(), s.pointCount());
    Spikes found = Spikes.find(s.mesh(), left, from, then);
    return new Done(SurfaceEdits.without(s, found.points(), refill), told(found, s.pointCount()));
  }

  private static String told(Spikes s, int of) {
    return Step.share(s.points().size(), of, "points")
        + String.format(
            Locale.ROOT, ": more than %.2f m off the plane of their neighbours.", s.threshold());
  }
}
