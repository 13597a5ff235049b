package wellspan.exchange.landxml;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.UniqueNames;

/** Reads LandXML 1.0, 1.1 and 1.2. */
public final class LandXmlReader {
  /** What is put behind a surface's name for the lines that say where it ends. */
  public static final String OUTLINES = " boundary";

  /** What is put behind a surface's name for the breaklines that it was made of. */
  public static final String BREAKLINES = " breaklines";

  private final Map<String, Integer> counts = new LinkedHashMap<>();
  private final Map<String, Integer> unread = new LinkedHashMap<>();
  private final List<Finding> findings = new ArrayList<>();
  private final List<SurfaceSection.Raw> surfaces = new ArrayList<>();
  private final List<PlanFeatureSection.Raw> features = new ArrayList<>();
  private final List<AlignmentSection.Raw> alignments = new ArrayList<>();
  private final List<RawPointGroup> groups = new ArrayList<>();
  private final Map<String, double[]> coordinatePoints = new HashMap<>();
  private LinearUnit unit;
  private String crs = "";
  private String version = "";

  private record RawPoint(
      String name, String code, double[] coordinates, String reference, long line) {}

  private record RawPointGroup(String name, List<RawPoint> points) {}

  private LandXmlReader() {}

  /**
   * @throws wellspan.exchange.file.ReadException with file and line, if the file is broken; nothing
   *     is half-read
   */
  public static Received read(Path file, Progress progress) throws IOException {
    try (XmlCursor xml = new XmlCursor(file, progress)) {
      return new LandXmlReader().read(xml);
    }
  }

