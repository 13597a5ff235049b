package wellspan.core.item;

import wellspan.core.attribute.RelationType;

/** How one item of a job stands to another. */
public record Relation(ItemId from, RelationType type, ItemId to) {
  /** What an item that is at one end of it sees: the words, and the item at the other end. */
  public record Seen(String words, ItemId other) {}

  /**
   * @param id the item at one of the ends
   */
  public Seen from(ItemId id) {
    return from.equals(id) ? new Seen(type.words(), to) : new Seen(type.back(), from);
  }

  public boolean touches(ItemId id) {
    return from.equals(id) || to.equals(id);
  }
}
