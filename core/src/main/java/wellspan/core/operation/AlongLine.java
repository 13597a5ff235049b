package wellspan.core.operation;

import wellspan.core.item.ItemId;

/** A recipe whose items follow a line: they change when it does. */
public interface AlongLine extends Recipe {
  /** The alignment or string. */
  ItemId along();
}
