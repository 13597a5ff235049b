package wellspan.core.deliver;

import java.util.List;
import wellspan.core.describe.Description;
import wellspan.core.describe.EntityClass;
import wellspan.core.describe.KnownFacts;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;

/** Decides what goes into a parcel and what is said of each piece. */
public final class Packing {
  private Packing() {}

  /**
   * One piece: its GlobalId comes from the job and the item's identity, so it is the same in every
   * run.
   */
  public static Parcel.Piece piece(
      GlobalIds ids, ItemId id, Item item, EntityClass entityClass, String file, String revision) {
    Description d =
        new Description(
            entityClass,
            ids.of(id.value(), "product"),
            List.of(KnownFacts.of(item, file, revision)));
    return new Parcel.Piece(id.value(), item, d);
  }
}
