package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.attribute.EntityClass;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Kind;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/**
 * Type objects, where the class of an occurrence has no predefined type of its own: in IFC2x3 a
 * pipe is an IfcFlowSegment that an IfcPipeSegmentType makes one.
 */
final class TypeRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final Schema schema;
  private final Map<EntityClass, List<Integer>> occurrences = new LinkedHashMap<>();

  TypeRecords(StepWriter step, Parcel parcel, Schema schema) {
    this.step = step;
    this.parcel = parcel;
    this.schema = schema;
  }

  /** Whether the predefined type of a class stands on a type object. */
  boolean hold(EntityClass c) {
    return parcel.schema() == IfcSchema.IFC2X3
        && schema.entity(c.entity()).map(e -> e.indexOf("PredefinedType") < 0).orElse(false);
  }

  /** Notes an occurrence. */
  void of(Parcel.Piece piece, int object) {
    EntityClass c = piece.description().entityClass();
    if (!c.predefinedType().isEmpty() && hold(c)) {
      String entity = laterClass(piece.item().kind(), c) + "Type";
      occurrences
          .computeIfAbsent(new EntityClass(entity, c.predefinedType()), k -> new ArrayList<>())
          .add(object);
    }
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

  void write() throws IOException {
    for (Map.Entry<EntityClass, List<Integer>> t : occurrences.entrySet()) {
      EntityClass c = t.getKey();
      Optional<Entity> entity = schema.entity(c.entity());
      if (entity.isEmpty()) {
        throw new SchemaViolation(c.entity() + " is not an entity of " + schema.id() + ".");
      }
      String key = "type " + c;
      List<Attribute> attributes = entity.get().attributes();
      StepValue[] values = new StepValue[attributes.size()];
      for (int i = 0; i < values.length; i++) {
        values[i] =
            switch (attributes.get(i).name()) {
              case "GlobalId" -> text(parcel.ids().of(key, "product"));
              case "OwnerHistory" -> step.owner();
              case "Name" -> text(c.predefinedType());
              case "PredefinedType" -> literal(c.predefinedType());
              default -> UNSET;
            };
      }
      int type = step.add(c.entity(), values);
      step.root(
          "IfcRelDefinesByType",
          parcel.ids().of(key, "occurrences"),
          UNSET,
          UNSET,
          refs(t.getValue()),
          ref(type));
    }
  }
}
