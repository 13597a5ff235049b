package wellspan.core.deliver;

import java.util.Set;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.unit.LinearUnit;

/**
 * A saved hand-over.
 *
 * @param name unique in the job
 * @param receiver who gets it, for people
 * @param schema such as {@code IFC4X3_ADD2}
 * @param fileName name of the written file, without a path
 * @param heldBack items that stay here although the format could carry them
 */
public record Delivery(
    String name,
    String receiver,
    String schema,
    LinearUnit unit,
    String fileName,
    Set<ItemId> heldBack) {

  public Delivery {
    heldBack = Set.copyOf(heldBack);
  }

  /** Whether the format carries this kind of item. */
  public static boolean carries(Item item) {
    return switch (item) {
      case Item.TerrainSurface s -> s.mesh().triangleCount() > 0;
      case Item.AlignmentLine a -> true;
      case Item.Body b -> b.mesh().triangleCount() > 0;
      case Item.PointGroup p -> false;
    };
  }

  public boolean sends(ItemId id, Item item) {
    return carries(item) && !heldBack.contains(id);
  }

  public Delivery holdingBack(Set<ItemId> ids) {
    return new Delivery(name, receiver, schema, unit, fileName, ids);
  }
}
