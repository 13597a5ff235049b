package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.text;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.FacilityUsage;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.describe.SpatialStructure;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/**
 * Writes the structure below the site, as the pieces say where they stand, what stands in each
 * level of it, and assemblies with their parts. A model of IFC4.3 has a road even if nothing stands
 * in it.
 */
final class StructureRecords {
  private static final List<Holder> EMPTY_ROAD =
      List.of(
          new Holder(new EntityClass("IfcRoad", ""), ""),
          new Holder(new EntityClass("IfcRoadPart", "ROADSEGMENT"), SpatialStructure.NO_ROAD));

  private final StepWriter step;
  private final Parcel parcel;
  private final ProjectRecords project;
  private final PropertyRecords properties;
  private final Schema schema;

  /** By class and name alone, so that what two files call alike is one. */
  private final Map<List<Holder>, Level> levels = new LinkedHashMap<>();

  /** What sites stand in that a model has beside its first one. */
  private final Level beside;

  /** Pieces that are levels themselves, by their GlobalIds. */
  private final Map<String, Parcel.Piece> rooms = new HashMap<>();

  private final ShapeOfLevel shapes;

  private final Map<List<Holder>, Assembly> assemblies = new LinkedHashMap<>();
  private final Set<Holder> pavements = new HashSet<>();

  /** Writes the shape of a piece that is a level. */
  interface ShapeOfLevel {
    /** Its number in the file. */
    int write(Parcel.Piece room) throws IOException;
  }

  /** One level: its object, where it lies, what is in it and what it only refers to. */
  private record Level(
      String key,
      int object,
      int placement,
      List<Integer> parts,
      List<Integer> content,
      List<Integer> alignments) {
    Level(String key, int object, int placement) {
      this(key, object, placement, new ArrayList<>(), new ArrayList<>(), new ArrayList<>());
    }
  }

  /** An assembly, which is written when all of its parts are. */
  private record Assembly(List<Holder> path, List<Integer> parts) {}

  private StructureRecords(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      PropertyRecords properties,
      Schema schema,
      ShapeOfLevel shapes) {
    this.shapes = shapes;
    this.step = step;
    this.parcel = parcel;
    this.project = project;
    this.properties = properties;
    this.schema = schema;
    parcel.levels().forEach(p -> rooms.put(p.description().globalId(), p));
    levels.put(List.of(), new Level("site", project.site(), project.sitePlacement()));
    beside = new Level("project", project.project(), project.sitePlacement());
  }

  /** Writes every level that a piece of the parcel stands in or is. */
  static StructureRecords write(
      StepWriter step,
      Parcel parcel,
      ProjectRecords project,
      PropertyRecords properties,
      Schema schema,
      ShapeOfLevel shapes)
      throws IOException {
    StructureRecords out = new StructureRecords(step, parcel, project, properties, schema, shapes);
    for (Parcel.Piece p : parcel.pieces()) {
      if (out.isLevel(p)) {
        out.level(p);
      } else {
        out.level(out.levelsOf(p.description().structure()));
      }
    }
    if (parcel.root().isPresent()) {
      for (List<Holder> path : parcel.root().get().levels()) {
        out.level(path);
      }
    } else if (parcel.schema() == IfcSchema.IFC4X3 && out.levels.size() == 1) {
      String name = parcel.info().facility();
      out.level(
          List.of(
              new Holder(EMPTY_ROAD.getFirst().entityClass(), name.isEmpty() ? "Road" : name),
              EMPTY_ROAD.getLast()));
    }
    return out;
  }

  /** Pieces may share a name, and are told by their ids. */
  private List<Holder> bare(List<Holder> path) {
    return path.stream()
        .map(
            h ->
                rooms.containsKey(h.globalId())
                    ? new Holder(h.entityClass(), h.globalId())
                    : h.bare())
        .toList();
  }

  /** Whether a piece is a level itself. */
  boolean isLevel(Parcel.Piece p) {
    return rooms.containsKey(p.description().globalId());
  }

  /** The object of a piece that is a level. */
  int level(Parcel.Piece room) throws IOException {
    Description d = room.description();
    List<Holder> path = new ArrayList<>(levelsOf(d.structure()));
    path.add(new Holder(d.entityClass(), room.item().name()).withGlobalId(d.globalId()));
    return level(path).object();
  }

