package wellspan.core.item;

import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Identity of an item over all revisions of its source: source name, kind and the item's name in
 * the source.
 *
 * @param value as written in {@code job.json}, for instance {@code quay-road/alignment/Quay Road}
 */
public record ItemId(String value) implements Comparable<ItemId> {
  /** What stands for a slash, and what stands for that, and so on. */
  private static final Pattern ESCAPED = Pattern.compile("%((?:25)*2F)");

  /** The identity of an item that came from a source, or was made in the job. */
  public static ItemId of(String source, Item item) {
    return of(source, item.kind().title(), item.name());
  }

  /** Two origins never share an identity: a slash in the name of a source is escaped. */
  public static ItemId of(String source, String kind, String name) {
    String escaped = ESCAPED.matcher(source).replaceAll("%25$1").replace("/", "%2F");
    return ofOrigin(escaped, kind, name);
  }

  /** The same where slashes in the name of the source are escaped already. */
  static ItemId ofOrigin(String origin, String kind, String name) {
    return new ItemId(origin + "/" + kind.toLowerCase(Locale.ROOT).replace(' ', '-') + "/" + name);
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
