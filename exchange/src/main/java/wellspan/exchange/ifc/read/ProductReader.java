package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.picture.Texture;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.GroundLike;

/**
 * Reads products one after the other, each whole or not at all. For one thread: it remembers what
 * it met.
 */
final class ProductReader {
  /** Classes that say nothing; in IFC2x3 ground has no better one. Its shape tells it then. */
  private static final Set<String> UNSPECIFIC =
      Set.of("IfcBuildingElementProxy", "IfcProxy", "IfcCivilElement", "IfcGeographicElement");

  private final ModelTables tables;
  private final Soundness soundness;
  private final PropertyReader properties;
  private final List<Finding> findings;
  private final CurveReader curves;
  private final SolidReader solids;
  private final Placements placements;
  private final LineReader lines;
  private final OpeningCut openingCut;
  private final Map<String, Integer> unread = new TreeMap<>();
  private final List<NamedPoint> points = new ArrayList<>();
  private int texts;

  /**
   * @param findings takes what is wrong
   */
  ProductReader(
      ModelTables tables, Soundness soundness, PropertyReader properties, List<Finding> findings) {
    this.tables = tables;
    this.soundness = soundness;
    this.properties = properties;
    this.findings = findings;
    curves = new CurveReader(tables.units());
    solids = new SolidReader(curves);
    placements = new Placements(curves.finer(), findings);
    lines = new LineReader(tables.geo(), curves, placements);
    openingCut = new OpeningCut(tables.openings(), soundness, placements, this::shape, findings);
  }

  /** With a memory of its own, beside others of the same file. */
  static ProductReader beside(ModelTables tables) {
    Soundness soundness = new Soundness(tables.model());
    List<Finding> findings = new ArrayList<>();
    PropertyReader properties =
        new PropertyReader(
            tables.definitions(), tables.model(), tables.units(), soundness, findings);
    return new ProductReader(tables, soundness, properties, findings);
  }

  /** Takes over the counts of another one of the same file. */
  void absorb(ProductReader other) {
    soundness.check().absorb(other.soundness.check());
    properties.absorb(other.properties);
    other.unread.forEach((what, n) -> unread.merge(what, n, Integer::sum));
    texts += other.texts;
  }

  /** What was met and is not read, by its name with how often. */
  Map<String, Integer> unread() {
    return unread;
  }

  /** Number of texts that became points. */
  int texts() {
    return texts;
  }

  /** Reads a product whole, or leaves it out and says so. */
  ReadProduct read(Instance p) {
    int before = findings.size();
    points.clear();
    Optional<String> fault = soundness.ofItself(p);
    Optional<Item> item = Optional.empty();
    if (fault.isPresent()) {
      leftOut(p, fault.get());
    } else if (p.ref("Representation").isPresent() || p.isA("IFCGRID")) {
      // what has neither is part of the structure only
      item = shown(p);
    }
    List<Finding> said = findings.subList(before, findings.size());
    ReadProduct out =
        new ReadProduct(p, fault.isEmpty(), item, List.copyOf(points), List.copyOf(said));
    said.clear();
    return out;
  }

  private Optional<Item> shown(Instance p) {
    if (tables.openings().isOpening(p)) {
      if (tables.openings().isInNothing(p)) {
        findings.add(
            Finding.warning(
                RECEIVE,
                "ifc.opening",
                IfcReader.nameOf(p),
                IfcReader.nameOf(p)
                    + " (#"
                    + p.id()
                    + ") is an opening in nothing and is not shown."));
      }
      return Optional.empty();
    }
    try {
      Optional<String> placement = p.ref("ObjectPlacement").flatMap(soundness::whole);
      if (placement.isPresent()) {
        throw new Left(placement.get());
      }
      Optional<Item> body = body(p);
      return body.isPresent() ? body : line(p).map(i -> entry(p, i, Optional.empty()));
    } catch (Unread | Left e) {
      leftOut(p, e.getMessage());
      return Optional.empty();
    }
  }

  private void leftOut(Instance p, String why) {
    String name = IfcReader.nameOf(p);
    findings.add(
        Finding.error(
            RECEIVE,
            "ifc.left-out",
            name,
            name
                + " (#"
                + p.id()
                + ", "
                + p.entity().name()
                + (p.text("GlobalId").isEmpty() ? "" : ", " + p.text("GlobalId"))
                + ") is left out: "
                + why
                + "."));
  }

  /** A product that is a single point. */
  Optional<NamedPoint> point(Instance p) {
    if (!p.isA("IFCPRODUCT") || p.ref("Representation").isEmpty() || !isSound(p)) {
      return Optional.empty();
    }
    try {
      return lines
          .point(p, Representations.items(p, false))
          .map(
              c ->
                  new NamedPoint(
                      p.text("Name"), new Position(c[0], c[1], c[2]), p.text("Description")));
    } catch (Unread e) {
      return Optional.empty(); // it is met again among the products, and left out there
    }
  }

  /** Where something without a shape stands; empty if it does not say so. */
  Optional<Position> origin(Instance p) {
    Optional<Instance> placement = p.ref("ObjectPlacement");
    if (placement.isEmpty() || placement.flatMap(soundness::whole).isPresent()) {
      return Optional.empty();
    }
    try {
      return Optional.of(lines.origin(p));
    } catch (Unread | Left e) {
      return Optional.empty();
    }
  }

