package wellspan.app.stage;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import wellspan.app.session.Session;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/** What of the job lies at a place of the plan. */
final class PlanPlaces {
  private final Session session;
  private final TileCache tiles;
  private final Supplier<SeenItems> seen;
  private final Map<Alignment, List<AlignmentPoint>> lines = new HashMap<>();

  /**
   * @param seen the visible items as they are now
   */
  PlanPlaces(Session session, TileCache tiles, Supplier<SeenItems> seen) {
    this.session = session;
    this.tiles = tiles;
    this.seen = seen;
  }

  /** Forgets the points of alignments that may be gone. */
  void forgetLines() {
    lines.clear();
  }

  /** Points of an alignment, close enough to be drawn and found by. */
  List<AlignmentPoint> line(Alignment a) {
    return lines.computeIfAbsent(a, k -> k.everyWithEnds(2));
  }

  /** Level of an item, NaN beside it. */
  double level(ItemId id, double e, double n) {
    Build.BuiltItem i = session.build().items().get(id);
    return i == null
        ? Double.NaN
        : i.item().triangles().map(m -> tiles.level(m, e, n)).orElse(Double.NaN);
  }

  /** A place with the level of the topmost surface there, NaN without one. */
  Position at(double e, double n) {
    double[] level = {Double.NaN};
    seen.get()
        .within(
            e,
            n,
            e,
            n,
            i ->
                i.item()
                    .triangles()
                    .ifPresent(m -> level[0] = higher(level[0], tiles.level(m, e, n))));
    return new Position(e, n, level[0]);
  }

  private static double higher(double a, double b) {
    return Double.isNaN(a) || b > a ? b : a;
  }

  /** The item that is nearest, lines and points before what lies under them. */
  Optional<ItemId> item(Position at, double reach) {
    record Hit(ItemId id, double distance) {}
    List<Hit> hits = new ArrayList<>();
    List<Build.BuiltItem> near = new ArrayList<>();
    seen.get()
        .within(
            at.east() - reach,
            at.north() - reach,
            at.east() + reach,
            at.north() + reach,
            near::add);
    for (Build.BuiltItem i : near) {
      double d =
          switch (i.item().shape()) {
            case Shape.Axis a ->
                line(a.alignment()).stream()
                    .mapToDouble(p -> Math.hypot(p.east() - at.east(), p.north() - at.north()))
                    .min()
                    .orElse(Double.MAX_VALUE);
            case Shape.Lines l ->
                l.lines().stream()
                    .mapToDouble(p -> p.planDistance(at.east(), at.north()))
                    .min()
                    .orElse(Double.MAX_VALUE);
            case Shape.Picture g -> Double.MAX_VALUE; // it lies under everything
            case Shape.Points g ->
                g.points().stream()
                    .mapToDouble(p -> p.position().planDistanceTo(at))
                    .min()
                    .orElse(Double.MAX_VALUE);
            case Shape.Faces f -> {
              boolean terrain = i.item().kind().is(Kind.TERRAIN); // what lies on it comes first
              yield Double.isNaN(tiles.level(f.mesh(), at.east(), at.north()))
                  ? Double.MAX_VALUE
                  : terrain ? reach : reach * 0.99;
            }
          };
      if (d <= reach) {
        hits.add(new Hit(i.id(), d));
      }
    }
    return hits.stream().min(Comparator.comparingDouble(Hit::distance)).map(Hit::id);
  }
}
