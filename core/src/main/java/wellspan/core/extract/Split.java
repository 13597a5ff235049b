package wellspan.core.extract;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import wellspan.core.align.Alignment;
import wellspan.core.align.Footpoint;
import wellspan.core.attribute.PropertySet;
import wellspan.core.geom.Box;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/** How items are dealt to several files. */
public sealed interface Split {
  /** What does not belong to any part. */
  String REST = "rest";

  /**
   * Deals items.
   *
   * @param chord tolerance of curved faces that are cut, metres
   * @return what goes into each file, by what stands behind the name's stem
   */
  Map<String, List<Part>> deal(List<Item> items, double chord);

  /**
   * The same, with each part of what lies in several files named.
   *
   * @param chord tolerance of curved faces that are cut, metres
   */
  default Map<String, List<Part>> dealt(List<Item> items, double chord) {
    Map<String, List<Part>> dealt = deal(items, chord);
    int[] files = new int[items.size()];
    dealt.values().forEach(parts -> parts.forEach(p -> files[p.of()]++));
    Map<String, List<Part>> out = new LinkedHashMap<>();
    dealt.forEach(
        (name, parts) ->
            out.put(
                name,
                parts.stream()
                    .map(p -> files[p.of()] > 1 ? new Part(p.of(), p.item(), name) : p)
                    .toList()));
    return out;
  }

  /**
   * An item, or a part of it, in one of the files.
   *
   * @param of its place in the list that was dealt
   * @param name which of several parts it is, empty where it is the only one: parts are things of
   *     their own at the receiver, who joins the files
   */
  record Part(int of, Item item, String name) {
    Part(int of, Item item) {
      this(of, item, "");
    }
  }

  /**
   * @param text {@code strata}, {@code road} or a length in metres
   * @throws IllegalArgumentException with a sentence
   */
  static Split named(String text) {
    return switch (text.toLowerCase(Locale.ROOT)) {
      case "strata" -> new ByStratum();
      case "road" -> new ByRoad();
      default -> {
        try {
          yield new ByChainage(Double.parseDouble(text));
        } catch (NumberFormatException e) {
          throw new IllegalArgumentException(
              "\"" + text + "\" is not one of strata, road, or a length in metres.", e);
        }
      }
    };
  }

  /** What {@link #named} reads. */
  String word();

  /** A file for each stratum. */
  record ByStratum() implements Split {
    @Override
    public String word() {
      return "strata";
    }

    @Override
    public Map<String, List<Part>> deal(List<Item> items, double chord) {
      Map<String, List<Part>> out = new LinkedHashMap<>();
      for (int n = 0; n < items.size(); n++) {
        Item i = items.get(n);
        String name = i.kind().stratum().title().toLowerCase(Locale.ROOT).replace(' ', '-');
        out.computeIfAbsent(name, k -> new ArrayList<>()).add(new Part(n, i));
      }
      return out;
    }
  }

  /** A file for each road: an alignment with what follows it or says that it belongs to it. */
  record ByRoad() implements Split {
    @Override
    public String word() {
      return "road";
    }

    @Override
    public Map<String, List<Part>> deal(List<Item> items, double chord) {
      List<String> roads =
          items.stream()
              .filter(i -> i.shape() instanceof Shape.Axis)
              .map(Item::name)
              .distinct()
              .toList();
      Map<String, List<Part>> out = new LinkedHashMap<>();
      for (int n = 0; n < items.size(); n++) {
        Item i = items.get(n);
        String road = road(i, roads).orElse(REST);
        out.computeIfAbsent(road.replaceAll("[\\\\/:*?\"<>|]", "_"), k -> new ArrayList<>())
            .add(new Part(n, i));
      }
      return out;
    }

    private static Optional<String> road(Item i, List<String> roads) {
      if (i.shape() instanceof Shape.Axis) {
        return Optional.of(i.name());
      }
      for (PropertySet s : i.said().propertySets()) {
        if (s.values().containsKey("Road")) {
          return Optional.of(s.values().get("Road").show());
        }
      }
      return roads.contains(i.layer()) ? Optional.of(i.layer()) : Optional.empty();
    }
  }

