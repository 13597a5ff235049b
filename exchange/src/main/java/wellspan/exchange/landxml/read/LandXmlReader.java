package wellspan.exchange.landxml.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.align.Alignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
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
  private final List<SectionItems.RawPointGroup> groups = new ArrayList<>();
  private final List<PipeNetworkSection.Raw> networks = new ArrayList<>();
  private final Map<SectionUnits.Of, LinearUnit> sectionUnits = new LinkedHashMap<>();
  private final NamedPoints named = new NamedPoints();
  private LinearUnit unit;
  private LinearUnit elevations;
  private AngleUnit angles = AngleUnit.RADIANS;
  private AngleUnit directions = AngleUnit.RADIANS;
  private boolean imperial;
  private DeclaredSystem system = DeclaredSystem.NONE;
  private String version = "";

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
        case "PipeNetworks" ->
            each(
                xml, "PipeNetwork", () -> networks.add(new PipeNetworkSection(xml, unread).read()));
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
      elevations = lengthUnit(xml, "elevationUnit", unit);
      imperial = xml.name().equals("Imperial");
      for (SectionUnits.Of of : SectionUnits.Of.values()) {
        String attribute = of.name().toLowerCase(Locale.ROOT) + "Unit";
        if (xml.attribute(attribute).isPresent()) {
          sectionUnits.put(of, lengthUnit(xml, attribute, LinearUnit.METRE));
        }
      }
      angles = angleUnit(xml, "angularUnit");
      directions = angleUnit(xml, "directionUnit");
      xml.skip();
    }
  }

  private LinearUnit lengthUnit(XmlCursor xml, String attribute, LinearUnit before) {
    Optional<String> name = xml.attribute(attribute);
    if (name.isEmpty()) {
      return before;
    }
    return switch (name.get().strip().toLowerCase(Locale.ROOT)) {
      case "meter", "metre", "meters", "metres" -> LinearUnit.METRE;
      case "millimeter", "millimetre", "millimeters", "millimetres" -> LinearUnit.MILLIMETRE;
      case "centimeter", "centimetre", "centimeters", "centimetres" -> LinearUnit.CENTIMETRE;
      case "kilometer", "kilometre", "kilometers", "kilometres" -> LinearUnit.KILOMETRE;
      // lengths are said in the singular, levels in the plural
      case "foot", "feet" -> LinearUnit.FOOT;
      case "ussurveyfoot", "ussurveyfeet" -> LinearUnit.US_SURVEY_FOOT;
      case "inch", "inches" -> LinearUnit.INCH;
      case "mile", "miles" -> LinearUnit.MILE;
      default -> {
        LinearUnit taken = before == null ? LinearUnit.METRE : before;
        unknownUnit(xml, attribute, name.get(), taken.title(), "length");
        yield before;
      }
    };
  }

  /** A file that says none counts in radians. */
  private AngleUnit angleUnit(XmlCursor xml, String attribute) {
    Optional<String> name = xml.attribute(attribute);
    Optional<AngleUnit> known = name.flatMap(AngleUnit::of);
    if (known.isEmpty() && name.filter(n -> !n.isBlank()).isPresent()) {
      unknownUnit(xml, attribute, name.get(), "radian", "angle");
    }
    return known.orElse(AngleUnit.RADIANS);
  }

  private void unknownUnit(
      XmlCursor xml, String attribute, String word, String taken, String check) {
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
                + word
                + "\" is not one of LandXML's; "
                + taken
                + " is taken. Check a known "
                + check
                + "."));
  }

  private void points(XmlCursor xml) throws IOException {
    String name = xml.attribute("name").orElse("Points");
    List<SectionItems.RawPoint> out = new ArrayList<>();
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
      groups.add(new SectionItems.RawPointGroup(name, out, sets));
    }
  }

  private SectionItems.RawPoint point(
      XmlCursor xml, String group, List<SectionItems.RawPoint> before) throws IOException {
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
    return new SectionItems.RawPoint(id, code, at, reference.orElse(""), line);
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
    UniqueNames names = new UniqueNames();
    SectionItems made = new SectionItems(metres, up, names, named, findings);
    for (SurfaceSection.Raw s : surfaces) {
      made.add(made.surface(s, names.of("surface", s.name())), s.sets());
    }
    PlanElements plan = new PlanElements(metres, named, findings);
    for (PlanFeatureSection.Raw f : features) {
      made.lines(f.name(), new FeatureLines(plan, up, findings).of(f), f.sets());
    }
    for (SurfaceSection.Raw s : surfaces) {
      made.strings(s.name() + BREAKLINES, s.data().breaklines(), List.of());
      made.boundaries(s);
      made.strings(s.name() + CONTOURS, s.data().contours(), List.of());
      made.sourcePoints(s);
    }
    AlignmentAssembly assembly = new AlignmentAssembly(metres, up, named, findings);
    RoadItems roads = new RoadItems(metres, up, angles, names, findings);
    GroundProfiles grounds = new GroundProfiles(metres, up, names, findings);
    for (AlignmentSection.Raw a : alignments) {
      String name = names.of("alignment", a.name());
      Optional<Alignment> line = assembly.assemble(a);
      if (line.isPresent()) {
        List<PropertySet> sets = new ArrayList<>(a.sets());
        a.crossfalls().forEach(c -> sets.add(c.set(metres)));
        made.add(Item.alignment(name, line.get()), sets);
        if (!a.crossfalls().isEmpty()) {
          findings.add(
              Finding.note(
                      RECEIVE,
                      "landxml.crossfall",
                      name,
                      name
                          + ": "
                          + a.crossfalls().size()
                          + " × superelevation or cant stay with it as properties; its cross sections have their own crossfalls.")
                  .withFigure(Figure.count(a.crossfalls().size())));
        }
        roads.of(name, line.get(), a).forEach(made::add);
        grounds.of(line.get(), a).forEach(made::add);
      } else if (!a.sections().isEmpty()) {
        findings.add(
            Finding.error(
                    RECEIVE,
                    "section.alignment",
                    name,
                    a.sections().size()
                        + " cross sections of "
                        + name
                        + " are left out, since their alignment could not be read.")
                .withFigure(Figure.count(a.sections().size(), "sections")));
      }
    }
    if (!networks.isEmpty()) {
      SectionUnits units = new SectionUnits(unit == null ? LinearUnit.METRE : unit, imperial);
      sectionUnits.forEach(units::declare);
      new NetworkItems(metres, up, units, directions, named, names, findings)
          .of(networks)
          .forEach(made::add);
    }
    for (SectionItems.RawPointGroup g : groups) {
      Item points = made.group(g, names.of("points", g.name()));
      if (!points.shape().isEmpty()) {
        made.add(points, g.sets());
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
                  .withFigure(Figure.count(n)));
        });
    if (made.items().isEmpty() && findings.stream().noneMatch(Finding::isError)) {
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
        made.items(),
        counts,
        findings,
        system.places());
  }
}
