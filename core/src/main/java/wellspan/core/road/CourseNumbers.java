package wellspan.core.road;

import java.util.Collection;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;

/**
 * Which course from the top a course is: of a road as its sections say, of a paved area by its
 * depth among those under the same surface.
 */
public final class CourseNumbers {
  private static final Kind COURSE = Kind.of("course");

  private final Map<String, TreeSet<Double>> depths = new HashMap<>();

  private CourseNumbers(Collection<Item> items) {
    for (Item i : items) {
      under(i).ifPresent(u -> depths.computeIfAbsent(u, k -> new TreeSet<>()).add(depth(i)));
    }
  }

  /**
   * @param all items among which courses lie
   */
  public static CourseNumbers of(Collection<Item> all) {
    return new CourseNumbers(all);
  }

  /** From 1, the uppermost; empty for what is no course. */
  public Optional<Integer> of(Item item) {
    if (!item.kind().is(COURSE)) {
      return Optional.empty();
    }
    Optional<Integer> said =
        value(item, RoadFacts.SET, "Number")
            .filter(PropertyValue.Count.class::isInstance)
            .map(v -> (int) ((PropertyValue.Count) v).number());
    return said.or(() -> under(item).map(u -> depths.get(u).headSet(depth(item)).size() + 1))
        .or(() -> Optional.of(1));
  }

  private static Optional<String> under(Item item) {
    return value(item, "Wellspan_Course", "Surface").map(PropertyValue::show);
  }

  private static double depth(Item item) {
    return value(item, "Wellspan_Course", "Depth")
        .filter(PropertyValue.Length.class::isInstance)
        .map(v -> ((PropertyValue.Length) v).metres())
        .orElse(0.0);
  }

  private static Optional<PropertyValue> value(Item item, String set, String name) {
    return item.said().propertySets().stream()
        .filter(s -> s.name().equals(set))
        .flatMap(s -> Optional.ofNullable(s.values().get(name)).stream())
        .findFirst();
  }
}
