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
import wellspan.core.describe.Description;
import wellspan.core.describe.EntityClass;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.picture.Texture;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.terrain.Sheet;
import wellspan.exchange.file.UniqueNames;

/** Reads IFC2X3, IFC4 and IFC4X3_ADD2 models: meshes, alignments, property sets, georeference. */
public final class IfcReader {
  private static final Set<String> BODY =
      Set.of("", "Body", "Facetation", "Tessellation", "Surface", "Body-Fallback");

  /** Classes that say nothing; in IFC2x3 ground has no better one. Its shape tells it then. */
  private static final Set<String> UNSPECIFIC =
      Set.of("IfcBuildingElementProxy", "IfcProxy", "IfcCivilElement", "IfcGeographicElement");

  private static final Set<String> LINES = Set.of("Axis", "Annotation", "FootPrint");

  private final IfcModel model;
  private final List<Finding> findings = new ArrayList<>();
  private final List<Received.Entry> entries = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private final Map<Integer, Placement> placements = new HashMap<>();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final Units units;
  private final Georeference geo;
  private final PropertyReader properties;
  private final FinishReader finishes;
  private final TextureReader textures;
  private final LineReader lines;
  private final Set<Integer> grouped = new HashSet<>();
  private final List<Item.NamedPoint> loosePoints = new ArrayList<>();
  private final Map<Integer, String> containers = new HashMap<>();

  private IfcReader(IfcModel model, Path file) {
    this.model = model;
    units = Units.of(model);
    properties = new PropertyReader(model, units);
    finishes = new FinishReader(model);
    textures = new TextureReader(model, file, findings);
    geo = Georeference.of(model, units, properties);
    lines = new LineReader(geo, placements);
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
    for (Instance rel : model.all("IFCRELCONTAINEDINSPATIALSTRUCTURE")) {
      String name = rel.ref("RelatingStructure").map(s -> s.text("Name")).orElse("");
      rel.refs("RelatedElements").forEach(e -> containers.put(e.id(), name));
    }
    pointGroups();
    List<Instance> products = model.all("IFCPRODUCT");
    AlignmentReader alignments = new AlignmentReader(model, units, geo, properties, findings);
    int done = 0;
    for (Instance p : products) {
      progress.step((double) done++ / products.size(), "Reading " + p.entity().name());
      if (p.isA("IFCALIGNMENT")) {
        String name = names.of("alignment", nameOf(p));
        alignments
            .read(p, name)
            .ifPresent(a -> entries.add(entry(p, new Item.AlignmentLine(name, a))));
      } else if (p.ref("Representation").isPresent()
          && !p.isA("IFCLINEARELEMENT")
          && !p.isA("IFCPOSITIONINGELEMENT")
          && !grouped.contains(p.id())) {
        body(p).or(() -> line(p)).ifPresent(item -> entries.add(entry(p, item)));
      }
    }
    if (!loosePoints.isEmpty()) {
      Item points = new Item.PointGroup(names.of("points", "Points"), loosePoints);
      entries.add(new Received.Entry(points, "", Optional.empty()));
    }
    textures.unread(unread);
    report();
    return new Received(
            model.fileSchema(),
            geo.frame().map(f -> f.crs()).orElse(""),
            units.title(),
            entries,
            model.counts(),
            findings,
            geo.places())
        .with(textures.beside());
  }

  /** Groups whose members are all single points are one item each. */
  private void pointGroups() {
    for (Instance rel : model.all("IFCRELASSIGNSTOGROUP")) {
      List<Instance> members = rel.refs("RelatedObjects");
      Optional<Instance> group = rel.ref("RelatingGroup");
      List<Item.NamedPoint> points = new ArrayList<>();
      for (Instance m : members) {
        point(m).ifPresent(points::add);
      }
      if (group.isEmpty() || points.isEmpty() || points.size() < members.size()) {
        continue;
      }
      members.forEach(m -> grouped.add(m.id()));
      Instance g = group.get();
      Instance first = members.getFirst();
      EntityClass c = new EntityClass(first.entity().name(), first.literal("PredefinedType"));
      entries.add(
          new Received.Entry(
              new Item.PointGroup(names.of("points", nameOf(g)), points),
              containers.getOrDefault(first.id(), ""),
              Optional.of(new Description(c, g.text("GlobalId"), properties.of(g)))));
    }
  }

