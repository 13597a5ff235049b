package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityAttributes;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.ProductClasses;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;
import wellspan.exchange.file.UniqueNames;

/**
 * Type objects: what like occurrences share, with their shape; and in IFC2x3 also where the class
 * of an occurrence has no predefined type of its own, as a pipe is an IfcFlowSegment that an
 * IfcPipeSegmentType makes one.
 */
final class TypeRecords {
  private static final Set<String> GIVEN =
      Set.of("GlobalId", "OwnerHistory", "Name", "PredefinedType");

  /** Before the GlobalId that a type was received with. */
  private static final String RECEIVED = "received\u0000";

  private final StepWriter step;
  private final Parcel parcel;
  private final Schema schema;
  private final Map<Type, Shared> types = new LinkedHashMap<>();
  private final UniqueNames names = new UniqueNames();
  private final Set<Integer> shown = new HashSet<>();
  private final Set<String> taken = new HashSet<>();

  /**
   * What tells types apart.
   *
   * @param word the sender's own, of a user-defined one
   * @param map the shape that occurrences share, 0 for none and for a received type
   * @param received what the type was received as, where it was
   */
  private record Type(
      String entity, String predefinedType, String word, int map, Optional<Holder> received) {}

  private record Shared(
      String key,
      String name,
      Map<String, PropertyValue> attributes,
      List<Integer> occurrences,
      Set<Integer> maps) {
    Shared(String key, String name, Map<String, PropertyValue> attributes) {
      this(key, name, attributes, new ArrayList<>(), new LinkedHashSet<>());
    }

    Shared(String key, String name) {
      this(key, name, Map.of());
    }
  }

  TypeRecords(StepWriter step, Parcel parcel, Schema schema) {
    this.step = step;
    this.parcel = parcel;
    this.schema = schema;
  }

  /** Whether the predefined type of a class stands on a type object. */
  boolean hold(EntityClass c) {
    return parcel.schema() == IfcSchema.IFC2X3
        && schema.entity(c.entity()).map(e -> e.typeAttribute().isEmpty()).orElse(false);
  }

  /**
   * Notes an occurrence.
   *
   * @param map the shape that it shares with others, if it does
   * @throws SchemaViolation if its class cannot do without a type that the schema has not
   */
  void of(Parcel.Piece piece, int object, Optional<Integer> map) {
    EntityClass c = piece.description().entityClass();
    boolean held = !c.predefinedType().isEmpty() && hold(c);
    String entity =
        receivedEntity(piece.description())
            .orElseGet(() -> (held ? laterClass(piece.item().kind(), c) : c.entity()) + "Type");
    if (held && schema.entity(entity).isEmpty()) {
      throw new SchemaViolation(entity + " is not an entity of " + schema.id() + ".");
    }
    Optional<Holder> received =
        piece.description().type().map(t -> t.saying(List.of(), Map.of())); // two may share a name
    if (!held && (map.isEmpty() && received.isEmpty() || !canBeWritten(entity))) {
      return;
    }
    String word =
        c.objectType().isEmpty()
            ? received.map(t -> t.entityClass().objectType()).orElse("")
            : c.objectType();
    Type type =
        new Type(
            entity, typed(entity, c), word, received.isPresent() ? 0 : map.orElse(0), received);
    Shared there = types.computeIfAbsent(type, t -> shared(t, piece));
    there.occurrences().add(object);
    map.filter(shown::add).ifPresent(there.maps()::add);
  }

  /** The entity that the type was received as, where occurrences of this class may have it. */
  private Optional<String> receivedEntity(Description d) {
    String usual = (d.entityClass().entity() + "Type").toUpperCase(Locale.ROOT);
    return d.type()
        .map(t -> t.entityClass().entity())
        .filter(this::canBeWritten)
        .filter(t -> schema.entity(t).map(e -> schema.isA(e, usual)).orElse(false));
  }

  /** What must be said and is not known, where the schema has a word for that. */
  private Optional<StepValue> required(Attribute a) {
    boolean word =
        !a.optional()
            && !a.derived()
            && !GIVEN.contains(a.name())
            && ProductClasses.allows(schema, a.type(), "NOTDEFINED");
    return word ? Optional.of(literal("NOTDEFINED")) : Optional.empty();
  }

