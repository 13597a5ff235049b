package wellspan.core.deliver;

import java.util.Set;
import wellspan.core.describe.IfcSchema;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.unit.LinearUnit;

/**
 * A saved hand-over.
 *
 * @param name unique in the job
 * @param receiver who gets it, for people
 * @param schema version of the model's schema
 * @param zero where the zero of the written file lies
 * @param fileName name of the written file, without a path
 * @param heldBack items that stay here although the format could carry them
 */
public record Delivery(
    String name,
    String receiver,
    IfcSchema schema,
    LinearUnit unit,
    LocalZero zero,
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
      case Item.StringLine l -> true;
      case Item.Body b -> b.mesh().triangleCount() > 0;
      case Item.PointGroup p -> !p.points().isEmpty();
    };
  }

  public boolean sends(ItemId id, Item item) {
    return carries(item) && !heldBack.contains(id);
  }

  public Delivery holdingBack(Set<ItemId> ids) {
    return new Delivery(name, receiver, schema, unit, zero, fileName, ids);
  }

  public Delivery withSchema(IfcSchema s) {
    return new Delivery(name, receiver, s, unit, zero, fileName, heldBack);
  }

  public Delivery withUnit(LinearUnit u) {
    return new Delivery(name, receiver, schema, u, zero, fileName, heldBack);
  }

  public Delivery withZero(LocalZero z) {
    return new Delivery(name, receiver, schema, unit, z, fileName, heldBack);
  }
}
