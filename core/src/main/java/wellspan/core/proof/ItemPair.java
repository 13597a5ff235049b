package wellspan.core.proof;

import wellspan.core.item.Item;

/** An item as it was meant and as it arrived. */
public record ItemPair(Item sent, Item arrived) {}
