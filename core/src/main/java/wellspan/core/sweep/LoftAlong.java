package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.align.Alignment;
import wellspan.core.geom.Mesh;
import wellspan.core.shape.Curved;
import wellspan.core.solid.Loft;

/**
 * A body whose outline changes along a line, told by its outlines in space. Between two of them it
 * is straight, so a chord tolerance changes nothing.
 *
 * @param along the alignment that it follows; empty for a string, which has no chainages
 * @param rows two or more, forwards
 */
public record LoftAlong(Optional<Alignment> along, List<Row> rows) implements Curved {
  /** A shorter piece is none, metres. */
  private static final double SHORTEST = 1e-6;

  /**
   * An outline.
   *
   * @param distance from the line's start, metres
   * @param ring corners in threes, of the same number in each row
   */
  public record Row(double distance, double[] ring) {}

  public LoftAlong {
    rows = List.copyOf(rows);
  }

  @Override
  public Mesh mesh(double chord) {
    return Loft.body(rows.stream().map(r -> List.of(r.ring())).toList(), false);
  }

  @Override
  public OptionalDouble planLength() {
    return OptionalDouble.of(rows.getLast().distance() - rows.getFirst().distance());
  }

  @Override
  public Optional<Alignment> follows() {
    return along;
  }

  @Override
  public boolean reaches(double from, double to) {
    return Math.min(to, rows.getLast().distance()) - Math.max(from, rows.getFirst().distance())
        > SHORTEST;
  }

  @Override
  public Optional<LoftAlong> between(double from, double to) {
    if (!reaches(from, to)) {
      return Optional.empty();
    }
    double first = Math.max(from, rows.getFirst().distance());
    double last = Math.min(to, rows.getLast().distance());
    List<Row> out = new ArrayList<>();
    out.add(at(first));
    rows.stream()
        .filter(r -> r.distance() > first + SHORTEST && r.distance() < last - SHORTEST)
        .forEach(out::add);
    out.add(at(last));
    return Optional.of(new LoftAlong(along, out));
  }

  private Row at(double distance) {
    int i = 1;
    while (i < rows.size() - 1 && rows.get(i).distance() < distance) {
      i++;
    }
    Row a = rows.get(i - 1);
    Row b = rows.get(i);
    double u = Math.clamp((distance - a.distance()) / (b.distance() - a.distance()), 0, 1);
    double[] ring = new double[a.ring().length];
    for (int k = 0; k < ring.length; k++) {
      ring[k] = u == 1 ? b.ring()[k] : a.ring()[k] + u * (b.ring()[k] - a.ring()[k]);
    }
    return new Row(distance, ring);
  }
}
