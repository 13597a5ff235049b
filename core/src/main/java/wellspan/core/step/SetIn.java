package wellspan.core.step;

import java.util.List;
import java.util.Locale;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.SurfaceJoin;
import wellspan.core.shape.Shape;

/**
 * Sets another surface into this one.
 *
 * @param design the surface that holds within its outline
 */
@Declared(
    id = "set in",
    title = "Set a design in",
    about = "Sets another surface into this one; within its outline the other one holds.",
    also = "merge paste combine surfaces",
    accepts = Takes.SURFACE)
public record SetIn(@Parameter(label = "design", takes = Takes.SURFACE) ItemId design)
    implements Step {
  /** A seam that had to be closed by more than this is told as a finding, metres. */
  private static final double SEAM = 0.02;

  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Mesh ground = ((Shape.Faces) item.shape()).mesh();
    Mesh other = inputs.ground(design);
    String name = inputs.item(design).name();
    SurfaceJoin j = SurfaceJoin.join(ground, other, progress);
    if (j.stepAt().isEmpty()) {
      throw new IllegalArgumentException(name + " does not touch the ground: they share no seam.");
    }
    String told =
        String.format(
            Locale.ROOT,
            "%s set in; the largest step at the seam was %.3f m.",
            name,
            Math.abs(j.step()));
    List<Finding> findings =
        Math.abs(j.step()) <= SEAM ? List.of() : List.of(open(item.name(), name, j));
    return new Done(new Shape.Faces(j.mesh()), List.of(), told, findings);
  }

  private static Finding open(String ground, String design, SurfaceJoin j) {
    return Finding.warning(
            Stop.SHAPE,
            "terrain.seam",
            ground,
            ground
                + ": at the seam with "
                + design
                + " the ground was up to "
                + String.format(Locale.ROOT, "%.3f m", Math.abs(j.step()))
                + (j.step() > 0 ? " higher" : " lower")
                + ". It was drawn to the design; check the design's tie-in.")
        .at(j.stepAt().get())
        .withFigure(Figure.of(j.step(), 3, "m"));
  }
}
