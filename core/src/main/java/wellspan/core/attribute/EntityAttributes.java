package wellspan.core.attribute;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import wellspan.core.attribute.PropertyValue.Words;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;

/**
 * What an entity of a schema says of a thing by itself, in plain texts, numbers and literals: a
 * description, a tag, the elevation of a storey, how a door opens. Identity, name, class and place
 * are not among them. Any thread may ask.
 */
public final class EntityAttributes {
  /** What is said elsewhere, or anew by each file. */
  private static final Set<String> ELSEWHERE =
      Set.of(
          "GlobalId",
          "Name",
          "ObjectType",
          "ElementType",
          "ProcessType",
          "Phase",
          "RefElevation",
          "FlowDirection",
          "SystemType");

  /** What stands for nothing said, where a schema has no other way. */
  private static final Set<String> UNSAID = Set.of("NOTDEFINED", "ELEMENT");

  private static final Map<Schema, Map<String, List<Slot>>> KNOWN = new ConcurrentHashMap<>();

  private EntityAttributes() {}

  /** What kind of value an attribute takes. */
  public enum Form {
    TEXT,
    LENGTH,
    NUMBER,
    WHOLE,
    FLAG,
    LITERAL
  }

  /**
   * One attribute.
   *
   * @param index in the order of the file
   * @param type name of its type in upper case
   * @param limit greatest number of letters of a text, 0 for none
   */
  public record Slot(String name, int index, Form form, String type, int limit) {}

  /** Those of an entity, in the order of the file. */
  public static List<Slot> of(Schema schema, Entity entity) {
    return KNOWN
        .computeIfAbsent(schema, s -> new ConcurrentHashMap<>())
        .computeIfAbsent(entity.name(), n -> slots(schema, entity));
  }

  private static List<Slot> slots(Schema schema, Entity entity) {
    List<Slot> out = new ArrayList<>();
    List<Attribute> all = entity.attributes();
    for (int i = 0; i < all.size(); i++) {
      Attribute a = all.get(i);
      if (ELSEWHERE.contains(a.name())
          || entity.isType(a.name())
          || !(a.type() instanceof TypeRef.Named(String type))) {
        continue;
      }
      String upper = type.toUpperCase(Locale.ROOT);
      Form form =
          schema.enumeration(upper).isPresent()
              ? Form.LITERAL
              : switch (schema.simpleType(upper).orElse("")) {
                case "STRING" -> Form.TEXT;
                case "REAL", "NUMBER" ->
                    upper.endsWith("LENGTHMEASURE") ? Form.LENGTH : Form.NUMBER;
                case "INTEGER" -> Form.WHOLE;
                case "BOOLEAN" -> Form.FLAG;
                default -> null;
              };
      if (form != null) {
        int limit = schema.type(upper).map(Schema.DefinedType::maxLength).orElse(0);
        out.add(new Slot(a.name(), i, form, upper, limit));
      }
    }
    return List.copyOf(out);
  }

  /**
   * Whether a literal says anything of a thing: that it is what things of its class usually are
   * says nothing.
   *
   * @param type predefined type of the thing
   */
  public static boolean says(Slot s, String literal, String type) {
    return !(s.name().equals(FacilityUsage.ATTRIBUTE)
        ? literal.equals(FacilityUsage.of(type))
        : UNSAID.contains(literal));
  }

  /** Those that an entity of a schema can say too; the others have no place in it. */
  public static Map<String, PropertyValue> fitting(
      Map<String, PropertyValue> said, String entity, IfcSchema schema) {
    if (said.isEmpty()) {
      return said;
    }
    Schema tables = Schema.forFile(schema.id()).orElseThrow();
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    for (Slot s : tables.entity(entity).map(e -> of(tables, e)).orElse(List.of())) {
      PropertyValue v = said.get(s.name());
      if (v != null && takes(tables, s, v)) {
        out.put(s.name(), s.form() == Form.LITERAL ? new Words(s.type(), v.show()) : v);
      }
    }
    return out;
  }

  private static boolean takes(Schema tables, Slot s, PropertyValue v) {
    return switch (s.form()) {
      case TEXT ->
          v instanceof PropertyValue.Label(String t) && (s.limit() == 0 || t.length() <= s.limit());
      case LENGTH -> v instanceof PropertyValue.Length;
      case NUMBER -> v instanceof PropertyValue.Real || v instanceof PropertyValue.Measure;
      case WHOLE -> v instanceof PropertyValue.Count;
      case FLAG -> v instanceof PropertyValue.Flag;
      case LITERAL ->
          v instanceof Words(String type, String literal)
              && tables.enumeration(s.type()).orElse(Set.of()).contains(literal);
    };
  }
}
