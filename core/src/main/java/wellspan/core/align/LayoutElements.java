package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;

/**
 * The elements of an alignment as the layouts of ISO 16739-1:2024 know them: straights, arcs, and
 * transitions of the laws that have a type there. Others are clothoids end to end.
 */
public final class LayoutElements {
  private LayoutElements() {}

  /** The elements of an alignment in plan, from its start to its end. */
  public static List<PlanElement> of(Alignment a) {
    List<PlanElement> out = new ArrayList<>();
    for (PlanElement e : a.simpleElements()) {
      if (e instanceof PlanElement.Spiral s && !s.law().hasLayoutType()) {
        out.addAll(ClothoidPieces.of(s).pieces());
      } else {
        out.add(e);
      }
    }
    return out;
  }

  /** What the transitions of an alignment that have no type become, from its start to its end. */
  public static List<ClothoidPieces> inPieces(Alignment a) {
    return a.elements().stream()
        .filter(e -> e instanceof PlanElement.Spiral s && !s.law().hasLayoutType())
        .map(e -> ClothoidPieces.of((PlanElement.Spiral) e))
        .toList();
  }
}