  private Received read(XmlCursor xml) throws IOException {
    xml.nextTag();
    if (!xml.name().equals("LandXML")) {
      throw xml.fault("this is XML, but its root is <" + xml.name() + "> and not <LandXML>.");
    }
    version = xml.attribute("version").orElse("");
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "Units" -> units(xml);
        case "CoordinateSystem" -> coordinateSystem(xml);
        case "Surfaces" -> {
          while (xml.nextTag()) {
            each(xml, "Surface", () -> surfaces.add(new SurfaceSection(xml, unread).read()));
          }
        }
        case "Alignments" -> {
          while (xml.nextTag()) {
            each(xml, "Alignment", () -> alignments.add(new AlignmentSection(xml, unread).read()));
          }
        }
        case "CgPoints" -> points(xml);
        case "PlanFeatures" -> {
          while (xml.nextTag()) {
            each(
                xml, "PlanFeature", () -> features.add(new PlanFeatureSection(xml, unread).read()));
          }
        }
        case "Project", "Application", "Feature", "Author" -> xml.skip();
        default -> {
          unread.merge(xml.name(), 1, Integer::sum);
          xml.skip();
        }
      }
    }
    return received();
  }

  private interface Section {
    void read() throws IOException;
  }

  private void each(XmlCursor xml, String name, Section section) throws IOException {
    if (xml.name().equals(name)) {
      counts.merge(name, 1, Integer::sum);
      section.read();
    } else {
      if (!xml.name().equals("Feature")) {
        unread.merge(xml.name(), 1, Integer::sum);
      }
      xml.skip();
    }
  }

  private void units(XmlCursor xml) throws IOException {
    while (xml.nextTag()) {
      Optional<String> name = xml.attribute("linearUnit");
      if (name.isPresent()) {
        unit =
            switch (name.get()) {
              case "meter", "metre" -> LinearUnit.METRE;
              case "millimeter" -> LinearUnit.MILLIMETRE;
              case "centimeter" -> LinearUnit.CENTIMETRE;
              case "kilometer" -> LinearUnit.KILOMETRE;
              case "foot" -> LinearUnit.FOOT;
              case "USSurveyFoot" -> LinearUnit.US_SURVEY_FOOT;
              case "inch" -> LinearUnit.INCH;
              case "mile" -> LinearUnit.MILE;
              default ->
                  throw xml.fault(
                      "the linear unit \"" + name.get() + "\" is not one of LandXML's.");
            };
      }
      xml.skip();
    }
  }

  private void coordinateSystem(XmlCursor xml) throws IOException {
    crs =
        xml.attribute("epsgCode")
            .map(c -> c.toUpperCase(java.util.Locale.ROOT).startsWith("EPSG:") ? c : "EPSG:" + c)
            .or(() -> xml.attribute("name"))
            .or(() -> xml.attribute("desc"))
            .orElse("");
    xml.skip();
  }

  private void points(XmlCursor xml) throws IOException {
    String name = xml.attribute("name").orElse("Points");
    List<RawPoint> out = new ArrayList<>();
    while (xml.nextTag()) {
      if (xml.name().equals("CgPoints")) {
        points(xml);
        continue;
      }
      if (!xml.name().equals("CgPoint")) {
        xml.skip();
        continue;
      }
      counts.merge("CgPoint", 1, Integer::sum);
      String id =
          xml.attribute("name")
              .or(() -> xml.attribute("oID"))
              .orElse(Integer.toString(out.size() + 1));
      String code = xml.attribute("code").orElse("");
      long line = xml.line();
      Optional<String> reference = xml.attribute("pntRef");
      if (reference.isPresent()) {
        out.add(new RawPoint(id, code, new double[0], reference.get(), line));
        xml.skip();
      } else {
        double[] at = xml.numbers(2, 3);
        coordinatePoints.put(id, at);
        out.add(new RawPoint(id, code, at, "", line));
      }
    }
    if (!out.isEmpty()) {
      groups.add(new RawPointGroup(name, out));
    }
  }

  private Received received() {
    double metres = unit == null ? 1 : unit.metres();
    if (unit == null) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "units.missing",
              "",
              "The file does not say its unit; metres are taken. Check a known length."));
    }
    List<Received.Entry> entries = new ArrayList<>();
    UniqueNames names = new UniqueNames();
    for (SurfaceSection.Raw s : surfaces) {
      entries.add(
          new Received.Entry(
              surface(s, names.of("surface", s.name()), metres), "", Optional.empty()));
    }
    for (PlanFeatureSection.Raw f : features) {
      strings(f.name(), f.lines(), metres, names, entries);
    }
    for (SurfaceSection.Raw s : surfaces) {
      strings(s.name() + BREAKLINES, s.data().breaklines(), metres, names, entries);
      strings(s.name() + OUTLINES, s.data().boundaries(), metres, names, entries);
      sourcePoints(s, metres, names, entries);
    }
    AlignmentMaker maker = new AlignmentMaker(metres, coordinatePoints, findings);
    for (AlignmentSection.Raw a : alignments) {
      String name = names.of("alignment", a.name());
      maker
          .make(a)
          .ifPresent(
              made ->
                  entries.add(
                      new Received.Entry(
                          new Item.AlignmentLine(name, made), "", Optional.empty())));
    }
    for (RawPointGroup g : groups) {
      entries.add(
          new Received.Entry(group(g, names.of("points", g.name()), metres), "", Optional.empty()));
    }
    unread.forEach(
        (name, n) -> {
          counts.merge(name, n, Integer::sum);
          findings.add(
              Finding.note(
                      RECEIVE,
                      "landxml.unread",
                      "",
                      n + " × <" + name + "> is in the file and is not read yet.")
                  .withFigure(Integer.toString(n)));
        });
    return new Received(
        "LandXML" + (version.isEmpty() ? "" : " " + version),
        crs,
        unit == null ? "" : unit.title(),
        entries,
        counts,
        findings,
        places());
  }

  /** Lines of two points or more; shorter ones are counted in a finding. */
  private void strings(
      String name,
      List<double[]> lines,
      double metres,
      UniqueNames names,
      List<Received.Entry> entries) {
    List<Polyline> out = new ArrayList<>();
    for (double[] xyz : lines) {
      if (xyz.length >= 6) {
        out.add(new Polyline(inMetres(xyz, metres)));
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
      Item item = new Item.StringLine(names.of("string", name), out);
      entries.add(new Received.Entry(item, "", Optional.empty()));
    }
  }

  private static void sourcePoints(
      SurfaceSection.Raw s, double metres, UniqueNames names, List<Received.Entry> entries) {
    List<Item.NamedPoint> out = new ArrayList<>();
    for (double[] list : s.data().points()) {
      double[] xyz = inMetres(list, metres);
      for (int i = 0; i < xyz.length; i += 3) {
        Position p = new Position(xyz[i], xyz[i + 1], xyz[i + 2]);
        out.add(new Item.NamedPoint(Integer.toString(out.size() + 1), p, ""));
      }
    }
    if (!out.isEmpty()) {
      Item item = new Item.PointGroup(names.of("points", s.name() + " points"), out);
      entries.add(new Received.Entry(item, "", Optional.empty()));
    }
  }

  private static double[] inMetres(double[] xyz, double metres) {
    if (metres != 1) {
      for (int i = 0; i < xyz.length; i++) {
        xyz[i] *= metres;
      }
    }
    return xyz;
  }

  private List<PlaceStatement> places() {
    if (crs.isEmpty()) {
      return List.of();
    }
    Frame f = Frame.UNPLACED.withCrs(crs);
    return List.of(PlaceStatement.ofFrame(50, "<CoordinateSystem>", "the system " + crs, f));
  }

  private Item surface(SurfaceSection.Raw s, String name, double metres) {
    inMetres(s.xyz(), metres);
    if (s.faces().length == 0) {
      String why =
          s.grid() ? "it is a grid, which cannot be read yet" : "it has a name but no triangles";
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
    return new Item.TerrainSurface(name, new Mesh(s.xyz(), s.faces()), s.invisible());
  }

  private Item group(RawPointGroup g, String name, double metres) {
    List<Item.NamedPoint> out = new ArrayList<>();
    for (RawPoint p : g.points()) {
      double[] at = p.reference().isEmpty() ? p.coordinates() : coordinatePoints.get(p.reference());
      if (at == null) {
        findings.add(
            Finding.error(
                RECEIVE,
                "points.reference",
                name,
                "Line "
                    + p.line()
                    + ": the point "
                    + p.name()
                    + " refers to "
                    + p.reference()
                    + ", which does not exist."));
        continue;
      }
      double level = at.length > 2 ? at[2] * metres : Double.NaN;
      out.add(
          new Item.NamedPoint(
              p.name(), new Position(at[1] * metres, at[0] * metres, level), p.code()));
    }
    return new Item.PointGroup(name, out);
  }
}