  private static boolean isSite(List<Holder> path) {
    return path.getFirst().entityClass().entity().equals("IfcSite");
  }

  private boolean isAssembly(Holder h) {
    return schema
        .entity(h.entityClass().entity())
        .map(e -> schema.isA(e, "IFCELEMENT"))
        .orElse(false);
  }

  private List<Holder> levelsOf(List<Holder> path) {
    int levelCount = path.size();
    while (levelCount > 0 && isAssembly(path.get(levelCount - 1))) {
      levelCount--;
    }
    return path.subList(0, levelCount);
  }

  private Level level(List<Holder> path) throws IOException {
    Level there = levels.get(bare(path));
    if (there != null) {
      return there;
    }
    Level above =
        path.size() == 1 && isSite(path) ? beside : level(path.subList(0, path.size() - 1));
    Holder part = path.getLast();
    Parcel.Piece room = rooms.get(part.globalId());
    String key = room == null ? key(path) : room.key();
    int placement = step.add("IfcLocalPlacement", ref(above.placement()), ref(project.identity()));
    StepValue shape = room == null ? UNSET : ref(shapes.write(room));
    Map<String, PropertyValue> said =
        room == null ? part.attributes() : room.description().attributes();
    Level made = new Level(key, object(part, said, key, placement, shape), placement);
    above.parts().add(made.object());
    levels.put(bare(path), made);
    if (room == null) { // which says itself what there is to say
      properties.attach(key, made.object(), part.propertySets());
    }
    return made;
  }

  /**
   * Made of names only, so that a level keeps its identity in every schema; the first road and its
   * only part have those that they always had.
   */
  private String key(List<Holder> path) {
    boolean first = path.getFirst().name().equals(facility());
    if (first && path.size() == 1) {
      return "road";
    }
    if (first && path.size() == 2 && path.getLast().name().equals(SpatialStructure.NO_ROAD)) {
      return "road part";
    }
    StringBuilder out = new StringBuilder("structure");
    path.forEach(p -> out.append('\u0000').append(p.name()));
    return out.toString();
  }

  private String facility() {
    return parcel.info().facility().isEmpty() ? SpatialStructure.ROAD : parcel.info().facility();
  }

  private int object(
      Holder part, Map<String, PropertyValue> said, String key, int placement, StepValue shape)
      throws IOException {
    EntityClass c = part.entityClass();
    Entity entity = schema.entity(c.entity()).orElseThrow();
    List<Attribute> attributes = entity.attributes();
    StepValue[] values = new StepValue[attributes.size()];
    for (int i = 0; i < values.length; i++) {
      values[i] =
          switch (attributes.get(i).name()) {
            case "GlobalId" ->
                text(part.globalId().isEmpty() ? parcel.ids().of(key, "product") : part.globalId());
            case "OwnerHistory" -> step.owner();
            case "Name" -> part.name().isEmpty() ? UNSET : text(part.name());
            case "ObjectType" -> c.objectType().isEmpty() ? UNSET : text(c.objectType());
            case "ObjectPlacement" -> ref(placement);
            case "Representation" -> shape;
            case "CompositionType" -> literal(said(said, "CompositionType", "ELEMENT"));
            case FacilityUsage.ATTRIBUTE ->
                literal(said(said, FacilityUsage.ATTRIBUTE, FacilityUsage.of(c.predefinedType())));
            case "InteriorOrExteriorSpace" ->
                literal(c.predefinedType().isEmpty() ? "NOTDEFINED" : c.predefinedType());
            case String name when entity.isType(name) ->
                c.predefinedType().isEmpty() ? UNSET : literal(c.predefinedType());
            case String name -> EntityValues.of(name, said, parcel);
          };
    }
    return step.add(c.entity(), values);
  }

  private static String said(Map<String, PropertyValue> said, String attribute, String usual) {
    PropertyValue v = said.get(attribute);
    return v == null ? usual : v.show();
  }

