package wellspan.core.describe;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/**
 * Where in the structure of a model items stand: where a rule puts them, else where they were
 * received, else by their bridge or road. In IFC4.3 each road is a segment with its carriageway,
 * footways and others as parts, and what is of no road is in one of its own, but ground, points and
 * what a model had in its site are in the site; earlier schemas have no roads, so all of that
 * stands in the site there. Any thread may use it.
 */
public final class SpatialStructure {
  /** What the road is called where nobody names it. */
  public static final String ROAD = "Road";

  /** What the part is called that holds what is of no road. */
  public static final String NO_ROAD = "Road segment";

  private static final String PAVEMENT = " pavement";

  private static final Kind COURSE = Kind.of("course");
  private static final Kind DECK = Kind.of("bridge deck");
  private static final Set<Kind> BELOW_DECK =
      Set.of(
          Kind.of("bridge abutment"),
          Kind.of("bridge cross beam"),
          Kind.of("bridge column"),
          Kind.of("bridge bearing"));

  private final IfcSchema schema;
  private final Optional<String> whole;
  private final Set<String> roads = new HashSet<>();
  private final Set<String> bridges = new HashSet<>();

  /** Thousands of items share few paths. */
  private final Map<List<Holder>, List<Holder>> known = new ConcurrentHashMap<>();

  /**
   * @param all among which roads and bridges are looked for
   * @param facility name of the work that all roads are parts of, empty if not stated
   */
  public SpatialStructure(Iterable<Item> all, String facility, IfcSchema schema) {
    this.schema = schema;
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
   * What a product stands in below the site, outermost first: levels, and for the courses of a road
   * its pavement, unless they were received elsewhere.
   *
   * @param d what is to be said of the item in the schema
   */
  public List<Holder> of(Item item, Description d) {
    List<Holder> received = item.said().structure();
    List<Holder> path = of(item, d.structure());
    boolean course = item.kind().is(COURSE) && d.entityClass().entity().equals("IfcCourse");
    if (!course || !received.isEmpty() && received.equals(d.structure())) {
      return path;
    }
    List<Holder> out = new ArrayList<>(path);
    out.add(pavement(item.layer()));
    return List.copyOf(out);
  }

  /**
   * Levels below the site, outermost first; none for what stands in the site itself.
   *
   * @param said where a rule or its source places the item, empty where none does; a part without a
   *     facility is one of that which the item is in anyway
   */
  public List<Holder> of(Item item, List<Holder> said) {
    List<Holder> decided = inSchema(said);
    if (decided.isEmpty()) {
      return standard(item);
    }
    if (!said.getFirst().isPartOfFacility()) {
      return decided;
    }
    List<Holder> usual = standard(item);
    List<Holder> out = new ArrayList<>();
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

  private List<Holder> standard(Item item) {
    if (schema != IfcSchema.IFC4X3) {
      return List.of();
    }
    if (bridges.contains(item.layer())) {
      String part = BELOW_DECK.contains(item.kind()) ? "Substructure" : "Superstructure";
      return List.of(
          new Holder(
              new EntityClass("IfcBridge", "NOTDEFINED"),
              item.layer().isEmpty() ? "Bridge" : item.layer()),
          new Holder(
              new EntityClass("IfcBridgePart", part.toUpperCase(java.util.Locale.ROOT)), part));
    }
    if (item.kind().stratum() == Band.GROUND || item.shape() instanceof Shape.Points) {
      return List.of();
    }
    Optional<String> name = roadOf(item);
    if (name.isEmpty() && !item.said().globalId().isEmpty()) {
      return List.of(); // a model had it in the site, and made no road of it
    }
    List<Holder> out = new ArrayList<>();
    out.add(road(whole.orElse(ROAD)));
    out.add(segment(name.map(SpatialStructure::segmentOf).orElse(NO_ROAD)));
    if (name.isPresent()) {
      item.kind()
          .roadPart()
          .map(p -> new Holder(p.entityClass(), name.get() + " " + p.name()))
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

  /** The pavement that the courses of a road are parts of. */
  private static Holder pavement(String road) {
    return new Holder(new EntityClass("IfcPavement", "NOTDEFINED"), (road + PAVEMENT).strip());
  }

  /** The name of the road that a pavement of this name is made for; empty for one of none. */
  public static String roadOfPavement(String name) {
    return (" " + name).substring(0, Math.max(0, name.length() + 1 - PAVEMENT.length())).strip();
  }

  private static Holder road(String name) {
    return new Holder(new EntityClass("IfcRoad", ""), name);
  }

  private static Holder segment(String name) {
    return new Holder(new EntityClass("IfcRoadPart", "ROADSEGMENT"), name);
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

  /** A path as the schema can hold it; what it has nothing for is passed over. */
  private List<Holder> inSchema(List<Holder> path) {
    return known.computeIfAbsent(
        path, all -> all.stream().flatMap(p -> HolderClasses.place(p, schema).stream()).toList());
  }
}
