package wellspan.core.item;

import java.util.Locale;

/**
 * Identity of an item over all revisions of its source: source name, kind and the item's name in
 * the source.
 *
 * @param value as written in {@code job.json}, for instance {@code quay-road/alignment/Quay Road}
 */
public record ItemId(String value) implements Comparable<ItemId> {

  public static ItemId of(String source, String kind, String name) {
    return new ItemId(source + "/" + kind.toLowerCase(Locale.ROOT).replace(' ', '-') + "/" + name);
  }

  @Override
  public int compareTo(ItemId o) {
    return value.compareTo(o.value);
  }

  @Override
  public String toString() {
    return value;
  }
}
