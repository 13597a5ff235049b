package wellspan.core.colouring;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;

/**
 * A colour for each item by what it says. Few values get a colour each, the most frequent first;
 * many numbers get one for each of some ranges of equal width. Immutable; made in time of the
 * number of items.
 *
 * @param by what was asked
 * @param entries in the order of a legend, each with its items; those that say nothing come last
 * @param colours 0xRRGGBB of each item
 */
public record Colouring(ColourBy by, List<Entry> entries, Map<ItemId, Integer> colours) {
  /** What is said by nothing, and what is left when colours run out. */
  static final int GREY = 0xB9B7AE;

  private static final int RANGES = 6;

  /** Told apart also by those who see red and green alike; mid tones that stand on both papers. */
  private static final int[] APART = {
    0x3E6FA3, 0xD98A2B, 0x5E8C4A, 0x8A5A99, 0xC25B4E, 0x3C9A96, 0xA7823F, 0x6B7FC4, 0xB5688B,
    0x7B9E3D, 0x4F6470, 0xC9A227
  };

  /** From little to much. */
  private static final int[] RISING = {0xD9E3C1, 0xB5CFA0, 0x83B58A, 0x4F9684, 0x2F7377, 0x204F63};

  /**
   * A line of the legend.
   *
   * @param value as said, a range of numbers, or that nothing is said
   */
  public record Entry(String value, int rgb, List<ItemId> items) {
    public Entry {
      items = List.copyOf(items);
    }
  }

  public Colouring {
    entries = List.copyOf(entries);
    colours = Map.copyOf(colours);
  }

  public static Colouring of(Build build, ColourBy by) {
    Map<String, List<ItemId>> said = new LinkedHashMap<>();
    Map<ItemId, Double> numbers = new LinkedHashMap<>();
    List<ItemId> silent = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      Optional<PropertyValue> v = by.of(build, i);
      if (v.isEmpty()) {
        silent.add(i.id());
        continue;
      }
      said.computeIfAbsent(v.get().show(), k -> new ArrayList<>()).add(i.id());
      number(v.get()).ifPresent(n -> numbers.put(i.id(), n));
    }
    boolean allNumbers =
        !said.isEmpty() && said.values().stream().mapToInt(List::size).sum() == numbers.size();
    List<Entry> out = allNumbers && said.size() > RANGES ? ranges(numbers) : values(said);
    if (!silent.isEmpty()) {
      out.add(new Entry("nothing said", GREY, silent));
    }
    Map<ItemId, Integer> colours = new HashMap<>();
    out.forEach(e -> e.items().forEach(i -> colours.put(i, e.rgb())));
    return new Colouring(by, out, colours);
  }

  private static OptionalDouble number(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length l -> OptionalDouble.of(l.metres());
      case PropertyValue.Area a -> OptionalDouble.of(a.squareMetres());
      case PropertyValue.Measure m -> OptionalDouble.of(m.number());
      case PropertyValue.Count c -> OptionalDouble.of((double) c.number());
      case PropertyValue.Real r -> OptionalDouble.of(r.number());
      default -> OptionalDouble.empty();
    };
  }

  private static List<Entry> values(Map<String, List<ItemId>> said) {
    List<Map.Entry<String, List<ItemId>>> byCount = new ArrayList<>(said.entrySet());
    byCount.sort(
        Comparator.comparingInt((Map.Entry<String, List<ItemId>> e) -> -e.getValue().size())
            .thenComparing(Map.Entry::getKey));
    List<Entry> out = new ArrayList<>();
    List<ItemId> rest = new ArrayList<>();
    for (int i = 0; i < byCount.size(); i++) {
      if (i < APART.length) {
        out.add(new Entry(byCount.get(i).getKey(), APART[i], byCount.get(i).getValue()));
      } else {
        rest.addAll(byCount.get(i).getValue());
      }
    }
    if (!rest.isEmpty()) {
      out.add(new Entry((byCount.size() - APART.length) + " other values", 0x8D8B84, rest));
    }
    return out;
  }

  private static List<Entry> ranges(Map<ItemId, Double> numbers) {
    double least = numbers.values().stream().mapToDouble(d -> d).min().orElse(0);
    double most = numbers.values().stream().mapToDouble(d -> d).max().orElse(0);
    double width = (most - least) / RANGES;
    List<List<ItemId>> in = new ArrayList<>();
    for (int r = 0; r < RANGES; r++) {
      in.add(new ArrayList<>());
    }
    numbers.forEach(
        (id, n) -> in.get(Math.clamp((int) ((n - least) / width), 0, RANGES - 1)).add(id));
    List<Entry> out = new ArrayList<>();
    for (int r = 0; r < RANGES; r++) {
      if (!in.get(r).isEmpty()) {
        out.add(
            new Entry(
                figure(least + r * width) + " to " + figure(least + (r + 1) * width),
                RISING[r],
                in.get(r)));
      }
    }
    return out;
  }

  private static String figure(double d) {
    return String.format(Locale.ROOT, Math.abs(d) < 100 ? "%.3f" : "%.1f", d);
  }
}
