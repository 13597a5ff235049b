package wellspan.core.step;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.IntPredicate;
import java.util.stream.Collectors;
import org.locationtech.jts.algorithm.locate.IndexedPointInAreaLocator;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Location;
import wellspan.core.flaw.FalseLevels;
import wellspan.core.flaw.Spikes;
import wellspan.core.geom.Box;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulator;

/** Steps on groups of points. */
final class PointSteps {
  private PointSteps() {}

  static Shaper.Done apply(Step step, Item item, Shape.Points p, Inputs inputs, Progress progress) {
    return switch (step) {
      case Step.DropFalseLevels f -> falseLevels(p, progress);
      case Step.DropSpikes s -> spikes(p, s, progress);
      case Step.MergeDuplicates m -> merge(p, m.rule());
      case Step.Clip c -> clip(p, c, inputs);
      case Step.Raise r -> raise(p, r.by());
      case Step.DropFlawedTriangles f -> throw Shaper.unfit(step, item);
      case Step.DropIslands d -> throw Shaper.unfit(step, item);
      case Step.Trim t -> throw Shaper.unfit(step, item);
      case Step.SetIn s -> throw Shaper.unfit(step, item);
      case Step.Simplify s -> throw Shaper.unfit(step, item);
      case Step.FillHoles f -> throw Shaper.unfit(step, item);
      case Step.CutCover c -> throw Shaper.unfit(step, item);
    };
  }

  private static Shape.Points only(Shape.Points p, IntPredicate kept) {
    List<NamedPoint> some = new ArrayList<>();
    for (int i = 0; i < p.points().size(); i++) {
      if (kept.test(i)) {
        some.add(p.points().get(i));
      }
    }
    return new Shape.Points(some);
  }

  private static boolean[] flags(List<Integer> points, int count) {
    boolean[] out = new boolean[count];
    points.forEach(i -> out[i] = true);
    return out;
  }

  private static Shaper.Done falseLevels(Shape.Points p, Progress progress) {
    FalseLevels f = FalseLevels.find(p.coordinates(), progress);
    int n = p.points().size();
    boolean[] gone = flags(f.points(), n);
    return new Shaper.Done(only(p, i -> !gone[i]), told(f, n));
  }

  static String told(FalseLevels f, int of) {
    String values =
        f.values().entrySet().stream()
            .map(e -> String.format(Locale.ROOT, "%d at %.3f m", e.getValue(), e.getKey()))
            .collect(Collectors.joining(", "));
    return Shaper.share(f.points().size(), of, "points")
        + (values.isEmpty() ? "." : ": " + values + ".");
  }

  private static Shaper.Done spikes(Shape.Points p, Step.DropSpikes step, Progress progress) {
    double[] xyz = p.coordinates();
    // a false level is a spike too, but it is another flaw with a step of its own
    boolean[] left = flags(FalseLevels.find(xyz, progress.part(0, 0.3)).points(), xyz.length / 3);
    Spikes s =
        Spikes.find(
            xyz, left, step.height() > 0 ? step.height() : Double.NaN, progress.part(0.3, 1));
    boolean[] gone = flags(s.points(), left.length);
    return new Shaper.Done(only(p, i -> !gone[i]), told(s, left.length));
  }

  static String told(Spikes s, int of) {
    return Shaper.share(s.points().size(), of, "points")
        + String.format(
            Locale.ROOT, ": more than %.2f m off the plane of their neighbours.", s.threshold());
  }

  private static Shaper.Done merge(Shape.Points p, LevelRule rule) {
    Box box = p.bounds();
    PlanVertices places = new PlanVertices(Triangulator.SAME_PLACE, box, p.points().size());
    Map<Integer, List<NamedPoint>> at = new HashMap<>();
    for (NamedPoint q : p.points()) {
      Position w = q.position();
      at.computeIfAbsent(places.at(w.east(), w.north(), 0), k -> new ArrayList<>(1)).add(q);
    }
    List<NamedPoint> merged = new ArrayList<>();
    for (int v = 0; v < places.size(); v++) {
      List<NamedPoint> here = at.get(v);
      NamedPoint first = here.getFirst();
      double low = first.position().height(), high = low, sum = 0;
      for (NamedPoint q : here) {
        low = Math.min(low, q.position().height());
        high = Math.max(high, q.position().height());
        sum += q.position().height();
      }
      double level = rule.level(first.position().height(), sum, here.size(), low, high);
      Position w = new Position(first.position().east(), first.position().north(), level);
      merged.add(new NamedPoint(first.name(), w, first.code()));
    }
    int n = p.points().size();
    return new Shaper.Done(
        new Shape.Points(merged),
        Shaper.share(n - merged.size(), n, "points") + " at places that another one has.");
  }

  private static Shaper.Done clip(Shape.Points p, Step.Clip c, Inputs inputs) {
    IndexedPointInAreaLocator in =
        new IndexedPointInAreaLocator(Outlines.area(c.outline(), inputs));
    Shape.Points kept =
        only(
            p,
            i -> {
              Position q = p.points().get(i).position();
              boolean within = in.locate(new Coordinate(q.east(), q.north())) != Location.EXTERIOR;
              return within == c.inside();
            });
    int n = p.points().size();
    return new Shaper.Done(kept, Shaper.share(n - kept.points().size(), n, "points") + ".");
  }

  private static Shaper.Done raise(Shape.Points p, double by) {
    List<NamedPoint> moved =
        p.points().stream()
            .map(
                q ->
                    new NamedPoint(
                        q.name(),
                        new Position(
                            q.position().east(), q.position().north(), q.position().height() + by),
                        q.code()))
            .toList();
    return new Shaper.Done(
        new Shape.Points(moved), String.format(Locale.ROOT, "Moved by %+.3f m.", by));
  }
}