  private Shared shared(Type type, Parcel.Piece first) {
    if (type.received().isPresent()) {
      Holder received = first.description().type().orElseThrow();
      String id = received.globalId();
      return new Shared(
          !id.isEmpty() && taken.add(id)
              ? RECEIVED + id
              : "type\u0000" + type.entity() + '\u0000' + received.bare(),
          names.of("type", received.name()),
          EntityAttributes.fitting(received.attributes(), type.entity(), parcel.schema()));
    }
    EntityClass c = first.description().entityClass();
    return type.map() == 0
        ? new Shared(
            "type " + new EntityClass(type.entity(), c.predefinedType()), c.predefinedType())
        : new Shared("type\u0000" + first.key(), names.of("type", name(first.item())));
  }

  /** Whether nothing is asked of it that nobody here knows. */
  private boolean canBeWritten(String entity) {
    return schema
        .entity(entity)
        .filter(e -> !e.isAbstract())
        .map(
            e ->
                e.attributes().stream()
                    .allMatch(
                        a ->
                            a.optional()
                                || a.derived()
                                || GIVEN.contains(a.name())
                                || required(a).isPresent()))
        .orElse(false);
  }

  /** The predefined type as the type object can say it. */
  private String typed(String entity, EntityClass c) {
    Optional<Attribute> at =
        schema.entity(entity).stream()
            .flatMap(e -> e.attributes().stream())
            .filter(a -> a.name().equals("PredefinedType"))
            .findFirst();
    if (at.isEmpty() || !(at.get().type() instanceof TypeRef.Named(String name))) {
      return "";
    }
    boolean listed =
        schema.enumeration(name).map(l -> l.contains(c.predefinedType())).orElse(false);
    return listed ? c.predefinedType() : "NOTDEFINED";
  }

  /** What like things are called: their kind, else the name of the first without its number. */
  private static String name(Item first) {
    String title = first.kind().title();
    String plain = first.name().replaceFirst("[\\s._-]*\\(?\\d+\\)?$", "");
    return title.equals("body") && !plain.isBlank()
        ? plain
        : title.substring(0, 1).toUpperCase(Locale.ROOT) + title.substring(1);
  }

  /** The later schema has a class for what the type makes of an occurrence. */
  private static String laterClass(Kind kind, EntityClass c) {
    return Stream.concat(Stream.of(kind), Kind.all().stream())
        .map(Kind::classes)
        .filter(k -> k.get(IfcSchema.IFC2X3).entity().equals(c.entity()))
        .filter(k -> k.get(IfcSchema.IFC2X3).predefinedType().equals(c.predefinedType()))
        .findFirst()
        .map(k -> k.get(IfcSchema.IFC4).entity())
        .orElse(c.entity());
  }

  private String id(String key) {
    return key.startsWith(RECEIVED)
        ? key.substring(RECEIVED.length())
        : parcel.ids().of(key, "product");
  }

  void write() throws IOException {
    for (Map.Entry<Type, Shared> e : types.entrySet()) {
      Type t = e.getKey();
      Shared shared = e.getValue();
      List<Attribute> attributes = schema.entity(t.entity()).orElseThrow().attributes();
      StepValue[] values = new StepValue[attributes.size()];
      for (int i = 0; i < values.length; i++) {
        String name = attributes.get(i).name();
        values[i] =
            switch (name) {
              case "GlobalId" -> text(id(shared.key()));
              case "OwnerHistory" -> step.owner();
              case "Name" -> text(shared.name());
              case "ElementType" -> t.word().isEmpty() ? UNSET : text(t.word());
              case "RepresentationMaps" ->
                  shared.maps().isEmpty() ? UNSET : refs(List.copyOf(shared.maps()));
              case "PredefinedType" -> literal(t.predefinedType());
              default ->
                  shared.attributes().containsKey(name)
                      ? EntityValues.of(name, shared.attributes(), parcel)
                      : required(attributes.get(i)).orElse(UNSET);
            };
      }
      int type = step.add(t.entity(), values);
      step.root(
          "IfcRelDefinesByType",
          parcel.ids().of(shared.key(), "occurrences"),
          UNSET,
          UNSET,
          refs(shared.occurrences()),
          ref(type));
    }
  }
}
