package wellspan.core.step;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Step;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulator;

/** Makes one point of those at one place. */
@Declared(
    id = "merge duplicates",
    title = "Merge points at one place",
    about = "Makes one point of those at one place, with the level of a rule.",
    also = "doubled coincident points remove",
    accepts = Takes.POINTS)
public record MergeDuplicates(@Parameter(label = "level", usual = "\"mean\"") LevelRule rule)
    implements Step {
  @Override
  public String title() {
    return "Merge points at one place, " + rule.word() + " level";
  }

  @Override
  public Done apply(Item item, Inputs inputs, Progress progress) {
    Shape.Points p = (Shape.Points) item.shape();
    PlanVertices places = new PlanVertices(Triangulator.SAME_PLACE, p.bounds(), p.points().size());
    Map<Integer, List<NamedPoint>> at = new HashMap<>();
    for (NamedPoint q : p.points()) {
      Position w = q.position();
      at.computeIfAbsent(places.at(w.east(), w.north(), 0), k -> new ArrayList<>(1)).add(q);
    }
    List<NamedPoint> merged = new ArrayList<>();
    for (int v = 0; v < places.size(); v++) {
      merged.add(one(at.get(v)));
    }
    int n = p.points().size();
    return new Done(
        new Shape.Points(merged),
        Step.share(n - merged.size(), n, "points") + " at places that another one has.");
  }

  private NamedPoint one(List<NamedPoint> here) {
    NamedPoint first = here.getFirst();
    double low = first.position().level(), high = low, sum = 0;
    for (NamedPoint q : here) {
      low = Math.min(low, q.position().level());
      high = Math.max(high, q.position().level());
      sum += q.position().level();
    }
    double level = rule.level(first.position().level(), sum, here.size(), low, high);
    Position w = new Position(first.position().east(), first.position().north(), level);
    return new NamedPoint(first.name(), w, first.code());
  }
}
