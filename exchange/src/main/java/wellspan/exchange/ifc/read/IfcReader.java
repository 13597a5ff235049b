package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.FaceFinishes;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.GroundLike;
import wellspan.exchange.file.UniqueNames;

/** Reads IFC2X3, IFC4 and IFC4X3_ADD2 models: meshes, alignments, property sets, georeference. */
public final class IfcReader {
  /** Classes that say nothing; in IFC2x3 ground has no better one. Its shape tells it then. */
  private static final Set<String> UNSPECIFIC =
      Set.of("IfcBuildingElementProxy", "IfcProxy", "IfcCivilElement", "IfcGeographicElement");

  private final IfcModel model;
  private final List<Finding> findings = new ArrayList<>();
  private final List<Item> items = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private final Placements placements;
  private final Map<String, Integer> unread = new TreeMap<>();
  private final List<String> doubts = new ArrayList<>();
  private final Soundness soundness;
  private final Units units;
  private final Georeference geo;
  private final PropertyReader properties;
  private final FinishReader finishes;
  private final TextureReader textures;
  private final LineReader lines;
  private final CurveReader curves;
  private final SolidReader solids;
  private final Openings openings;
  private final OpeningCut openingCut;
  private final Layers layers;
  private final ClassificationReader classification;
  private final Set<Integer> grouped = new HashSet<>();
  private final List<NamedPoint> loosePoints = new ArrayList<>();
  private final RelationReader relations;
  private final StructureReader structure;
  private final Identities identities = new Identities(findings);
  private int texts;

  private IfcReader(IfcModel model, Path file) {
    this.model = model;
    soundness = new Soundness(model);
    units = Units.of(model);
    properties = new PropertyReader(model, units, soundness, findings);
    finishes = new FinishReader(model, new MaterialReader(model));
    textures = new TextureReader(model, file, findings);
    geo = Georeference.of(model, units, properties, soundness, doubts);
    curves = new CurveReader(units);
    solids = new SolidReader(curves);
    placements = new Placements(curves.finer(), findings);
    lines = new LineReader(geo, curves, placements);
    openings = new Openings(model);
    openingCut = new OpeningCut(openings, soundness, placements, this::shape, findings);
    layers = new Layers(model);
    relations = new RelationReader(model);
    classification = new ClassificationReader(model);
    structure = new StructureReader(model, properties::classOf);
  }

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the text is broken or the
   *     schema not known
   */
  public static Received read(Path file, Progress progress) throws IOException {
    IfcModel model = IfcModel.open(file, progress.part(0, 0.6));
    try {
      return new IfcReader(model, file).read(progress.part(0.6, 1));
    } catch (StepSyntaxException e) {
      throw model.fault(e);
    }
  }

  private Received read(Progress progress) {
    pointGroups();
    List<Instance> products = model.all("IFCPRODUCT");
    AlignmentReader alignments =
        new AlignmentReader(model, units, geo, properties, soundness, findings);
    int done = 0;
    for (Instance p : products) {
      progress.advance((double) done++ / products.size(), "Reading " + p.entity().name());
      if (p.isA("IFCALIGNMENT")) {
        identities.take(p);
        String name = names.of("alignment", nameOf(p));
        alignments
            .read(p, name)
            .ifPresent(
                a -> {
                  relations.became(p, items.size());
                  Item read = entry(p, Item.alignment(name, a), Optional.empty());
                  List<PropertySet> sets = alignments.sets(p, a, read.said().propertySets());
                  items.add(read.saying(read.said().withSets(sets)));
                });
      } else if (!p.isA("IFCLINEARELEMENT")
          && !p.isA("IFCPOSITIONINGELEMENT")
          && !grouped.contains(p.id())) {
        product(p);
      }
    }
    if (!loosePoints.isEmpty()) {
      items.add(Item.points(names.of("points", "Points"), loosePoints));
    }
    relations.to(items);
    textures.unread(unread);
    properties.report();
    new FileReport(model, units, geo, soundness, unread, texts, doubts, !items.isEmpty())
        .to(findings);
    return new Received(
            model.fileSchema(),
            geo.frame().map(f -> f.crs()).orElse(""),
            units.title(),
            items,
            model.counts(),
            findings,
            geo.places())
        .with(textures.beside());
  }

  /** Reads a product whole, or leaves it out and says so. */
  private void product(Instance p) {
    Optional<String> fault = soundness.ofItself(p);
    if (fault.isPresent()) {
      leftOut(p, fault.get());
      return;
    }
    identities.take(p);
    if (p.ref("Representation").isEmpty()) {
      return; // part of the structure only
    }
    if (openings.isOpening(p)) {
      if (openings.isInNothing(p)) {
        findings.add(
            Finding.warning(
                RECEIVE,
                "ifc.opening",
                nameOf(p),
                nameOf(p) + " (#" + p.id() + ") is an opening in nothing and is not shown."));
      }
      return;
    }
    try {
      Optional<String> placement = p.ref("ObjectPlacement").flatMap(soundness::whole);
      if (placement.isPresent()) {
        throw new Left(placement.get());
      }
      Optional<Item> body = body(p);
      if (body.isPresent()) {
        relations.became(p, items.size());
        items.add(body.get());
      } else {
        line(p).ifPresent(item -> items.add(entry(p, item, Optional.empty())));
      }
    } catch (Unread | Left e) {
      leftOut(p, e.getMessage());
    }
  }