  /**
   * A file for each stretch of chainage, from whole multiples of its length on. What follows no
   * alignment goes where its middle lies beside the nearest one.
   *
   * @param length metres
   */
  record ByChainage(double length) implements Split {
    private static final int MOST = 10_000;

    /**
     * @throws IllegalArgumentException if the length is not greater than zero
     */
    public ByChainage {
      if (!(length > 0) || Double.isInfinite(length)) {
        throw new IllegalArgumentException("Files are split every so many metres, more than 0.");
      }
    }

    @Override
    public String word() {
      return Double.toString(length);
    }

    @Override
    public Map<String, List<Part>> deal(List<Item> items, double chord) {
      List<Alignment> axes =
          items.stream()
              .flatMap(
                  i ->
                      i.shape() instanceof Shape.Axis a
                          ? java.util.stream.Stream.of(a.alignment())
                          : java.util.stream.Stream.empty())
              .toList();
      TreeMap<Long, List<Part>> parts = new TreeMap<>();
      List<Part> rest = new ArrayList<>();
      for (int n = 0; n < items.size(); n++) {
        Item i = items.get(n);
        Optional<Alignment> own = i.shape().follows();
        if (own.isPresent()) {
          Alignment a = own.get();
          double low = Math.min(a.startChainage(), a.endChainage());
          double high = Math.max(a.startChainage(), a.endChainage());
          for (var e : a.chainages().equations()) {
            low = Math.min(low, Math.min(e.ahead(), e.back()));
            high = Math.max(high, Math.max(e.ahead(), e.back()));
          }
          long first = (long) Math.floor(low / length + 1e-9);
          long last = (long) Math.ceil(high / length - 1e-9);
          if (last - first > MOST) {
            throw new IllegalArgumentException(
                "Every " + length + " m would be more than " + MOST + " files. Take longer parts.");
          }
          boolean taken = false;
          for (long k = first; k < last; k++) {
            Optional<Item> part =
                Extract.inRange(i, new ChainageRange(k * length, (k + 1) * length), chord);
            if (part.isPresent()) {
              parts.computeIfAbsent(k, q -> new ArrayList<>()).add(new Part(n, part.get()));
              taken = true;
            }
          }
          if (!taken) {
            rest.add(new Part(n, i));
          }
        } else {
          Optional<Double> at = chainage(i, axes);
          if (at.isPresent()) {
            parts
                .computeIfAbsent((long) Math.floor(at.get() / length), q -> new ArrayList<>())
                .add(new Part(n, i));
          } else {
            rest.add(new Part(n, i));
          }
        }
      }
      Map<String, List<Part>> out = new LinkedHashMap<>();
      parts.forEach((k, list) -> out.put(label(k * length), list));
      if (!rest.isEmpty()) {
        out.put(REST, rest);
      }
      return out;
    }

    /** To the millimetre where the length is no whole number of metres: labels differ. */
    private String label(double chainage) {
      boolean whole = length == Math.rint(length);
      String number =
          String.format(
              Locale.ROOT,
              whole ? "%d+%03.0f" : "%d+%07.3f",
              (long) (Math.abs(chainage) / 1000 + 1e-9),
              Math.abs(chainage) % 1000);
      return (chainage < 0 ? "minus-" : "") + number;
    }

    private static Optional<Double> chainage(Item i, List<Alignment> axes) {
      Box b = i.bounds();
      double east = (b.minE() + b.maxE()) / 2;
      double north = (b.minN() + b.maxN()) / 2;
      return axes.stream()
          .flatMap(a -> Footpoint.of(a, east, north).stream())
          .min(java.util.Comparator.comparingDouble(f -> Math.abs(f.offset())))
          .map(Footpoint::chainage);
    }
  }
}
