package wellspan.core.reading;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.build.Build;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.SourceNames;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/**
 * The named point, vertex or line end that is nearest to a place.
 *
 * @param name of the point, or of the item whose vertex it is
 * @param own the name is the point's own
 * @param shared where it lies
 * @param raw the same point in the source's own coordinates as received, metres of its declared
 *     unit
 */
public record Snap(String name, boolean own, String source, Position shared, Position raw) {

  /**
   * @param reach how far it may lie from the place in plan, metres
   * @param source only points of this source; of every visible item if it is empty
   */
  public static Optional<Snap> nearest(Build build, Position place, double reach, String source) {
    Search s = new Search(place, reach);
    for (Build.BuiltItem i : build.items().values()) {
      if (build.isVisible(i.id()) && (source.isEmpty() || source.equals(i.source()))) {
        Optional<AsReceived> received = asReceived(build, i);
        if (source.isEmpty() || i.source().equals(SourceNames.JOB)) {
          s.item(i.item(), received.map(r -> matching(i.item(), r)).orElse(i.item()), i.source());
        } else {
          received.ifPresent(r -> s.item(r.placed(), r.raw(), i.source()));
        }
      }
    }
    return Optional.ofNullable(s.found);
  }

  /**
   * An item before its steps.
   *
   * @param placed in shared coordinates
   * @param raw in those of its file, vertex by vertex
   */
  private record AsReceived(Item placed, Item raw) {}

  /** A shaped item has vertices of its own, which no file ever had. */
  @SuppressWarnings("ReferenceEquality") // shaped or not; comparing coordinates would be of no use
  private static Item matching(Item item, AsReceived received) {
    return received.placed == item ? received.raw : item;
  }

  private static Optional<AsReceived> asReceived(Build build, Build.BuiltItem i) {
    Received placed = build.received().get(i.source());
    Received raw = build.raw().get(i.source());
    if (placed == null || raw == null) {
      return Optional.empty();
    }
    for (int k = 0; k < Math.min(placed.items().size(), raw.items().size()); k++) {
      Item item = placed.items().get(k);
      if (ItemId.of(i.source(), item).equals(i.id())) {
        return Optional.of(new AsReceived(item, raw.items().get(k)));
      }
    }
    return Optional.empty();
  }

  private static final class Search {
    private final Position place;
    private final double favour;
    private final double reach;
    private double best;
    private Snap found;

    Search(Position place, double reach) {
      this.place = place;
      this.reach = reach;
      best = reach;
      // a named point is meant, even where a vertex of the ground lies a little nearer
      favour = reach / 2;
    }

    void item(Item here, Item raw, String source) {
      switch (here.shape()) {
        case Shape.Points g when raw.shape() instanceof Shape.Points r -> {
          for (int k = 0; k < g.points().size(); k++) {
            NamedPoint p = g.points().get(k);
            take(p.position(), r.points().get(k).position(), p.name(), source, favour);
          }
        }
        case Shape.Faces f when raw.shape() instanceof Shape.Faces r ->
            mesh(f.mesh(), r.mesh(), here.name(), source);
        case Shape.Lines l when raw.shape() instanceof Shape.Lines r -> {
          for (int n = 0; n < l.lines().size(); n++) {
            Polyline line = l.lines().get(n);
            for (int k = 0; k < line.pointCount(); k++) {
              take(line.point(k), r.lines().get(n).point(k), here.name(), source, 0);
            }
          }
        }
        case Shape.Axis a when raw.shape() instanceof Shape.Axis r ->
            ends(a.alignment(), r.alignment(), source);
        default -> {}
      }
    }

    private void mesh(Mesh m, Mesh raw, String name, String source) {
      double[] xyz = m.xyz();
      for (int i = 0; i + 2 < xyz.length; i += 3) {
        double dx = xyz[i] - place.east();
        double dy = xyz[i + 1] - place.north();
        if (Math.abs(dx) < best && Math.abs(dy) < best) {
          take(m.vertex(i / 3), raw.vertex(i / 3), name, source, 0);
        }
      }
    }

    private void ends(Alignment a, Alignment raw, String source) {
      List<Double> here = a.elementEnds();
      List<Double> there = raw.elementEnds();
      for (int k = 0; k < Math.min(here.size(), there.size()); k++) {
        var p = a.at(here.get(k));
        var q = raw.at(there.get(k));
        take(
            new Position(p.east(), p.north(), p.level()),
            new Position(q.east(), q.north(), q.level()),
            a.name(),
            source,
            0);
      }
    }

    private void take(Position shared, Position raw, String name, String source, double ahead) {
      double distance = shared.planDistanceTo(place);
      double d = distance - ahead;
      if (distance < reach && d < best) {
        best = d;
        found = new Snap(name, ahead > 0, source, shared, raw);
      }
    }
  }
}
