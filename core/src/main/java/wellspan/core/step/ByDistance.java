package wellspan.core.step;

import wellspan.core.align.Cant;
import wellspan.core.item.Item;

/** What an alignment says by its distances, which a step would make untrue. */
final class ByDistance {
  private ByDistance() {}

  /**
   * @throws IllegalArgumentException with a sentence, if it says anything so
   */
  static void refuse(Item item) {
    item.said().propertySets().stream()
        .map(s -> s.name())
        .filter(n -> n.startsWith(Cant.SET) || n.startsWith("Superelevation"))
        .findFirst()
        .ifPresent(
            set -> {
              throw new IllegalArgumentException(
                  item.name()
                      + " gives its "
                      + set.toLowerCase(java.util.Locale.ROOT)
                      + " by distances from its start, which would no longer be true. Ask its author for another design, or deliver a range of chainages instead.");
            });
  }
}
