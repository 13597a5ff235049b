package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.util.HashMap;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.LayoutElements;

/** The curves of alignments, each written when it is first asked for. */
final class AlignmentLines {
  private final LocalCoordinates local;
  private final AlignmentCurves curves;
  private final Map<Alignment, Integer> plans = new HashMap<>();
  private final Map<Alignment, Integer> gradients = new HashMap<>();

  AlignmentLines(StepWriter step, LocalCoordinates local) {
    this.local = local;
    curves = new AlignmentCurves(step, local.unit());
  }

  /**
   * The curve in plan.
   *
   * @param shared in shared coordinates
   */
  int inPlan(Alignment shared) throws IOException {
    Integer known = plans.get(shared);
    if (known == null) {
      known = curves.composite(LayoutElements.of(local.of(shared)));
      plans.put(shared, known);
    }
    return known;
  }

  /**
   * The curve with its profile, or in plan where there is none.
   *
   * @param shared in shared coordinates
   */
  int along(Alignment shared) throws IOException {
    int plan = inPlan(shared);
    Integer known = gradients.get(shared);
    if (known == null) {
      Alignment a = local.of(shared);
      known = a.profile().isPresent() ? curves.gradient(a.profile().get(), plan) : plan;
      gradients.put(shared, known);
    }
    return known;
  }
}
