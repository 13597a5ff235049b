package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.network.Chamber;
import wellspan.core.network.NetworkPart;
import wellspan.core.network.PipeRun;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;

/**
 * What the long section of a run of pipes shows.
 *
 * @param surface name of the ground over it
 * @param ground distance and level of the ground, NaN where there is none
 */
record RunSection(PipeRun run, String surface, List<double[]> ground, double low, double high) {
  private static final double STEP = 1;

  /** The run through the chosen pipe or chamber; empty where something else is chosen. */
  static Optional<RunSection> of(Build build, Optional<ItemId> chosen) {
    return chosen
        .map(id -> build.items().get(id))
        .flatMap(i -> part(i.item()))
        .flatMap(
            part ->
                PipeRun.through(
                    part,
                    build.items().values().stream()
                        .flatMap(i -> part(i.item()).stream())
                        .filter(NetworkPart.Run.class::isInstance)
                        .map(NetworkPart.Run.class::cast)
                        .toList()))
        .map(run -> cut(build, run));
  }

  private static Optional<NetworkPart> part(Item item) {
    return item.shape() instanceof Shape.Faces f
        ? f.curved().filter(NetworkPart.class::isInstance).map(NetworkPart.class::cast)
        : Optional.empty();
  }

  private static RunSection cut(Build build, PipeRun run) {
    Optional<Item> ground = LongSection.ground(build);
    TriangleIndex index = ground.flatMap(Item::ground).map(TriangleIndex::new).orElse(null);
    List<double[]> over = new ArrayList<>();
    List<Double> levels = new ArrayList<>();
    int steps = (int) Math.ceil(run.length() / STEP);
    for (int i = 0; index != null && i <= steps; i++) {
      double d = run.length() * i / steps;
      Position p = run.at(d);
      double level = index.levelAt(p.east(), p.north());
      over.add(new double[] {d, level});
      levels.add(level);
    }
    for (PipeRun.Stretch s : run.stretches()) {
      double height = s.laid().pipe().section().height();
      levels.add(s.laid().from().level());
      levels.add(s.laid().from().level() + height);
      levels.add(s.laid().to().level());
      levels.add(s.laid().to().level() + height);
    }
    for (Chamber c : run.chambers()) {
      levels.add(c.rim());
      levels.add(c.sump());
    }
    double[] known =
        levels.stream()
            .mapToDouble(Double::doubleValue)
            .filter(Double::isFinite)
            .sorted()
            .toArray();
    double low = known[0];
    double high = known[known.length - 1];
    double room = Math.max(0.5, 0.1 * (high - low));
    return new RunSection(
        run, ground.map(Item::name).orElse(""), over, low - room, high + 1.6 * room);
  }
}
