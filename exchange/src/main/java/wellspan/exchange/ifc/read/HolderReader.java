package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;

/** Reads what is said of levels, assemblies, groups and types, which have no shape to be shown. */
final class HolderReader {
  private final Definitions definitions;
  private final PropertyReader properties;
  private final Map<Integer, Holder> types = new HashMap<>();

  HolderReader(Definitions definitions, PropertyReader properties) {
    this.definitions = definitions;
    this.properties = properties;
  }

  /**
   * @param name under which it is told from others beside it
   */
  Holder of(Instance i, String name) {
    return new Holder(definitions.classOf(i), name, i.text("GlobalId"), properties.of(i));
  }

  /** A type object; its sets are said of what is of it. */
  Holder type(Instance t) {
    return types.computeIfAbsent(
        t.id(),
        id ->
            new Holder(
                new EntityClass(
                    t.entity().name(), t.literal("PredefinedType"), t.text("ElementType")),
                IfcReader.nameOf(t),
                t.text("GlobalId"),
                List.of()));
  }
}
