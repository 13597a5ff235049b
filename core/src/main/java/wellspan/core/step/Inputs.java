package wellspan.core.step;

import wellspan.core.item.Item;
import wellspan.core.item.ItemId;

/** Where steps and recipes find other items, as shaped by their own steps. */
public interface Inputs {
  /**
   * @throws IllegalArgumentException with a sentence, if there is no such item
   */
  Item item(ItemId id);
}
