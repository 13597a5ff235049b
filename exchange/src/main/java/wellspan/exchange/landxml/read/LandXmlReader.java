package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Boundaries;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.UniqueNames;

/** Reads LandXML 1.0, 1.1 and 1.2. */
public final class LandXmlReader {
  /** What is put behind a surface's name for the lines that say where it ends. */
  public static final String OUTLINES = " boundary";

  /** What is put behind a surface's name for the breaklines that it was made of. */
  public static final String BREAKLINES = " breaklines";

  /** What is put behind a surface's name for its level lines. */
  private static final String CONTOURS = " contours";

  /** Parts of a file that hold nothing that could be shown. */
  private static final Set<String> ASIDE = Set.of("Project", "Application", "Author", "Amendment");

  private final Map<String, Integer> counts = new LinkedHashMap<>();
  private final Map<String, Integer> unread = new LinkedHashMap<>();
  private final List<Finding> findings = new ArrayList<>();
  private final List<SurfaceSection.Raw> surfaces = new ArrayList<>();
  private final List<PlanFeatureSection.Raw> features = new ArrayList<>();
  private final List<AlignmentSection.Raw> alignments = new ArrayList<>();
  private final List<RawPointGroup> groups = new ArrayList<>();
  private final NamedPoints named = new NamedPoints();
  private final List<Item> items = new ArrayList<>();
  private final UniqueNames names = new UniqueNames();
  private LinearUnit unit;
  private LinearUnit elevations;
  private DeclaredSystem system = DeclaredSystem.NONE;
  private String version = "";

  private record RawPoint(
      String name, String code, double[] coordinates, String reference, long line) {}

  private record RawPointGroup(String name, List<RawPoint> points, List<PropertySet> sets) {}

  private LandXmlReader() {}

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the XML is broken or of
   *     another kind; what cannot be read in it is left out and named
   */
  public static Received read(Path file, Progress progress) throws IOException {
    try (XmlCursor xml = new XmlCursor(file, progress)) {
      return new LandXmlReader().read(xml);
    }
  }

  private Received read(XmlCursor xml) throws IOException {
    xml.nextTag();
    if (!xml.name().equals("LandXML")) {
      throw xml.refusal("this is XML, but its root is <" + xml.name() + "> and not <LandXML>.");
    }
    version = xml.attribute("version").orElse("");
    while (xml.nextTag()) {
      if (!xml.isOwn()) {
        aside(xml);
        continue;
      }
      switch (xml.name()) {
        case "Units" -> whole(xml, "Units", () -> units(xml));
        case "CoordinateSystem" -> {
          system = DeclaredSystem.of(xml);
          xml.skip();
        }
        case "Surfaces" ->
            each(xml, "Surface", () -> surfaces.add(new SurfaceSection(xml, unread).read()));
        case "Alignments" ->
            each(xml, "Alignment", () -> alignments.add(new AlignmentSection(xml, unread).read()));
        case "CgPoints" -> points(xml);
        case "PlanFeatures" ->
            each(
                xml, "PlanFeature", () -> features.add(new PlanFeatureSection(xml, unread).read()));
        case "Feature" -> {
          List<PropertySet> ofTheFile = new ArrayList<>();
          new FeatureSection(xml, unread).read(ofTheFile);
          ofTheFile.forEach(s -> unread.merge("Feature of the whole file", 1, Integer::sum));
        }
        default -> {
          if (ASIDE.contains(xml.name())) {
            xml.skip();
          } else {
            aside(xml);
          }
        }
      }
    }
    xml.behindRoot()
        .ifPresent(
            what ->
                findings.add(
                    Finding.error(
                        RECEIVE,
                        "landxml.behind",
                        "",
                        "Behind the end of <LandXML> stands "
                            + what
                            + ", which is not read. The file may have been put together wrongly; ask for it again.")));
    return received();
  }

  private void aside(XmlCursor xml) throws IOException {
    unread.merge(xml.name(), 1, Integer::sum);
    xml.skip();
  }

  private void each(XmlCursor xml, String name, XmlCursor.Part part) throws IOException {
    while (xml.nextTag()) {
      if (xml.name().equals(name)) {
        counts.merge(name, 1, Integer::sum);
        String called = xml.attribute("name").orElse("");
        whole(xml, name + (called.isEmpty() ? "" : " " + called), part);
      } else if (xml.name().equals("Feature")) {
        List<PropertySet> ofTheGroup = new ArrayList<>();
        new FeatureSection(xml, unread).read(ofTheGroup);
        ofTheGroup.forEach(s -> unread.merge("Feature of a group of " + name, 1, Integer::sum));
      } else {
        aside(xml);
      }
    }
  }

  /** Reads a part whole, or names it and why it is left out. */
  private void whole(XmlCursor xml, String what, XmlCursor.Part part) throws IOException {
    xml.whole(
        part,
        why ->
            findings.add(
                Finding.error(RECEIVE, "landxml.left-out", what, what + " is left out: " + why)));
  }

  private void units(XmlCursor xml) throws IOException {
    while (xml.nextTag()) {
      unit = lengthUnit(xml, "linearUnit", unit);
      elevations = lengthUnit(xml, "elevationUnit", elevations);
      xml.skip();
    }
  }

