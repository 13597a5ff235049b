package wellspan.core.bridge;

import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/**
 * The least room between the lower side of a deck and what runs below it.
 *
 * @param room metres; negative where the deck is hit
 * @param at where it is least
 */
public record Clearance(double room, Position at) {
  /** How often lines are looked at, metres. */
  private static final double STEP = 0.5;

  /**
   * Empty where nothing of the lines with a level lies below the deck.
   *
   * @param from of the deck, distance along the alignment, metres
   * @param to of the deck, metres
   */
  public static Optional<Clearance> of(
      Alignment axis, double from, double to, BridgeMeasures m, List<Polyline> below) {
    Clearance least = null;
    for (Polyline line : below) {
      for (int i = 0; i + 1 < line.pointCount(); i++) {
        Position p = line.point(i);
        Position q = line.point(i + 1);
        double length = Math.hypot(q.east() - p.east(), q.north() - p.north());
        int n = (int) Math.max(1, Math.ceil(length / STEP));
        for (int k = 0; k <= n; k++) {
          double t = (double) k / n;
          Position at =
              new Position(
                  p.east() + t * (q.east() - p.east()),
                  p.north() + t * (q.north() - p.north()),
                  p.level() + t * (q.level() - p.level()));
          Optional<Double> room = room(axis, from, to, m, at);
          if (room.isPresent() && (least == null || room.get() < least.room())) {
            least = new Clearance(room.get(), at);
          }
        }
      }
    }
    return Optional.ofNullable(least);
  }

  private static Optional<Double> room(
      Alignment axis, double from, double to, BridgeMeasures m, Position at) {
    return Footpoint.of(axis, at.east(), at.north())
        .filter(f -> f.distance() >= from && f.distance() <= to)
        .filter(f -> f.offset() >= -m.left() && f.offset() <= m.right())
        .map(f -> f.level() - m.depth() - m.thickness() - at.level())
        .filter(Double::isFinite);
  }
}
