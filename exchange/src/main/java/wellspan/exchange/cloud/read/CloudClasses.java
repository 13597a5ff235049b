package wellspan.exchange.cloud.read;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeMap;
import wellspan.core.item.Item;
import wellspan.core.receive.ReadingRule;
import wellspan.core.shape.PointTable;
import wellspan.exchange.file.ReadException;

/** Gathers the wanted points of a cloud by their class. */
final class CloudClasses {
  /** Names of the classes in the specification of LAS 1.4. */
  private static final Map<Integer, String> NAMES =
      Map.ofEntries(
          Map.entry(0, "never classified"),
          Map.entry(1, "unclassified"),
          Map.entry(2, "ground"),
          Map.entry(3, "low vegetation"),
          Map.entry(4, "medium vegetation"),
          Map.entry(5, "high vegetation"),
          Map.entry(6, "building"),
          Map.entry(7, "low noise"),
          Map.entry(8, "key point"),
          Map.entry(9, "water"),
          Map.entry(10, "rail"),
          Map.entry(11, "road surface"),
          Map.entry(17, "bridge deck"),
          Map.entry(18, "high noise"));

  private final Path file;
  private final ReadingRule.CloudPart part;
  private final long every;
  private final Map<Integer, PointTable.Builder> all = new TreeMap<>();
  private final Map<Integer, LowestInSquares> lowest = new TreeMap<>();
  private final Map<Integer, Integer> met = new TreeMap<>();
  private int kept;

  /**
   * @param every takes each n-th point of the wanted classes
   */
  CloudClasses(Path file, ReadingRule.CloudPart part, long every) {
    this.file = file;
    this.part = part;
    this.every = every;
  }

  /**
   * @throws ReadException if there are more wanted points than can be worked with
   */
  void add(int kind, double e, double n, double h) throws ReadException {
    int before = met.merge(kind, 1, Integer::sum) - 1;
    if (!part.classes().isEmpty() && !part.classes().contains(kind) || before % every != 0) {
      return;
    }
    if (part.cell() > 0) {
      LowestInSquares to = lowest.computeIfAbsent(kind, k -> new LowestInSquares(part.cell()));
      int size = to.size();
      to.add(e, n, h);
      kept += to.size() - size;
    } else {
      all.computeIfAbsent(kind, k -> new PointTable.Builder()).add("", e, n, h, "");
      kept++;
    }
    if (kept > LasReader.MOST) {
      throw new ReadException(
          file,
          String.format(
              Locale.ROOT,
              "more than %,d points are wanted of it. Take fewer classes, every n-th point or larger squares.",
              LasReader.MOST));
    }
  }

  int kept() {
    return kept;
  }

  /** One group for each class. */
  List<Item> items(String stem) {
    Map<Integer, PointTable> tables = new TreeMap<>();
    all.forEach((k, t) -> tables.put(k, t.build()));
    lowest.forEach((k, t) -> tables.put(k, t.build()));
    List<Item> entries = new ArrayList<>();
    tables.forEach((k, t) -> entries.add(Item.points(stem + ", " + name(k), t).on(name(k))));
    return entries;
  }

  /** Points met in the file by their class, wanted or not. */
  Map<String, Integer> counts() {
    Map<String, Integer> out = new TreeMap<>();
    met.forEach((k, n) -> out.put(name(k), n));
    return out;
  }

  private static String name(int kind) {
    return kind + " " + NAMES.getOrDefault(kind, "class " + kind);
  }
}