  private LinearUnit lengthUnit(XmlCursor xml, String attribute, LinearUnit before) {
    Optional<String> name = xml.attribute(attribute);
    if (name.isEmpty()) {
      return before;
    }
    return switch (name.get()) {
      case "meter", "metre" -> LinearUnit.METRE;
      case "millimeter" -> LinearUnit.MILLIMETRE;
      case "centimeter" -> LinearUnit.CENTIMETRE;
      case "kilometer" -> LinearUnit.KILOMETRE;
      case "foot" -> LinearUnit.FOOT;
      case "USSurveyFoot" -> LinearUnit.US_SURVEY_FOOT;
      case "inch" -> LinearUnit.INCH;
      case "mile" -> LinearUnit.MILE;
      default -> {
        findings.add(
            Finding.error(
                RECEIVE,
                "units.unknown",
                "",
                "Line "
                    + xml.line()
                    + ": the "
                    + attribute
                    + " \""
                    + name.get()
                    + "\" is not one of LandXML's; metres are taken. Check a known length."));
        yield before;
      }
    };
  }

  private void points(XmlCursor xml) throws IOException {
    String name = xml.attribute("name").orElse("Points");
    List<RawPoint> out = new ArrayList<>();
    List<PropertySet> sets = new ArrayList<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "CgPoints" -> points(xml);
        case "CgPoint" -> whole(xml, "A point of " + name, () -> out.add(point(xml, name, out)));
        case "Feature" -> new FeatureSection(xml, unread).read(sets);
        default -> aside(xml);
      }
    }
    if (!out.isEmpty()) {
      groups.add(new RawPointGroup(name, out, sets));
    }
  }

  private RawPoint point(XmlCursor xml, String group, List<RawPoint> before) throws IOException {
    counts.merge("CgPoint", 1, Integer::sum);
    String id =
        xml.attribute("name")
            .or(() -> xml.attribute("oID"))
            .orElse(Integer.toString(before.size() + 1));
    String code = xml.attribute("code").orElse("");
    long line = xml.line();
    Optional<String> reference = xml.attribute("pntRef");
    double[] at = {};
    if (reference.isPresent()) {
      xml.skip();
    } else {
      at = xml.numbers(2, 3);
    }
    named.put(group, id, at, reference.orElse(""));
    return new RawPoint(id, code, at, reference.orElse(""), line);
  }

  private Received received() {
    double metres = unit == null ? 1 : unit.metres();
    double up = elevations == null ? metres : elevations.metres();
    if (unit == null) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "units.missing",
              "",
              "The file does not say its unit; metres are taken. Check a known length."));
    }
    system.findings(unit).forEach(findings::add);
    for (SurfaceSection.Raw s : surfaces) {
      Item made = surface(s, names.of("surface", s.name()), metres, up);
      add(made, s.sets());
    }
    PlanElements plan = new PlanElements(metres, named, findings);
    for (PlanFeatureSection.Raw f : features) {
      lines(f.name(), new FeatureLines(plan, up, findings).of(f), names, f.sets());
    }
    for (SurfaceSection.Raw s : surfaces) {
      strings(s.name() + BREAKLINES, s.data().breaklines(), metres, up, List.of());
      boundaries(s, metres, up);
      strings(s.name() + CONTOURS, s.data().contours(), metres, up, List.of());
      sourcePoints(s, metres, up);
    }
    AlignmentMaker maker = new AlignmentMaker(metres, up, named, findings);
    for (AlignmentSection.Raw a : alignments) {
      String name = names.of("alignment", a.name());
      maker.make(a).ifPresent(made -> add(Item.alignment(name, made), a.sets()));
    }
    for (RawPointGroup g : groups) {
      Item made = group(g, names.of("points", g.name()), metres, up);
      if (!made.shape().isEmpty()) {
        add(made, g.sets());
      }
    }
    unread.forEach(
        (name, n) -> {
          counts.merge(name, n, Integer::sum);
          findings.add(
              Finding.error(
                      RECEIVE,
                      "landxml.unread",
                      "",
                      n + " × <" + name + "> is in the file and is not read: it stays behind.")
                  .withFigure(Integer.toString(n)));
        });
    if (items.isEmpty() && findings.stream().noneMatch(Finding::isError)) {
      findings.add(
          Finding.error(
              RECEIVE,
              "landxml.nothing",
              "",
              "The file holds nothing: no surface, no alignment, no point and no line. Ask for it again."));
    }
    return new Received(
        "LandXML" + (version.isEmpty() ? "" : " " + version),
        system.crs(),
        unit == null ? "" : unit.title(),
        items,
        counts,
        findings,
        system.places());
  }

  private void add(Item item, List<PropertySet> sets) {
    items.add(item.saying(Description.of(sets, Optional.empty())));
  }

  private void strings(
      String name, List<double[]> lists, double metres, double up, List<PropertySet> sets) {
    lines(name, lists.stream().map(xyz -> inMetres(xyz, metres, up)).toList(), names, sets);
  }

  /** Boundaries are lines that are marked as such, with the type of each. */
  private void boundaries(SurfaceSection.Raw s, double metres, double up) {
    List<String> types = new ArrayList<>();
    for (int i = 0; i < s.data().boundaries().size(); i++) {
      if (s.data().boundaries().get(i).length >= 6) {
        types.add(s.data().boundaryTypes().get(i));
      }
    }
    strings(
        s.name() + OUTLINES,
        s.data().boundaries(),
        metres,
        up,
        List.of(Boundaries.set(s.name(), types)));
  }

  /** Lines of two points or more; shorter ones are counted in a finding. */
  private void lines(
      String name, List<double[]> lines, UniqueNames unique, List<PropertySet> sets) {
    List<Polyline> out = new ArrayList<>();
    for (double[] xyz : lines) {
      if (xyz.length >= 6) {
        out.add(new Polyline(xyz));
      }
    }
    if (out.size() < lines.size()) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "line.short",
                  name,
                  name
                      + ": "
                      + (lines.size() - out.size())
                      + " lines have fewer than two points and were left out.")
              .withFigure(lines.size() - out.size() + " lines"));
    }
    if (!out.isEmpty()) {
      add(Item.string(unique.of("string", name), out), sets);
    }
  }

  private void sourcePoints(SurfaceSection.Raw s, double metres, double up) {
    List<NamedPoint> out = new ArrayList<>();
    for (double[] list : s.data().points()) {
      double[] xyz = inMetres(list, metres, up);
      for (int i = 0; i < xyz.length; i += 3) {
        Position p = new Position(xyz[i], xyz[i + 1], xyz[i + 2]);
        out.add(new NamedPoint(Integer.toString(out.size() + 1), p, ""));
      }
    }
    for (String reference : s.data().references()) {
      Optional<double[]> at = named.find(reference);
      if (at.isPresent()) {
        out.add(new NamedPoint(reference, position(at.get(), metres, up), ""));
      } else {
        missing(s.name(), s.line(), "a data point", reference);
      }
    }
    if (!out.isEmpty()) {
      add(Item.points(names.of("points", s.name() + " points"), out), List.of());
    }
  }

  private void missing(String of, long line, String what, String reference) {
    findings.add(
        Finding.error(
            RECEIVE,
            "points.reference",
            of,
            "Line "
                + line
                + ": "
                + what
                + " refers to "
                + reference
                + ", which does not exist; it is left out."));
  }

  private static double[] inMetres(double[] xyz, double metres, double up) {
    if (metres != 1 || up != 1) {
      for (int i = 0; i < xyz.length; i++) {
        xyz[i] *= i % 3 == 2 ? up : metres;
      }
    }
    return xyz;
  }

  private Item surface(SurfaceSection.Raw s, String name, double metres, double up) {
    inMetres(s.xyz(), metres, up);
    if (s.faces().length == 0) {
      String why = s.grid() ? "it is a grid without faces" : "it has a name but no triangles";
      findings.add(
          Finding.error(
                  RECEIVE,
                  "terrain.empty",
                  name,
                  "The surface "
                      + name
                      + " is empty: "
                      + why
                      + ", so nothing will arrive. Ask for the surface with its faces.")
              .withFigure("0 triangles"));
    }
    for (String part : s.leftOut()) {
      findings.add(
          Finding.error(RECEIVE, "landxml.left-out", name, name + ": a part is left out: " + part));
    }
    if (s.quads() > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "terrain.quads",
                  name,
                  name
                      + " has "
                      + s.quads()
                      + " faces of four points; each is cut into two triangles from its first point on.")
              .withFigure(s.quads() + " faces"));
    }
    if (s.degenerate() > 0) {
      findings.add(
          Finding.warning(
                  RECEIVE,
                  "terrain.degenerate",
                  name,
                  name
                      + " has "
                      + s.degenerate()
                      + " faces that name a point twice; they have no area and are no part of the surface.")
              .withFigure(s.degenerate() + " faces"));
    }
    if (s.invisible().length > 0) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "terrain.invisible",
                  name,
                  name
                      + " has "
                      + s.invisible().length / 3
                      + " faces marked invisible; they are kept and are no part of the surface.")
              .withFigure(s.invisible().length / 3 + " faces"));
    }
    return Item.of(
        name, Kind.TERRAIN, new Shape.Faces(new Mesh(s.xyz(), s.faces()), s.invisible()));
  }

  private static Position position(double[] at, double metres, double up) {
    return new Position(at[1] * metres, at[0] * metres, at.length > 2 ? at[2] * up : Double.NaN);
  }

  private Item group(RawPointGroup g, String name, double metres, double up) {
    List<NamedPoint> out = new ArrayList<>();
    for (RawPoint p : g.points()) {
      Optional<double[]> at =
          p.reference().isEmpty()
              ? Optional.of(p.coordinates())
              : named.find(g.name(), p.reference());
      if (at.isPresent()) {
        out.add(new NamedPoint(p.name(), position(at.get(), metres, up), p.code()));
      } else {
        missing(name, p.line(), "the point " + p.name(), p.reference());
      }
    }
    return Item.points(name, out);
  }
}