  /** Notes that a product stands where its piece says. */
  void contain(Parcel.Piece piece, int product) throws IOException {
    contain(piece.description().structure(), product);
  }

  private void contain(List<Holder> path, int product) throws IOException {
    if (!path.isEmpty() && isAssembly(path.getLast())) {
      assemblies
          .computeIfAbsent(bare(path), k -> new Assembly(path, new ArrayList<>()))
          .parts()
          .add(product);
    } else {
      level(path).content().add(product);
    }
  }

  /** Writes assemblies, which stand in the structure in their parts' stead. */
  void assemblies() throws IOException {
    for (Assembly a : List.copyOf(assemblies.values())) {
      for (int n = a.path().size() - 1; n > 0 && isAssembly(a.path().get(n - 1)); n--) {
        List<Holder> outer = a.path().subList(0, n);
        assemblies.computeIfAbsent(bare(outer), k -> new Assembly(outer, new ArrayList<>()));
      }
    }
    List<Assembly> innermostFirst = new ArrayList<>(assemblies.values());
    innermostFirst.sort(Comparator.comparingInt((Assembly a) -> a.path().size()).reversed());
    for (Assembly a : innermostFirst) {
      Holder h = a.path().getLast();
      boolean pavement = h.globalId().isEmpty() && h.entityClass().entity().equals("IfcPavement");
      String key = pavement ? pavementKey(a.path()) : key(a.path());
      int placement =
          step.add("IfcLocalPlacement", ref(project.sitePlacement()), ref(project.identity()));
      int object = object(h, h.attributes(), key, placement, UNSET);
      properties.attach(key, object, h.propertySets());
      contain(a.path().subList(0, a.path().size() - 1), object);
      step.root(
          "IfcRelAggregates",
          parcel.ids().of(key, pavement ? "courses" : "parts"),
          UNSET,
          UNSET,
          ref(object),
          refs(a.parts()));
    }
  }

  /** Pavements keep the identity that they always had, which is that of their road's name. */
  private String pavementKey(List<Holder> path) {
    Holder pavement = path.getLast();
    String road = SpatialStructure.roadOfPavement(pavement.name());
    return "pavement "
        + road
        + (pavements.add(pavement.bare()) ? "" : "\u0000" + path.subList(0, path.size() - 1));
  }

  /** The object of the road, or other work, that something of a name belongs to. */
  int facility(String name) {
    return named(name).object();
  }

  /** Notes an alignment, which belongs to the project, for the road of its name. */
  void along(String name, int alignment) {
    named(name).alignments().add(alignment);
  }

  /** The level of a name; the first road if there is none of it, else the site. */
  private Level named(String name) {
    Level out = levels.get(List.of());
    for (Map.Entry<List<Holder>, Level> e : levels.entrySet()) {
      if (!e.getKey().isEmpty()
          && e.getKey().getLast().name().equals(SpatialStructure.segmentOf(name))) {
        return e.getValue();
      }
      if (e.getKey().size() == 1 && !isSite(e.getKey()) && out.key().equals("site")) {
        out = e.getValue();
      }
    }
    return out;
  }

  /** Writes how the levels hang together and what stands in each. */
  void relate() throws IOException {
    if (!beside.parts().isEmpty()) {
      relation(
          "IfcRelAggregates", beside, "other sites", ref(beside.object()), refs(beside.parts()));
    }
    for (Level l : levels.values()) {
      if (!l.parts().isEmpty()) {
        relation("IfcRelAggregates", l, "parts", ref(l.object()), refs(l.parts()));
      }
    }
    for (Level l : levels.values()) {
      if (!l.content().isEmpty()) {
        relation(
            "IfcRelContainedInSpatialStructure", l, "content", refs(l.content()), ref(l.object()));
      }
    }
    for (Level l : levels.values()) {
      if (!l.alignments().isEmpty()) {
        relation(
            "IfcRelReferencedInSpatialStructure",
            l,
            "alignments",
            refs(l.alignments()),
            ref(l.object()));
      }
    }
  }

  private void relation(String entity, Level l, String role, StepValue one, StepValue other)
      throws IOException {
    step.root(entity, parcel.ids().of(l.key(), role), UNSET, UNSET, one, other);
  }
}
