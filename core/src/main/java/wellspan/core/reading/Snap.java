package wellspan.core.reading;

import java.util.List;
import java.util.Optional;
import wellspan.core.build.Build;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.SourceNames;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;

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
      List<NamedPoint> named = here.shape().points();
      List<NamedPoint> asReceived = raw.shape().points();
      for (int k = 0; k < Math.min(named.size(), asReceived.size()); k++) {
        NamedPoint p = named.get(k);
        take(p.position(), asReceived.get(k).position(), p.name(), source, favour);
      }
      if (named.isEmpty()) {
        List<double[]> marks = here.shape().marks();
        List<double[]> rawMarks = raw.shape().marks();
        for (int n = 0; n < Math.min(marks.size(), rawMarks.size()); n++) {
          marks(marks.get(n), rawMarks.get(n), here.name(), source);
        }
      }
    }

    private void marks(double[] xyz, double[] raw, String name, String source) {
      for (int i = 0; i + 2 < Math.min(xyz.length, raw.length); i += 3) {
        double dx = xyz[i] - place.east();
        double dy = xyz[i + 1] - place.north();
        if (Math.abs(dx) < best && Math.abs(dy) < best) {
          take(place(xyz, i), place(raw, i), name, source, 0);
        }
      }
    }

    private static Position place(double[] xyz, int i) {
      return new Position(xyz[i], xyz[i + 1], xyz[i + 2]);
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
