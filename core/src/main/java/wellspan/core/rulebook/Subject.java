package wellspan.core.rulebook;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.stream.Stream;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;

/**
 * An item as rules see it. What was asked for is kept, so that a changed rule costs little. Any
 * thread may ask.
 */
public final class Subject {
  private final Item item;
  private final String file;
  private final String revision;
  private final List<Item> above;
  private final Map<String, Optional<PropertyValue>> known = new ConcurrentHashMap<>();
  private final Map<String, Optional<PropertyValue>> attributes = new ConcurrentHashMap<>();

  /**
   * @param item with everything that was said of it, by its source and by hand
   * @param file name of its source file
   * @param revision label of the source's revision
   * @param above what it is part of, the nearest first: its road, its network
   */
  public Subject(Item item, String file, String revision, List<Item> above) {
    this.item = item;
    this.file = file;
    this.revision = revision;
    this.above = List.copyOf(above);
  }

  /** An item that is part of nothing. */
  public static Subject of(Item item, String file) {
    return new Subject(item, file, "", List.of());
  }

  /** The same of another form of the item, such as a part of it. */
  public Subject of(Item other) {
    return new Subject(other, file, revision, above);
  }

  /** The item itself. */
  public Item item() {
    return item;
  }

  /** Whether it is of just these; the same objects, not equal ones. */
  @SuppressWarnings("ReferenceEquality") // equality would compare all of the geometry
  public boolean isOf(Item i, String ofFile, String ofRevision, List<Item> partOf) {
    boolean same =
        item == i
            && file.equals(ofFile)
            && revision.equals(ofRevision)
            && above.size() == partOf.size();
    for (int n = 0; same && n < above.size(); n++) {
      same = above.get(n) == partOf.get(n);
    }
    return same;
  }

  String file() {
    return file;
  }

  String revision() {
    return revision;
  }

  /** A fact by its id; empty if the item has none. */
  public Optional<PropertyValue> fact(String id) {
    return known.computeIfAbsent(id, k -> Fact.find(k).flatMap(f -> f.of().apply(this)));
  }

  /** An attribute of the item itself, of what it was received in, or of what it is part of. */
  public Optional<PropertyValue> attribute(String name) {
    return attributes.computeIfAbsent(
        name,
        k -> {
          Optional<PropertyValue> v = own(k).or(() -> ofEntity(k)).or(() -> ofHolders(k));
          for (int i = 0; v.isEmpty() && i < above.size(); i++) {
            v = in(above.get(i).said().propertySets(), k);
          }
          return v;
        });
  }

  /** What the received entity says by itself, such as a tag. */
  private Optional<PropertyValue> ofEntity(String name) {
    return Optional.ofNullable(item.said().attributes().get(name)).filter(Subject::isGiven);
  }

  /** From assemblies and levels, the nearest first, then from groups. */
  private Optional<PropertyValue> ofHolders(String name) {
    Description said = item.said();
    return Stream.concat(said.structure().reversed().stream(), said.groups().stream())
        .flatMap(h -> in(h.propertySets(), name).stream())
        .findFirst();
  }

  /** An attribute of the item itself. */
  Optional<PropertyValue> own(String name) {
    return in(item.said().propertySets(), name);
  }

  /** {@code Set.Property}; a name without a set, or one that no set fits, in whatever set. */
  private static Optional<PropertyValue> in(List<PropertySet> sets, String name) {
    for (PropertySet set : sets) {
      String prefix = set.name() + ".";
      if (name.startsWith(prefix)) {
        PropertyValue v = set.values().get(name.substring(prefix.length()));
        if (v != null && isGiven(v)) {
          return Optional.of(v);
        }
      }
    }
    for (PropertySet set : sets) {
      PropertyValue v = set.values().get(name);
      if (v != null && isGiven(v)) {
        return Optional.of(v);
      }
    }
    return Optional.empty();
  }

  private static boolean isGiven(PropertyValue v) {
    return !(v instanceof PropertyValue.Empty) && !Typing.text(v).isEmpty();
  }

  /** Names of all attributes of some items, with their sets, for choosing from. */
  public static List<String> attributesOf(Iterable<Item> items) {
    Map<String, Boolean> names = new LinkedHashMap<>();
    for (Item i : items) {
      note(i.said().propertySets(), names);
      i.said().attributes().keySet().forEach(a -> names.put(a, true));
      i.said().structure().forEach(h -> note(h.propertySets(), names));
      i.said().groups().forEach(h -> note(h.propertySets(), names));
    }
    return names.keySet().stream().sorted().toList();
  }

  private static void note(List<PropertySet> sets, Map<String, Boolean> names) {
    for (PropertySet set : sets) {
      set.values().keySet().forEach(p -> names.put(set.name() + "." + p, true));
    }
  }
}
