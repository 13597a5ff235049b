package wellspan.core.step;

import java.util.BitSet;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/**
 * Drops triangles that make no surface: slivers, inverted, repeated and overlapping ones.
 *
 * @param sliver height of a triangle below which it goes, metres
 */
@Declared(
    id = "drop flawed triangles",
    title = "Drop flawed triangles",
    about = "Drops slivers and inverted, repeated and overlapping triangles.",
    accepts = Takes.SURFACE)
public record DropFlawedTriangles(
    @Parameter(label = "slivers lower than", unit = "m", start = "0.001", least = 0) double sliver)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Shape.Faces s = (Shape.Faces) item.shape();
    SurfaceFlaws f = SurfaceFlaws.of(s.mesh(), sliver, progress);
    BitSet gone = new BitSet();
    f.flawedTriangles().forEach(gone::set);
    String told =
        Step.share(gone.cardinality(), s.mesh().triangleCount(), "triangles")
            + String.format(
                ": %d slivers, %d inverted, %d repeated, %d overlapping.",
                f.slivers().size(),
                f.inverted().size(),
                f.repeated().size(),
                f.overlapping().size());
    return new Done(SurfaceEdits.without(s, gone), told);
  }
}