  private boolean isSound(Instance p) {
    return soundness.ofItself(p).isEmpty()
        && p.ref("ObjectPlacement").flatMap(soundness::whole).isEmpty()
        && Representations.items(p, false).stream().allMatch(i -> soundness.whole(i).isEmpty());
  }

  /** A product without a body but with lines, texts, or a single point. */
  private Optional<Item> line(Instance p) {
    List<Instance> items = p.isA("IFCGRID") ? GridAxes.curves(p) : Representations.items(p, false);
    for (Instance i : items) {
      Optional<String> fault = soundness.whole(i);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
    }
    List<Polyline> found =
        lines.lines(p, items).stream().filter(xyz -> xyz.length >= 6).map(Polyline::new).toList();
    List<NamedPoint> words = p.isA("IFCGRID") ? GridAxes.tags(p, lines) : lines.texts(p, items);
    points.addAll(words);
    texts += words.size();
    if (!found.isEmpty()) {
      return Optional.of(Item.string(IfcReader.nameOf(p), found));
    }
    Optional<NamedPoint> point = point(p);
    point.ifPresent(points::add);
    if (point.isEmpty() && words.isEmpty()) {
      String kinds =
          String.join(
              ", ",
              new java.util.TreeSet<>(
                  LineReader.elements(items).stream().map(i -> i.entity().name()).toList()));
      throw new Left(
          kinds.isEmpty() ? "its shape is empty" : "its shape is " + kinds + ", which is not read");
    }
    return Optional.empty();
  }

  /** An item with what is said of its product, but for where it stands in the structure. */
  Item entry(Instance p, Item item, Optional<Boolean> closed) {
    return item.on(tables.layers().of(p))
        .saying(
            new Description(
                    tables.definitions().classOf(p),
                    p.text("GlobalId"),
                    properties.of(p),
                    tables.finishes().of(p, tables.definitions().typeOf(p)),
                    closed,
                    tables.classification().of(p, tables.definitions().typeOf(p)))
                .withAttributes(AttributeReader.of(p, tables.units()))
                .madeOf(
                    tables
                        .finishes()
                        .set(p, tables.definitions().typeOf(p), tables.units().length())));
  }

  private Optional<Item> body(Instance p) {
    List<Instance> representations = Representations.of(p);
    for (Instance r : representations) {
      String id = r.text("RepresentationIdentifier");
      if (!Representations.isKnown(id)) {
        unread.merge("representation " + id, 1, Integer::sum);
      }
    }
    List<Instance> items =
        Representations.bodies(representations).stream()
            .flatMap(r -> r.refs("Items").stream())
            .toList();
    if (items.isEmpty()) {
      return Optional.empty();
    }
    PlacedShape shape = PlacedShape.of(items, placements.of(p), soundness, shape());
    Mesh mesh = shape.mesh();
    if (mesh.triangleCount() == 0) {
      throw new Left("its body has no faces");
    }
    String name = IfcReader.nameOf(p);
    boolean cut = !tables.openings().of(p).isEmpty();
    if (cut) {
      mesh = openingCut.of(p, mesh);
    }
    tables.geo().apply(mesh.xyz());
    boolean network = items.stream().anyMatch(i -> i.isA("IFCTRIANGULATEDIRREGULARNETWORK"));
    Optional<Texture> picture =
        items.size() == 1 && !cut
            ? tables.textures().over(items.getFirst(), name, mesh, findings)
            : Optional.empty();
    boolean closed = shape.closed().orElse(false) && MeshWeld.isWatertight(mesh);
    boolean ground = p.literal("PredefinedType").equals("TERRAIN") || p.isA("IFCSITE");
    boolean terrain =
        network
            || picture.isPresent()
            || ground && !closed // a block of ground has no one level at a place
            || UNSPECIFIC.contains(p.entity().name()) && GroundLike.is(mesh);
    if (shape.closed().orElse(false) && !closed) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "ifc.open",
              name,
              name + " is called a closed body by the file, but its faces leave gaps."));
    }
    Item item =
        terrain
            ? Item.surface(name, mesh).with(Attributes.NONE.withTexture(picture))
            : Item.body(name, mesh, ProductStratum.of(p.entity().name()));
    return Optional.of(entry(p, coloured(p, item, shape), shape.closed()));
  }

  private ShapeReader shape() {
    return new ShapeReader(curves, solids, tables.finishes());
  }

  /** With the colours of single faces; where openings were cut the faces are others. */
  private Item coloured(Instance p, Item item, PlacedShape shape) {
    if (shape.colours().length == 0) {
      return item;
    }
    Mesh mesh = item.triangles().orElseThrow();
    Optional<FaceFinishes> each =
        shape.finishes(tables.finishes().material(p, tables.definitions().typeOf(p)));
    if (each.isEmpty() || mesh.triangleCount() == shape.mesh().triangleCount()) {
      return item.with(new Shape.Faces(mesh, each));
    }
    findings.add(
        Finding.warning(
            RECEIVE,
            "ifc.colours",
            item.name(),
            item.name()
                + " has faces of several colours; its openings are cut out, and it is shown in one."));
    return item;
  }
}