  private Optional<Item.NamedPoint> point(Instance p) {
    if (!p.isA("IFCPRODUCT") || p.ref("Representation").isEmpty()) {
      return Optional.empty();
    }
    return lines
        .point(p)
        .map(
            c ->
                new Item.NamedPoint(
                    p.text("Name"), new Position(c[0], c[1], c[2]), p.text("Description")));
  }

  /** A product without a body but with a line, or with a single point. */
  private Optional<Item> line(Instance p) {
    List<Polyline> found =
        lines.lines(p).stream().filter(xyz -> xyz.length >= 6).map(Polyline::new).toList();
    if (!found.isEmpty()) {
      return Optional.of(new Item.StringLine(names.of("string", nameOf(p)), found));
    }
    point(p).ifPresent(loosePoints::add);
    return Optional.empty();
  }

  private static String nameOf(Instance p) {
    String name = p.text("Name");
    return name.isEmpty() ? p.entity().name().substring(3) + " #" + p.id() : name;
  }

  private Received.Entry entry(Instance p, Item item) {
    EntityClass c = new EntityClass(p.entity().name(), p.literal("PredefinedType"));
    return new Received.Entry(
        item,
        containers.getOrDefault(p.id(), ""),
        Optional.of(new Description(c, p.text("GlobalId"), properties.of(p), finishes.of(p))));
  }

  private Optional<Item> body(Instance p) {
    ShapeReader shape = new ShapeReader();
    boolean network = false;
    List<Instance> items = new ArrayList<>();
    for (Instance r :
        p.ref("Representation").map(d -> d.refs("Representations")).orElse(List.of())) {
      if (LINES.contains(r.text("RepresentationIdentifier"))) {
        continue; // lines and points are looked for where there is no body
      }
      if (!BODY.contains(r.text("RepresentationIdentifier"))) {
        unread.merge("representation " + r.text("RepresentationIdentifier"), 1, Integer::sum);
        continue;
      }
      for (Instance item : r.refs("Items")) {
        items.add(item);
        network |= item.isA("IFCTRIANGULATEDIRREGULARNETWORK");
        shape.item(item, Placement.IDENTITY, 0);
      }
    }
    shape.unread().forEach((k, n) -> unread.merge(k, n, Integer::sum));
    String name = nameOf(p);
    for (String fault : shape.faults()) {
      findings.add(Finding.error(RECEIVE, "ifc.geometry", name, name + ": " + fault + "."));
    }
    if (shape.mesh().pointCount() == 0) {
      return Optional.empty();
    }
    double[] xyz = shape.mesh().takeXyz();
    Placement at = Placement.of(p.ref("ObjectPlacement"), placements);
    if (!at.isIdentity()) {
      at.apply(xyz, 0, xyz.length);
    }
    geo.apply(xyz);
    Mesh mesh = new Mesh(xyz, shape.mesh().takeTriangles());
    Optional<Texture> picture =
        items.size() == 1 ? textures.over(items.getFirst(), name, mesh) : Optional.empty();
    boolean terrain =
        network
            || picture.isPresent()
            || p.literal("PredefinedType").equals("TERRAIN")
            || p.isA("IFCSITE")
            || UNSPECIFIC.contains(p.entity().name()) && Sheet.is(mesh);
    return Optional.of(
        terrain
            ? new Item.TerrainSurface(names.of("surface", name), mesh, new int[0], picture)
            : new Item.Body(names.of("body", name), mesh, bandOf(p)));
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
    for (String type : model.unknownTypes()) {
      findings.add(
          Finding.warning(
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
    if (!geo.declared() && !entries.isEmpty()) {
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
