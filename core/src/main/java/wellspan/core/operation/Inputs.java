package wellspan.core.operation;

import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;

/** Where operations find other items, as shaped by their own steps. */
public interface Inputs {
  /**
   * @throws IllegalArgumentException with a sentence, if there is no such item
   */
  Item item(ItemId id);

  /**
   * The triangles of a terrain surface.
   *
   * @throws IllegalArgumentException with a sentence, if the item is none
   */
  default Mesh ground(ItemId id) {
    Item item = item(id);
    return item.kind().is(wellspan.core.item.Kind.TERRAIN)
        ? item.triangles().orElseThrow()
        : notGround(id);
  }

  private static Mesh notGround(ItemId id) {
    throw new IllegalArgumentException(id + " is no surface. Choose a terrain surface.");
  }
}
