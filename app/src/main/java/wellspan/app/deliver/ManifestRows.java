package wellspan.app.deliver;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.extract.Extract;
import wellspan.core.item.Band;

/**
 * The rows of the manifest: every stratum that holds something, and below an open one its items.
 */
final class ManifestRows {
  /** One row. */
  sealed interface Row {
    Band band();
  }

  record BandRow(Band band, List<Build.BuiltItem> items, boolean open) implements Row {}

  record ItemRow(Band band, Build.BuiltItem item) implements Row {}

  /** How the items of a stratum stand to a delivery. */
  enum Share {
    ALL,
    SOME,
    NONE,
    /** Its format carries none of them. */
    CANNOT
  }

  private ManifestRows() {}

  static List<Row> of(Build build, Set<Band> open) {
    Map<Band, List<Build.BuiltItem>> byBand = new EnumMap<>(Band.class);
    build
        .items()
        .values()
        .forEach(
            i -> byBand.computeIfAbsent(i.item().kind().stratum(), b -> new ArrayList<>()).add(i));
    List<Row> out = new ArrayList<>();
    byBand.forEach(
        (band, items) -> {
          out.add(new BandRow(band, items, open.contains(band)));
          if (open.contains(band)) {
            items.forEach(i -> out.add(new ItemRow(band, i)));
          }
        });
    return out;
  }

  /** What a delivery takes of a stratum; looks no further than to the answer. */
  static Share share(Delivery d, List<Build.BuiltItem> items) {
    boolean some = false;
    boolean held = false;
    for (Build.BuiltItem i : items) {
      if (some && (held || d.heldBack().isEmpty())) {
        break;
      }
      if (goesAlong(d, i)) {
        boolean back = d.heldBack().contains(i.id());
        held |= back;
        some |= !back;
      }
    }
    return some ? held ? Share.SOME : Share.ALL : held ? Share.NONE : Share.CANNOT;
  }

  /** Whether it could go: the format carries it, and it lies in the delivery's chainages. */
  static boolean goesAlong(Delivery d, Build.BuiltItem i) {
    return d.carries(i.item()) && d.range().map(r -> Extract.reaches(i.item(), r)).orElse(true);
  }
}
