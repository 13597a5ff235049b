package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.build.Build;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;

/**
 * What a long section shows.
 *
 * @param surface name of the ground surface cut
 * @param design distance and level along the design line, NaN where there is none
 * @param ground distance and level of the ground under it
 */
record LongSection(
    String name,
    String surface,
    Alignment alignment,
    double length,
    List<double[]> design,
    List<double[]> ground,
    double low,
    double high) {
  private static final double STEP = 1;

  /** The section along the chosen alignment, or along the first one. */
  static Optional<LongSection> of(Build build, Optional<ItemId> chosen) {
    Optional<Item> line =
        chosen
            .map(id -> build.items().get(id))
            .map(Build.BuiltItem::item)
            .filter(LongSection::hasAxis)
            .or(
                () ->
                    build.items().values().stream()
                        .map(Build.BuiltItem::item)
                        .filter(LongSection::hasAxis)
                        .findFirst());
    return line.map(l -> cut(build, l.name(), ((Shape.Axis) l.shape()).alignment()));
  }

  private static boolean hasAxis(Item i) {
    return i.shape() instanceof Shape.Axis;
  }

  /** The surface that lies under lines and over pipes. */
  static Optional<Item> ground(Build build) {
    return build.items().values().stream()
        .map(Build.BuiltItem::item)
        .filter(i -> i.ground().isPresent())
        .findFirst();
  }

  private static LongSection cut(Build build, String name, Alignment a) {
    Optional<Item> ground = ground(build);
    TriangleIndex index = ground.flatMap(Item::ground).map(TriangleIndex::new).orElse(null);
    List<double[]> design = new ArrayList<>();
    List<double[]> under = new ArrayList<>();
    double low = Double.POSITIVE_INFINITY;
    double high = Double.NEGATIVE_INFINITY;
    for (AlignmentPoint p : a.everyWithEnds(Math.max(STEP, a.length() / 4000))) {
      double level = index == null ? Double.NaN : index.levelAt(p.east(), p.north());
      design.add(new double[] {p.distance(), p.level()});
      under.add(new double[] {p.distance(), level});
      for (double z : new double[] {p.level(), level}) {
        if (z < low) {
          low = z;
        }
        if (z > high) {
          high = z;
        }
      }
    }
    if (!(low <= high)) {
      low = 0;
      high = 10;
    }
    double room = Math.max(1, 0.12 * (high - low));
    return new LongSection(
        name,
        ground.map(Item::name).orElse("none"),
        a,
        a.length(),
        design,
        under,
        low - room,
        high + room);
  }
}
