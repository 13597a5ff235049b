package wellspan.core.step;

import java.util.BitSet;
import java.util.List;
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
 * Drops parts that do not hang together with the largest one.
 *
 * @param smallest plan area from which a part stays, square metres
 */
@Declared(
    id = "drop islands",
    title = "Drop loose parts",
    about = "Drops parts of a surface that do not hang together with the largest one.",
    also = "stray separate remove",
    accepts = Takes.SURFACE)
public record DropIslands(
    @Parameter(label = "smaller than", unit = "m²", start = "100", least = 0) double smallest)
    implements Step {
  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Shape.Faces s = (Shape.Faces) item.shape();
    SurfaceFlaws f = SurfaceFlaws.of(s.mesh(), 0, progress);
    BitSet gone = new BitSet();
    int parts = 0;
    for (List<Integer> island : f.islands()) {
      double area = island.stream().mapToDouble(t -> Math.abs(s.mesh().planArea(t))).sum();
      if (area < smallest) {
        island.forEach(gone::set);
        parts++;
      }
    }
    return new Done(
        SurfaceEdits.without(s, gone),
        parts
            + " of "
            + f.islands().size()
            + " loose parts dropped, "
            + gone.cardinality()
            + " triangles.");
  }
}
