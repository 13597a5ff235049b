package wellspan.core.describe;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;

/** What models call networks and their ports, and which groups and systems items are members of. */
public final class Networks {
  private Networks() {}

  /** What a port says of the system it is of, as a schema can say it. */
  public static String portSystem(Connection of, IfcSchema schema) {
    return inSchema(system(of.type()), "SystemType", schema);
  }

  private static String inSchema(String literal, String attribute, IfcSchema schema) {
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    return tables.entity("IfcDistributionPort").orElseThrow().attributes().stream()
        .filter(a -> a.name().equals(attribute))
        .findFirst()
        .filter(a -> ProductClasses.allows(tables, a.type(), literal))
        .map(a -> literal)
        .orElse("NOTDEFINED");
  }

  /** What a model calls systems of a type that a {@link Connection} has. */
  private static String system(String type) {
    return switch (type) {
      case "storm" -> "STORMWATER";
      case "sanitary" -> "SEWAGE";
      case "water" -> "WATERSUPPLY";
      default ->
          type.isEmpty() || !type.equals(type.toUpperCase(Locale.ROOT)) ? "NOTDEFINED" : type;
    };
  }

  /** The type of a port as a schema can say it; pipes are what networks are made of here. */
  public static String portType(Connection.Port p, IfcSchema schema) {
    String said = p.received().map(h -> h.entityClass().predefinedType()).orElse("PIPE");
    return inSchema(said, "PredefinedType", schema);
  }

  /** Names of the groups and systems that an item is a member of, with a semicolon between. */
  public static String namesOf(Item item) {
    List<Holder> groups = item.said().groups();
    Optional<Connection> connection = item.attributes().connection();
    if (groups.isEmpty() && connection.isEmpty()) {
      return "";
    }
    Set<String> names = new LinkedHashSet<>();
    groups.forEach(g -> names.add(g.name()));
    connection.map(Connection::network).filter(n -> !n.isEmpty()).ifPresent(names::add);
    return String.join("; ", names);
  }

  /** Groups and systems of an item as a schema can hold them: those received, and its network. */
  public static List<Holder> groups(Item item, IfcSchema schema) {
    List<Holder> out = new ArrayList<>();
    item.said().groups().forEach(g -> out.add(HolderClasses.group(g, schema)));
    Optional<Connection> c = item.attributes().connection().filter(n -> !n.network().isEmpty());
    if (c.isPresent() && out.stream().noneMatch(g -> g.name().equals(c.get().network()))) {
      EntityClass system =
          schema == IfcSchema.IFC2X3
              ? new EntityClass("IfcSystem", "")
              : new EntityClass("IfcDistributionSystem", portSystem(c.get(), schema));
      out.add(new Holder(system, c.get().network()));
    }
    return List.copyOf(out);
  }
}
