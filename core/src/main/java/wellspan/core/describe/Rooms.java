package wellspan.core.describe;

import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** Things that others stand in: rooms, zones, buildings that came with a shape. Any thread. */
public final class Rooms {
  /** By class, since pictures of thousands of things ask. */
  private static final Map<String, Boolean> KNOWN = new ConcurrentHashMap<>();

  private Rooms() {}

  /** Whether it was received as a class of the structure in any schema. */
  public static boolean isRoom(Item item) {
    return KNOWN.computeIfAbsent(item.said().entityClass().entity(), Rooms::isLevel);
  }

  private static boolean isLevel(String entity) {
    for (IfcSchema s : IfcSchema.values()) {
      if (ProductClasses.isLevel(Schema.forFile(s.id()).orElseThrow(), entity)) {
        return true;
      }
    }
    return false;
  }
}