  private void leftOut(Instance p, String why) {
    String name = nameOf(p);
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

  /** Groups whose members are all single points are one item each. */
  private void pointGroups() {
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      List<Instance> members = rel.refs("RelatedObjects");
      Optional<Instance> group = rel.ref("RelatingGroup");
      List<NamedPoint> points = new ArrayList<>();
      for (Instance m : members) {
        point(m).ifPresent(points::add);
      }
      if (group.isEmpty() || points.isEmpty() || points.size() < members.size()) {
        continue;
      }
      members.forEach(m -> grouped.add(m.id()));
      members.forEach(identities::take);
      Instance g = group.get();
      identities.take(g);
      Instance first = members.getFirst();
      items.add(
          Item.points(names.of("points", nameOf(g)), points)
              .on(layers.of(first))
              .saying(
                  new Description(properties.classOf(first), g.text("GlobalId"), properties.of(g))
                      .withClassification(classification.of(g, Optional.empty()))
                      .within(structure.of(first))));
    }
  }

  private Optional<NamedPoint> point(Instance p) {
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

  private boolean isSound(Instance p) {
    return soundness.ofItself(p).isEmpty()
        && p.ref("ObjectPlacement").flatMap(soundness::whole).isEmpty()
        && Representations.items(p, false).stream().allMatch(i -> soundness.whole(i).isEmpty());
  }

  /** A product without a body but with lines, texts, or a single point. */
  private Optional<Item> line(Instance p) {
    List<Instance> items = Representations.items(p, false);
    for (Instance i : items) {
      Optional<String> fault = soundness.whole(i);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
    }
    List<Polyline> found =
        lines.lines(p, items).stream().filter(xyz -> xyz.length >= 6).map(Polyline::new).toList();
    List<NamedPoint> words = lines.texts(p, items);
    loosePoints.addAll(words);
    texts += words.size();
    if (!found.isEmpty()) {
      return Optional.of(Item.string(names.of("string", nameOf(p)), found));
    }
    Optional<NamedPoint> point = point(p);
    point.ifPresent(loosePoints::add);
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

  static String nameOf(Instance p) {
    String name = p.text("Name");
    return name.isEmpty() ? p.entity().name().substring(3) + " #" + p.id() : name;
  }

  private Item entry(Instance p, Item item, Optional<Boolean> closed) {
    return item.on(layers.of(p))
        .saying(
            new Description(
                properties.classOf(p),
                p.text("GlobalId"),
                properties.of(p),
                finishes.of(p, properties.typeOf(p)),
                closed,
                classification.of(p, properties.typeOf(p)),
                structure.of(p)));
  }

  private Optional<Item> body(Instance p) {
    for (Instance r : Representations.of(p)) {
      String id = r.text("RepresentationIdentifier");
      if (!Representations.isKnown(id)) {
        unread.merge("representation " + id, 1, Integer::sum);
      }
    }
    List<Instance> items =
        Representations.bodies(p).stream().flatMap(r -> r.refs("Items").stream()).toList();
    if (items.isEmpty()) {
      return Optional.empty();
    }
    PlacedShape shape = PlacedShape.of(items, placements.of(p), soundness, shape());
    Mesh mesh = shape.mesh();
    if (mesh.triangleCount() == 0) {
      throw new Left("its body has no faces");
    }
    String name = nameOf(p);
    boolean cut = !openings.of(p).isEmpty();
    if (cut) {
      mesh = openingCut.of(p, mesh);
    }
    geo.apply(mesh.xyz());
    boolean network = items.stream().anyMatch(i -> i.isA("IFCTRIANGULATEDIRREGULARNETWORK"));
    Optional<Texture> picture =
        items.size() == 1 && !cut ? textures.over(items.getFirst(), name, mesh) : Optional.empty();
    boolean terrain =
        network
            || picture.isPresent()
            || p.literal("PredefinedType").equals("TERRAIN")
            || p.isA("IFCSITE")
            || UNSPECIFIC.contains(p.entity().name()) && GroundLike.is(mesh);
    if (shape.closed().orElse(false) && !MeshWeld.isWatertight(mesh)) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "ifc.open",
              name,
              name + " is called a closed body by the file, but its faces leave gaps."));
    }
    Item item =
        terrain
            ? Item.surface(names.of("surface", name), mesh)
                .with(Attributes.NONE.withTexture(picture))
            : Item.body(names.of("body", name), mesh, ProductStratum.of(p.entity().name()));
    return Optional.of(entry(p, coloured(p, item, shape), shape.closed()));
  }

  private ShapeReader shape() {
    return new ShapeReader(curves, solids, finishes);
  }

  /** With the colours of single faces; where openings were cut the faces are others. */
  private Item coloured(Instance p, Item item, PlacedShape shape) {
    Mesh mesh = item.triangles().orElseThrow();
    Optional<FaceFinishes> each = shape.finishes(finishes.material(p, properties.typeOf(p)));
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
