package wellspan.exchange.landxml.write;

import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.network.NetworkPart;
import wellspan.core.progress.Progress;
import wellspan.core.road.RoadBody;
import wellspan.core.road.RoadSections;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;

/**
 * Writes surfaces with points, faces, boundary, holes and breaklines, alignments with profile and
 * cross sections, points, lines and pipe networks as LandXML 1.2, in the parcel's frame and unit.
 * The file names the reference system only if its coordinates are shared ones; otherwise position
 * files must go with it.
 */
public final class LandXmlWriter {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("uuuu-MM-dd").withZone(ZoneOffset.UTC);
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("HH:mm:ss").withZone(ZoneOffset.UTC);
  private final Parcel parcel;
  private final Map<String, String> names;
  private final Frame frame;
  private final Places places;
  private final Companions companions;
  private final XmlElements xml;

  private LandXmlWriter(
      Parcel parcel, Map<String, String> names, Companions companions, XmlElements xml) {
    this.parcel = parcel;
    this.names = names;
    this.companions = companions;
    this.xml = xml;
    frame = parcel.frame();
    places = new Places(xml, frame, parcel.unit(), parcel.format().decimals(parcel.unit()));
  }

  /**
   * @param names of the pieces in the file, by their keys
   * @param companions what goes besides the pieces
   * @throws IOException with a sentence, if the unit has no name in LandXML or the file cannot be
   *     written
   */
  public static void write(
      Parcel parcel,
      Map<String, String> names,
      Companions companions,
      Path file,
      Clock clock,
      Progress progress)
      throws IOException {
    try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file), 1 << 16)) {
      XmlElements xml = new XmlElements(out);
      new LandXmlWriter(parcel, names, companions, xml).write(clock, progress);
      xml.end();
    }
  }

  private void write(Clock clock, Progress progress) throws IOException {
    xml.open("LandXML")
        .schema(
            "http://www.landxml.org/schema/LandXML-1.2",
            "http://www.landxml.org/schema/LandXML-1.2/LandXML-1.2.xsd")
        .attribute("version", "1.2")
        .attribute("date", DATE.format(clock.instant()))
        .attribute("time", TIME.format(clock.instant()))
        .attribute("readOnly", "false")
        .attribute("language", "English")
        .newLine();
    units();
    coordinateSystem();
    xml.white(2).empty("Project").attribute("name", parcel.project()).newLine();
    xml.white(2)
        .empty("Application")
        .attribute("name", "Wellspan")
        .attribute("version", "0.1.0")
        .attribute("desc", "read back and proven")
        .newLine();
    List<Parcel.Piece> pieces = parcel.pieces().stream().filter(p -> p.within().isEmpty()).toList();
    alignments(pieces, progress);
    group(pieces, Shape.Points.class, "", progress);
    group(pieces, Shape.Lines.class, "PlanFeatures", progress);
    surfaces(pieces, progress);
    networks(pieces);
    xml.close().newLine();
  }

  private void units() throws IOException {
    String linear =
        switch (parcel.unit()) {
          case METRE -> "meter";
          case MILLIMETRE -> "millimeter";
          case CENTIMETRE -> "centimeter";
          case KILOMETRE -> "kilometer";
          case FOOT -> "foot";
          case US_SURVEY_FOOT -> "USSurveyFoot";
          case INCH -> "inch";
          case MILE -> "mile";
        };
    boolean metric = isMetric(parcel.unit());
    xml.line(2, "Units")
        .empty(metric ? "Metric" : "Imperial")
        .attribute("linearUnit", linear)
        .attribute("areaUnit", metric ? "squareMeter" : "squareFoot")
        .attribute("volumeUnit", metric ? "cubicMeter" : "cubicFeet")
        .attribute("temperatureUnit", metric ? "celsius" : "fahrenheit")
        .attribute("pressureUnit", metric ? "milliBars" : "inHG")
        .attribute("angularUnit", "decimal degrees")
        .attribute("directionUnit", "decimal degrees");
    if (parcel.pieces().stream().anyMatch(LandXmlWriter::isOfNetwork)) {
      for (String of : List.of("diameterUnit", "widthUnit", "heightUnit")) {
        xml.attribute(of, linear);
      }
    }
    xml.close().newLine();
  }

  private static boolean isMetric(LinearUnit u) {
    return switch (u) {
      case METRE, MILLIMETRE, CENTIMETRE, KILOMETRE -> true;
      case FOOT, US_SURVEY_FOOT, INCH, MILE -> false;
    };
  }

  /** A local zero is no place in the reference system, so the system is told as a description. */
  private void coordinateSystem() throws IOException {
    boolean shared =
        frame.basePoint().equals(new Position(0, 0, 0))
            && frame.rotationDegrees() == 0
            && frame.scale() == 1;
    xml.white(2).empty("CoordinateSystem");
    if (shared && frame.crs().startsWith("EPSG:")) {
      xml.attribute("epsgCode", frame.crs().substring(5));
    }
    xml.attribute(
        "desc", shared ? frame.crs() : "local coordinates, see the position file beside this file");
    if (!frame.verticalDatum().isEmpty()) {
      xml.attribute("verticalDatum", frame.verticalDatum());
    }
    xml.newLine();
  }

  /** All pieces of one kind within an element, or on their own if it has no name. */
  private void group(
      List<Parcel.Piece> pieces, Class<? extends Shape> form, String element, Progress progress)
      throws IOException {
    List<Parcel.Piece> these =
        pieces.stream().filter(p -> form.isInstance(p.item().shape())).toList();
    if (these.isEmpty()) {
      return;
    }
    if (!element.isEmpty()) {
      xml.line(2, element).attribute("name", parcel.project()).newLine();
    }
    for (Parcel.Piece p : these) {
      progress.advance(0, "Writing " + p.item().name());
      String name = names.get(p.key());
      switch (p.item().shape()) {
        case Shape.Points g -> points(name, g, p);
        case Shape.Lines l -> lines(name, l, p);
        default -> throw new IllegalStateException(p.item().kind().title());
      }
    }
    if (!element.isEmpty()) {
      xml.white(2).close().newLine();
    }
  }

  private void features(Parcel.Piece piece, int indent) throws IOException {
    FeatureElements.write(xml, indent, piece.description().propertySets());
  }

  /** Alignments, with the cross sections along them. */
  private void alignments(List<Parcel.Piece> pieces, Progress progress) throws IOException {
    List<Parcel.Piece> these =
        pieces.stream().filter(p -> p.item().shape() instanceof Shape.Axis).toList();
    if (these.isEmpty() && companions.alone().isEmpty()) {
      return;
    }
    xml.line(2, "Alignments").attribute("name", parcel.project()).newLine();
    for (Parcel.Piece p : these) {
      progress.advance(0, "Writing " + p.item().name());
      Alignment shared = ((Shape.Axis) p.item().shape()).alignment();
      alignment(
          names.get(p.key()),
          shared,
          companions.hostsOf(p),
          p.description().propertySets(),
          progress);
    }
    for (Companions.Host h : companions.alone()) {
      alignment(h.name(), h.axis(), List.of(h), List.of(), progress);
    }
    xml.white(2).close().newLine();
  }

  private void alignment(
      String name,
      Alignment shared,
      List<Companions.Host> hosts,
      List<PropertySet> sets,
      Progress progress)
      throws IOException {
    Alignment local =
        MovedAlignment.inUnit(1 / parcel.unit().metres(), MovedAlignment.by(frame.local(), shared));
    new AlignmentElements(xml, local)
        .write(
            name,
            () -> {
              double along = local.length() / shared.length();
              CrossfallElements falls = new CrossfallElements(xml, along);
              for (PropertySet s : sets.stream().filter(CrossfallElements::isCant).toList()) {
                falls.cant(s);
              }
              if (!hosts.isEmpty()) {
                sections(hosts, local.startChainage(), progress);
              }
              for (PropertySet s :
                  sets.stream().filter(CrossfallElements::isSuperelevation).toList()) {
                falls.superelevation(s);
              }
              FeatureElements.write(
                  xml,
                  6,
                  sets.stream()
                      .filter(s -> !CrossfallElements.isCant(s))
                      .filter(s -> !CrossfallElements.isSuperelevation(s))
                      .toList());
            });
  }

  /**
   * @param start first chainage, in the file's unit
   */
  private void sections(List<Companions.Host> hosts, double start, Progress progress)
      throws IOException {
    Map<String, String> partNames = companions.partNames(parcel, names);
    List<RoadSections.Part> parts = new ArrayList<>();
    for (Companions.Host h : hosts) {
      for (Parcel.Piece p : companions.parts().get(h.axis())) {
        RoadBody body = (RoadBody) LandXmlFormat.made(p.item()).orElseThrow();
        parts.add(
            new RoadSections.Part(
                partNames.get(p.key()),
                p.item().attributes().material(),
                body.part(),
                p.description().propertySets()));
      }
    }
    progress.checkCancelled();
    double up = frame.local().to().level() - frame.local().from().level();
    new CrossSectionElements(
            xml,
            frame.local().scale() / parcel.unit().metres(),
            parcel.unit().metres(),
            up,
            parcel.format().decimals(parcel.unit()))
        .write(RoadSections.of(parts), start, hosts.getFirst().from());
  }

  private void networks(List<Parcel.Piece> pieces) throws IOException {
    List<Parcel.Piece> these = pieces.stream().filter(LandXmlWriter::isOfNetwork).toList();
    if (!these.isEmpty()) {
      new NetworkElements(xml, places, frame, parcel.unit().metres(), companions)
          .write(parcel.project(), these);
    }
  }

  private static boolean isOfNetwork(Parcel.Piece p) {
    return LandXmlFormat.made(p.item()).filter(NetworkPart.class::isInstance).isPresent();
  }

  private void points(String name, Shape.Points g, Parcel.Piece piece) throws IOException {
    xml.line(2, "CgPoints").attribute("name", name).newLine();
    for (NamedPoint p : g.points()) {
      xml.line(4, "CgPoint").attribute("name", p.name());
      if (!p.code().isEmpty()) {
        xml.attribute("code", p.code());
      }
      places.place(p.position());
      xml.close().newLine();
    }
    features(piece, 4);
    xml.white(2).close().newLine();
  }

  private void lines(String name, Shape.Lines l, Parcel.Piece piece) throws IOException {
    xml.line(4, "PlanFeature").attribute("name", name).open("CoordGeom").newLine();
    for (Polyline line : l.lines()) {
      xml.line(6, "IrregularLine").open("Start");
      places.place(line.point(0));
      xml.close().open("End");
      places.place(line.point(line.pointCount() - 1));
      xml.close();
      places.list(line);
      xml.close().newLine();
    }
    xml.white(4).close().newLine();
    features(piece, 6);
    xml.white(4).close().newLine();
  }

  private void surfaces(List<Parcel.Piece> pieces, Progress progress) throws IOException {
    List<Parcel.Piece> these =
        pieces.stream()
            .filter(p -> p.item().shape() instanceof Shape.Faces)
            .filter(p -> LandXmlFormat.made(p.item()).isEmpty())
            .toList();
    if (these.isEmpty()) {
      return;
    }
    xml.line(2, "Surfaces").attribute("name", parcel.project()).newLine();
    Map<String, List<Polyline>> within = new HashMap<>();
    for (Parcel.Piece b : parcel.pieces()) {
      if (b.item().shape() instanceof Shape.Lines lines) {
        within.computeIfAbsent(b.within(), k -> new ArrayList<>()).addAll(lines.lines());
      }
    }
    int done = 0;
    for (Parcel.Piece p : these) {
      progress.advance((double) done++ / pieces.size(), "Writing " + p.item().name());
      List<Polyline> breaklines = within.getOrDefault(p.key(), List.of());
      double squares = Math.pow(frame.scale() / parcel.unit().metres(), 2);
      new SurfaceElements(xml, places, squares)
          .write(names.get(p.key()), p, breaklines, () -> features(p, 6), progress);
    }
    xml.white(2).close().newLine();
  }

  /** The outlines of a surface as closed lines, as they are written. */
  public static List<Polyline> outlines(Mesh mesh) {
    MeshEdges edges = new MeshEdges(mesh);
    return edges.outlines().stream()
        .filter(l -> l.length >= 3 && edges.isOpen(l[l.length - 1], l[0]))
        .map(
            l -> {
              double[] xyz = new double[3 * l.length + 3];
              for (int i = 0; i <= l.length; i++) {
                System.arraycopy(mesh.xyz(), 3 * l[i % l.length], xyz, 3 * i, 3);
              }
              return new Polyline(xyz);
            })
        .toList();
  }
}
