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
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** Writes groups and systems with their members, and where systems belong. */
final class GroupRecords {
  private final StepWriter step;
  private final Parcel parcel;
  private final ProjectRecords project;
  private final StructureRecords structure;
  private final PropertyRecords properties;
  private final Schema schema;
  private final Map<Holder, Members> groups = new LinkedHashMap<>();

  private record Members(Holder group, List<Integer> objects) {}

  GroupRecords(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      StructureRecords structure,
      PropertyRecords properties,
      Schema schema) {
    this.step = step;
    this.parcel = parcel;
    this.project = project;
    this.structure = structure;
    this.properties = properties;
    this.schema = schema;
  }

  /** Notes what a product is a member of. */
  void member(Parcel.Piece piece, int object) {
    for (Holder g : piece.description().groups()) {
      groups
          .computeIfAbsent(g.bare(), k -> new Members(g, new ArrayList<>()))
          .objects()
          .add(object);
    }
  }

  void write() throws IOException {
    for (Members m : groups.values()) {
      String key = "network " + m.group().name();
      int object = object(m.group(), key);
      properties.attach(key, object, m.group().propertySets());
      step.root(
          "IfcRelAssignsToGroup",
          parcel.ids().of(key, "members"),
          UNSET,
          UNSET,
          refs(m.objects()),
          UNSET,
          ref(object));
      if (isSystem(m.group())) {
        place(m.group(), key, object);
      }
    }
  }

  private boolean isSystem(Holder g) {
    return schema.isA(entity(g), "IFCSYSTEM");
  }

  private Entity entity(Holder g) {
    return schema.entity(g.entityClass().entity()).orElseThrow();
  }

  private int object(Holder g, String key) throws IOException {
    EntityClass c = g.entityClass();
    List<Attribute> attributes = entity(g).attributes();
    StepValue[] values = new StepValue[attributes.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] =
          switch (attributes.get(i).name()) {
            case "GlobalId" ->
                text(g.globalId().isEmpty() ? parcel.ids().of(key, "product") : g.globalId());
            case "OwnerHistory" -> step.owner();
            case "Name" -> text(g.name());
            case "ObjectType" -> c.objectType().isEmpty() ? UNSET : text(c.objectType());
            case "PredefinedType" ->
                c.predefinedType().isEmpty() ? UNSET : literal(c.predefinedType());
            default -> EntityValues.of(attributes.get(i).name(), g.attributes(), parcel);
          };
    }
    return step.add(c.entity(), values);
  }

  private void place(Holder g, String key, int system) throws IOException {
    String tie = parcel.ids().of(key, "place");
    if (parcel.schema() == IfcSchema.IFC4X3) {
      step.root(
          "IfcRelReferencedInSpatialStructure",
          tie,
          UNSET,
          UNSET,
          refs(List.of(system)),
          ref(structure.facility(g.name())));
    } else {
      step.root(
          "IfcRelServicesBuildings", tie, UNSET, UNSET, ref(system), refs(List.of(project.site())));
    }
  }
}
