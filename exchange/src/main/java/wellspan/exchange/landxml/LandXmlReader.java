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
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.UniqueNames;

/** Reads LandXML 1.0, 1.1 and 1.2. */
public final class LandXmlReader {
  private final Map<String, Integer> counts = new LinkedHashMap<>();
  private final Map<String, Integer> unread = new LinkedHashMap<>();
  private final List<Finding> findings = new ArrayList<>();
  private final List<SurfaceSection.Raw> surfaces = new ArrayList<>();
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

  private List<PlaceStatement> places() {
    if (crs.isEmpty()) {
      return List.of();
    }
    Frame f = Frame.UNPLACED.withCrs(crs);
    return List.of(PlaceStatement.ofFrame(50, "<CoordinateSystem>", "the system " + crs, f));
  }

  private Item surface(SurfaceSection.Raw s, String name, double metres) {
    if (metres != 1) {
      for (int i = 0; i < s.xyz().length; i++) {
        s.xyz()[i] *= metres;
      }
    }
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
