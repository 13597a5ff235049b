package wellspan.core.describe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.attribute.SpatialPart;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;
import wellspan.core.shape.Shape;

/**
 * Where in the structure of a model items stand: where a rule puts them, else where they were
 * received, else by their bridge or road. In IFC4.3 each road is a segment with its carriageway,
 * footways and others as parts, and what is of no road is in one of its own, but ground and points
 * are in the site; earlier schemas have no roads, so all of that stands in the site there. Any
 * thread may use it.
 */
public final class SpatialStructure {
  /** What the road is called where nobody names it. */
  public static final String ROAD = "Road";

  /** What the part is called that holds what is of no road. */
  public static final String NO_ROAD = "Road segment";

  private static final Kind DECK = Kind.of("bridge deck");
  private static final Set<Kind> BELOW_DECK =
      Set.of(
          Kind.of("bridge abutment"),
          Kind.of("bridge cross beam"),
          Kind.of("bridge column"),
          Kind.of("bridge bearing"));

  private final IfcSchema schema;
  private final Schema tables;
  private final Optional<String> whole;
  private final Set<String> roads = new HashSet<>();
  private final Set<String> bridges = new HashSet<>();

  /**
   * @param all among which roads and bridges are looked for
   * @param facility name of the work that all roads are parts of, empty if not stated
   */
  public SpatialStructure(Iterable<Item> all, String facility, IfcSchema schema) {
    this.schema = schema;
    tables = Schema.forFile(schema.id()).orElseThrow();
    whole = Optional.of(facility).filter(f -> !f.isEmpty());
    for (Item i : all) {
      if (i.kind().is(Kind.ALIGNMENT)) {
        roads.add(i.name());
      } else if (i.kind().is(DECK)) {
        bridges.add(i.layer());
      }
    }
  }

  /**
   * Levels below the site, outermost first; none for what stands in the site itself.
   *
   * @param said where a rule or its source places the item, empty where none does; a part without a
   *     facility is one of that which the item is in anyway
   */
  public List<SpatialPart> of(Item item, List<SpatialPart> said) {
    List<SpatialPart> decided = inSchema(said);
    if (decided.isEmpty()) {
      return standard(item);
    }
    if (!said.getFirst().isPartOfFacility()) {
      return decided;
    }
    List<SpatialPart> usual = standard(item);
    List<SpatialPart> out = new ArrayList<>();
    if (usual.isEmpty()) {
      Optional<String> name = roadOf(item).map(SpatialStructure::segmentOf);
      out.addAll(inSchema(List.of(road(name.or(() -> whole).orElse(ROAD)))));
    } else {
      boolean bridge = usual.getFirst().entityClass().entity().equals("IfcBridge");
      out.addAll(usual.subList(0, bridge ? 1 : 2));
    }
    out.addAll(decided);
    return List.copyOf(out);
  }

  private List<SpatialPart> standard(Item item) {
    if (schema != IfcSchema.IFC4X3) {
      return List.of();
    }
    if (bridges.contains(item.layer())) {
      String part = BELOW_DECK.contains(item.kind()) ? "Substructure" : "Superstructure";
      return List.of(
          new SpatialPart(
              new EntityClass("IfcBridge", "NOTDEFINED"),
              item.layer().isEmpty() ? "Bridge" : item.layer()),
          new SpatialPart(
              new EntityClass("IfcBridgePart", part.toUpperCase(java.util.Locale.ROOT)), part));
    }
    if (item.kind().stratum() == Band.GROUND || item.shape() instanceof Shape.Points) {
      return List.of();
    }
    Optional<String> name = roadOf(item);
    List<SpatialPart> out = new ArrayList<>();
    out.add(road(whole.orElse(ROAD)));
    out.add(segment(name.map(SpatialStructure::segmentOf).orElse(NO_ROAD)));
    if (name.isPresent()) {
      item.kind()
          .roadPart()
          .map(p -> new SpatialPart(p.entityClass(), name.get() + " " + p.name()))
          .ifPresent(out::add);
    }
    return List.copyOf(out);
  }

  /**
   * What the part of a road is called that is one alignment long. No level has the name of a thing,
   * or who looks for the thing would find the level.
   */
  public static String segmentOf(String road) {
    return road + " segment";
  }

  private static SpatialPart road(String name) {
    return new SpatialPart(new EntityClass("IfcRoad", ""), name);
  }

  private static SpatialPart segment(String name) {
    return new SpatialPart(new EntityClass("IfcRoadPart", "ROADSEGMENT"), name);
  }

  /** The road that a thing says it is of, or on whose layer it lies. */
  private Optional<String> roadOf(Item item) {
    Optional<String> said =
        item.said().propertySets().stream()
            .map(s -> s.values().get("Road"))
            .filter(v -> v instanceof PropertyValue.Label)
            .map(PropertyValue::show)
            .findFirst();
    return said.filter(s -> roads.contains(s) || s.equals(item.layer()))
        .or(() -> Optional.of(item.layer()).filter(roads::contains));
  }

  /**
   * A path as the schema can hold it: roads, bridges and their parts are buildings and storeys
   * where it has none, and what it has nothing for is passed over.
   */
  private List<SpatialPart> inSchema(List<SpatialPart> path) {
    List<SpatialPart> out = new ArrayList<>();
    for (SpatialPart p : path) {
      EntityClass c = p.entityClass();
      Entity known = spatial(c.entity());
      if (known == null && isOfFacility(c.entity())) {
        String building = p.isPartOfFacility() ? "IfcBuildingStorey" : "IfcBuilding";
        c = new EntityClass(building, c.predefinedType(), c.objectType());
        known = spatial(c.entity());
      }
      if (known != null) {
        boolean typed =
            known.attributes().stream().anyMatch(a -> a.name().equals("PredefinedType"));
        String word = c.type().equals("NOTDEFINED") ? "" : c.type();
        out.add(new SpatialPart(typed ? c : new EntityClass(c.entity(), "", word), p.name()));
      }
    }
    return out;
  }

  private Entity spatial(String entity) {
    return tables
        .entity(entity)
        .filter(e -> !e.isAbstract() && tables.isA(e, "IFCSPATIALSTRUCTUREELEMENT"))
        .filter(e -> !tables.isA(e, "IFCSITE"))
        .orElse(null);
  }

  private static boolean isOfFacility(String entity) {
    Schema latest = Schema.forFile(IfcSchema.IFC4X3.id()).orElseThrow();
    return latest
        .entity(entity)
        .map(e -> latest.isA(e, "IFCFACILITY") || latest.isA(e, "IFCFACILITYPART"))
        .orElse(false);
  }
}
