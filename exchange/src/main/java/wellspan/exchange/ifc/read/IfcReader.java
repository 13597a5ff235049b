package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.solid.SolidBoolean;
import wellspan.core.terrain.Sheet;
import wellspan.exchange.file.UniqueNames;

/** Reads IFC2X3, IFC4 and IFC4X3_ADD2 models: meshes, alignments, property sets, georeference. */
public final class IfcReader {
  /** Representations of a body, the one that shows it best first. */
  private static final List<String> BODY_ORDER =
      List.of("Body", "Tessellation", "Facetation", "Surface", "", "Body-Fallback");

  private static final Set<String> BODY = Set.copyOf(BODY_ORDER);

  /** 128 bits in 22 characters of six: the first holds two bits only. */
  private static final Pattern GLOBAL_ID = Pattern.compile("[0-3][0-9A-Za-z_$]{21}");

  /** Classes that say nothing; in IFC2x3 ground has no better one. Its shape tells it then. */
  private static final Set<String> UNSPECIFIC =
      Set.of("IfcBuildingElementProxy", "IfcProxy", "IfcCivilElement", "IfcGeographicElement");

  private static final Set<String> LINES = Set.of("Axis", "Annotation", "FootPrint");

  private final IfcModel model;
  private final List<Finding> findings = new ArrayList<>();
  private final List<Item> items = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private final Map<Integer, Placement> placements = new HashMap<>();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final List<String> doubts = new ArrayList<>();
  private final Soundness soundness;
  private final Units units;
  private final Georeference geo;
  private final PropertyReader properties;
  private final FinishReader finishes;
  private final TextureReader textures;
  private final LineReader lines;
  private final SolidReader solids;
  private final Openings openings;
  private final Layers layers;
  private final Set<Integer> grouped = new HashSet<>();
  private final List<NamedPoint> loosePoints = new ArrayList<>();
  private final Map<String, Instance> byGlobalId = new HashMap<>();
  private int texts;

  private IfcReader(IfcModel model, Path file) {
    this.model = model;
    soundness = new Soundness(model);
    units = Units.of(model);
    properties = new PropertyReader(model, units, soundness, findings);
    finishes = new FinishReader(model);
    textures = new TextureReader(model, file, findings);
    geo = Georeference.of(model, units, properties, soundness, doubts);
    CurveReader curves = new CurveReader(units);
    solids = new SolidReader(curves);
    lines = new LineReader(geo, curves, placements);
    openings = new Openings(model);
    layers = new Layers(model);
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
      progress.step((double) done++ / products.size(), "Reading " + p.entity().name());
      if (p.isA("IFCALIGNMENT")) {
        identity(p);
        String name = names.of("alignment", nameOf(p));
        alignments
            .read(p, name)
            .ifPresent(a -> items.add(entry(p, Item.alignment(name, a), Optional.empty())));
      } else if (!p.isA("IFCLINEARELEMENT")
          && !p.isA("IFCPOSITIONINGELEMENT")
          && !grouped.contains(p.id())) {
        product(p);
      }
    }
    if (!loosePoints.isEmpty()) {
      Item points = Item.points(names.of("points", "Points"), loosePoints);
      items.add(points);
    }
    textures.unread(unread);
    properties.report();
    report();
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
    identity(p);
    if (p.ref("Representation").isEmpty()) {
      return; // part of the structure only
    }
    if (openings.isOpening(p)) {
      if (byOpening(p)) {
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
        items.add(body.get());
      } else {
        line(p).ifPresent(item -> items.add(entry(p, item, Optional.empty())));
      }
    } catch (Unread | Left e) {
      leftOut(p, e.getMessage());
    }
  }

  /** Raised where a product cannot be read whole. */
  private static final class Left extends RuntimeException {
    private static final long serialVersionUID = 1;

    Left(String why) {
      super(why, null, false, false);
    }
  }

  private boolean byOpening(Instance p) {
    return model.all("IFCRELVOIDSELEMENT").stream()
        .noneMatch(r -> r.ref("RelatedOpeningElement").map(o -> o.id() == p.id()).orElse(false));
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

  /** Names ids that are none and ids that several products share. */
  private void identity(Instance p) {
    String id = p.text("GlobalId");
    if (!GLOBAL_ID.matcher(id).matches()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.id",
              nameOf(p),
              nameOf(p) + " (#" + p.id() + ") has the GlobalId '" + id + "', which is none."));
      return;
    }
    Instance other = byGlobalId.putIfAbsent(id, p);
    if (other != null) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.id.twice",
              nameOf(p),
              nameOf(p)
                  + " (#"
                  + p.id()
                  + ") and "
                  + nameOf(other)
                  + " (#"
                  + other.id()
                  + ") have the same GlobalId "
                  + id
                  + "."));
    }
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
      members.forEach(this::identity);
      Instance g = group.get();
      identity(g);
      Instance first = members.getFirst();
      items.add(
          Item.points(names.of("points", nameOf(g)), points)
              .on(layers.of(first))
              .saying(new Description(classOf(first), g.text("GlobalId"), properties.of(g))));
    }
  }

  private Optional<NamedPoint> point(Instance p) {
    if (!p.isA("IFCPRODUCT") || p.ref("Representation").isEmpty() || !isSound(p)) {
      return Optional.empty();
    }
    try {
      return lines
          .point(p, items(p, false))
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
        && items(p, false).stream().allMatch(i -> soundness.whole(i).isEmpty());
  }

  /** A product without a body but with lines, texts, or a single point. */
  private Optional<Item> line(Instance p) {
    List<Instance> items = items(p, false);
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

  private static String nameOf(Instance p) {
    String name = p.text("Name");
    return name.isEmpty() ? p.entity().name().substring(3) + " #" + p.id() : name;
  }

  private Item entry(Instance p, Item item, Optional<Boolean> closed) {
    return item.on(layers.of(p))
        .saying(
            new Description(
                classOf(p), p.text("GlobalId"), properties.of(p), finishes.of(p), closed));
  }

  /** The class of an occurrence; its type says what it does not say itself. */
  private EntityClass classOf(Instance p) {
    String type = p.literal("PredefinedType");
    String own = p.text("ObjectType");
    if (type.isEmpty() || type.equals("NOTDEFINED")) {
      Optional<Instance> t = properties.typeOf(p);
      String byType = t.map(i -> i.literal("PredefinedType")).orElse("");
      if (!byType.isEmpty()) {
        type = byType;
        own = own.isEmpty() ? t.map(i -> i.text("ElementType")).orElse("") : own;
      }
    }
    return new EntityClass(p.entity().name(), type, own);
  }

  /**
   * The items of the representations that show a product.
   *
   * @param body of those that show its body; otherwise of those that show lines and points
   */
  private List<Instance> items(Instance p, boolean body) {
    List<Instance> out = new ArrayList<>();
    for (Instance r : representations(p)) {
      String id = r.text("RepresentationIdentifier");
      boolean bodily = BODY.contains(id) && !isOfLines(r);
      if (body ? bodily : !bodily && (LINES.contains(id) || id.isEmpty() || isOfLines(r))) {
        out.addAll(r.refs("Items"));
      }
    }
    return out;
  }

  private static List<Instance> representations(Instance p) {
    return p.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of());
  }

  /** Whether all that a representation shows is lines, points and texts. */
  private static boolean isOfLines(Instance representation) {
    List<Instance> items = LineReader.elements(representation.refs("Items"));
    return !items.isEmpty()
        && items.stream()
            .allMatch(i -> i.isA("IFCCURVE") || i.isA("IFCPOINT") || i.isA("IFCTEXTLITERAL"));
  }

  /** The representation that shows the body best: the body itself, else what stands in for it. */
  private List<Instance> bodies(Instance p) {
    for (String wanted : BODY_ORDER) {
      List<Instance> found =
          representations(p).stream()
              .filter(r -> r.text("RepresentationIdentifier").equals(wanted) && !isOfLines(r))
              .toList();
      if (!found.isEmpty()) {
        return found;
      }
    }
    return List.of();
  }

  private Optional<Item> body(Instance p) {
    for (Instance r : representations(p)) {
      String id = r.text("RepresentationIdentifier");
      if (!BODY.contains(id) && !LINES.contains(id)) {
        unread.merge("representation " + id, 1, Integer::sum);
      }
    }
    List<Instance> items = bodies(p).stream().flatMap(r -> r.refs("Items").stream()).toList();
    if (items.isEmpty()) {
      return Optional.empty();
    }
    ShapeReader shape = new ShapeReader(solids);
    double[] xyz = placed(p, items, shape);
    int[] triangles = shape.mesh().takeTriangles();
    Mesh mesh = new Mesh(xyz, triangles);
    if (mesh.triangleCount() == 0) {
      throw new Left("its body has no faces");
    }
    String name = nameOf(p);
    boolean cut = !openings.of(p).isEmpty();
    if (cut) {
      mesh = cut(p, mesh);
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
            || UNSPECIFIC.contains(p.entity().name()) && Sheet.is(mesh);
    if (shape.closed().orElse(false) && !isWatertight(mesh)) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "ifc.open",
              name,
              name + " is called a closed body by the file, but its faces leave gaps."));
    }
    return Optional.of(
        entry(
            p,
            terrain
                ? Item.surface(names.of("surface", name), mesh)
                    .with(Attributes.NONE.withTexture(picture))
                : Item.body(names.of("body", name), mesh, bandOf(p)),
            shape.closed()));
  }

  /** Whether it is closed once corners at one place are one. */
  private static boolean isWatertight(Mesh mesh) {
    if (mesh.isClosed()) {
      return true;
    }
    MeshWeld weld = new MeshWeld();
    weld.add(mesh.xyz(), mesh.triangles());
    return weld.mesh().isClosed();
  }

  /** Reads the items of a product; their corners in the model's coordinates. */
  private double[] placed(Instance p, List<Instance> items, ShapeReader shape) {
    for (Instance item : items) {
      Optional<String> fault = soundness.whole(item);
      if (fault.isPresent()) {
        throw new Left(fault.get());
      }
      shape.item(item, Placement.IDENTITY, 0);
    }
    double[] xyz = shape.mesh().takeXyz();
    Placement at = Placement.of(p, placements);
    if (!at.isIdentity()) {
      at.apply(xyz, 0, xyz.length);
    }
    return xyz;
  }

  /**
   * An element without what its openings take away; one that cannot be cut stays whole, and said.
   */
  private Mesh cut(Instance p, Mesh whole) {
    MeshWeld weld = new MeshWeld();
    weld.add(whole.xyz(), whole.triangles());
    Mesh left = weld.mesh();
    int done = 0;
    for (Instance o : openings.of(p)) {
      try {
        Optional<String> fault = soundness.ofItself(o);
        List<Instance> items = bodies(o).stream().flatMap(r -> r.refs("Items").stream()).toList();
        if (fault.isPresent() || items.isEmpty()) {
          throw new Left(fault.orElse("it has no body"));
        }
        ShapeReader shape = new ShapeReader(solids);
        double[] xyz = placed(o, items, shape);
        MeshWeld own = new MeshWeld();
        own.add(xyz, shape.mesh().takeTriangles());
        Mesh hole = own.mesh();
        if (!left.isClosed() || !hole.isClosed()) {
          throw new Left("the bodies are not closed");
        }
        left = SolidBoolean.difference(left, hole);
        done++;
      } catch (Unread | Left | IllegalArgumentException e) {
        findings.add(
            Finding.error(
                RECEIVE,
                "ifc.opening",
                nameOf(p),
                nameOf(p)
                    + ": the opening "
                    + nameOf(o)
                    + " (#"
                    + o.id()
                    + ") is not cut out: "
                    + e.getMessage()
                    + "."));
      }
    }
    return done == 0 ? whole : left;
  }

  private static Band bandOf(Instance p) {
    return switch (p.entity().name()) {
      case "IfcGeographicElement", "IfcGeotechnicalStratum" -> Band.GROUND;
      case "IfcEarthworksElement", "IfcEarthworksFill", "IfcEarthworksCut", "IfcReinforcedSoil" ->
          Band.EARTHWORKS;
      case "IfcPavement", "IfcCourse" -> Band.PAVEMENT;
      case "IfcKerb" -> Band.EDGES;
      case "IfcPipeSegment", "IfcPipeFitting", "IfcDistributionChamberElement", "IfcFlowSegment" ->
          Band.DRAINAGE;
      case "IfcRailing", "IfcSign", "IfcSurfaceFeature", "IfcFurniture" -> Band.FURNITURE;
      default -> Band.STRUCTURES;
    };
  }

  private void report() {
    unread.forEach(
        (what, n) ->
            findings.add(
                Finding.note(
                        RECEIVE,
                        "ifc.unread",
                        "",
                        n + " × " + what + " is in the file and is not read yet.")
                    .withFigure(Integer.toString(n))));
    if (texts > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "ifc.text",
                  "",
                  texts + " × IfcTextLiteral is read as a point that is named by its words.")
              .withFigure(Integer.toString(texts)));
    }
    if (soundness.check().wholeForReal() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.real",
                  "",
                  soundness.check().wholeForReal()
                      + " instances hold numbers without a decimal point where the schema wants one; they are taken as they stand.")
              .withFigure(Integer.toString(soundness.check().wholeForReal())));
    }
    if (soundness.check().longTexts() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "ifc.text.long",
                  "",
                  soundness.check().longTexts()
                      + " instances hold texts longer than the schema allows.")
              .withFigure(Integer.toString(soundness.check().longTexts())));
    }
    for (String doubt : doubts) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.georeference",
              "",
              "Where the model lies is in doubt: " + doubt + ". This statement does not count."));
    }
    if (!units.saysLength() && !items.isEmpty()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.units",
              "",
              "The file does not say its length unit; metres are taken. Check a known length, and ask the sender."));
    }
    for (String type : model.unknownTypes()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.unknown",
              "",
              type
                  + " is not an entity of "
                  + model.fileSchema()
                  + "; its instances are left out."));
    }
    if (!model.missing().isEmpty()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.dangling",
              "",
              "The file refers to #"
                  + model.missing().iterator().next()
                  + ", which does not exist ("
                  + model.missing().size()
                  + " such references). Ask for the file again."));
    }
    if (!geo.declared() && !items.isEmpty()) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "ifc.place",
              "",
              "The file does not say where it lies; its coordinates are taken as shared ones."));
    }
    if (geo.declared() && Math.abs(geo.scale() / units.length() - 1) > 1e-9) {
      findings.add(
          Finding.note(
              RECEIVE,
              "ifc.scale",
              "",
              "The map conversion scales by "
                  + geo.scale() / units.length()
                  + "; coordinates are scaled."));
    }
  }
}
