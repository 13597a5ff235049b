package wellspan.exchange.landxml.write;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Map;
import wellspan.core.align.Alignment;
import wellspan.core.align.MovedAlignment;
import wellspan.core.attribute.PropertySet;
import wellspan.core.deliver.Parcel;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.DecimalText;

/**
 * Writes surfaces with points, faces, boundary, holes and breaklines, alignments with profile,
 * points and lines as LandXML 1.2, in the parcel's frame and unit. The file names the reference
 * system only if its coordinates are shared ones; otherwise position files must go with it.
 */
public final class LandXmlWriter {
  private static final DateTimeFormatter DATE =
      DateTimeFormatter.ofPattern("uuuu-MM-dd").withZone(ZoneOffset.UTC);
  private static final DateTimeFormatter TIME =
      DateTimeFormatter.ofPattern("HH:mm:ss").withZone(ZoneOffset.UTC);
  private static final int FLUSH = 1 << 16;

  private final Parcel parcel;
  private final Map<String, String> names;
  private final Frame frame;
  private final double unit;
  private final int decimals;
  private final StringBuilder text = new StringBuilder(FLUSH + 4096);
  private final Writer out;

  private LandXmlWriter(Parcel parcel, Map<String, String> names, Writer out) {
    this.parcel = parcel;
    this.names = names;
    this.out = out;
    frame = parcel.frame();
    unit = parcel.unit().metres();
    decimals = parcel.format().decimals(parcel.unit());
  }

  /**
   * @param names of the pieces in the file, by their keys
   * @throws IOException with a sentence, if the unit has no name in LandXML or the file cannot be
   *     written
   */
  public static void write(
      Parcel parcel, Map<String, String> names, Path file, Clock clock, Progress progress)
      throws IOException {
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      new LandXmlWriter(parcel, names, out).write(clock, progress);
    }
  }

  private void write(Clock clock, Progress progress) throws IOException {
    text.append("<?xml version=\"1.0\" encoding=\"UTF-8\"?>\n")
        .append("<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\"")
        .append(" xmlns:xsi=\"http://www.w3.org/2001/XMLSchema-instance\"")
        .append(
            " xsi:schemaLocation=\"http://www.landxml.org/schema/LandXML-1.2 http://www.landxml.org/schema/LandXML-1.2/LandXML-1.2.xsd\"")
        .append(" version=\"1.2\" date=\"")
        .append(DATE.format(clock.instant()))
        .append("\" time=\"")
        .append(TIME.format(clock.instant()))
        .append("\" readOnly=\"false\" language=\"English\">\n");
    units();
    coordinateSystem();
    text.append("  <Project name=\"").append(Xml.escaped(parcel.project())).append("\"/>\n");
    text.append(
        "  <Application name=\"Wellspan\" version=\"0.1.0\" desc=\"read back and proven\"/>\n");
    List<Parcel.Piece> pieces = parcel.pieces().stream().filter(p -> p.within().isEmpty()).toList();
    group(pieces, Shape.Axis.class, "Alignments", progress);
    group(pieces, Shape.Points.class, "", progress);
    group(pieces, Shape.Lines.class, "PlanFeatures", progress);
    surfaces(pieces, progress);
    text.append("</LandXML>\n");
    flush(0);
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
    text.append("  <Units><")
        .append(metric ? "Metric" : "Imperial")
        .append(" linearUnit=\"")
        .append(linear)
        .append(
            metric
                ? "\" areaUnit=\"squareMeter\" volumeUnit=\"cubicMeter\" temperatureUnit=\"celsius\" pressureUnit=\"milliBars\""
                : "\" areaUnit=\"squareFoot\" volumeUnit=\"cubicFeet\" temperatureUnit=\"fahrenheit\" pressureUnit=\"inHG\"")
        .append(" angularUnit=\"decimal degrees\" directionUnit=\"decimal degrees\"/></Units>\n");
  }

  private static boolean isMetric(LinearUnit u) {
    return switch (u) {
      case METRE, MILLIMETRE, CENTIMETRE, KILOMETRE -> true;
      case FOOT, US_SURVEY_FOOT, INCH, MILE -> false;
    };
  }

  /** A local zero is no place in the reference system, so the system is told as a description. */
  private void coordinateSystem() {
    boolean shared =
        frame.basePoint().equals(new Position(0, 0, 0))
            && frame.rotationDegrees() == 0
            && frame.scale() == 1;
    text.append("  <CoordinateSystem");
    if (shared && frame.crs().startsWith("EPSG:")) {
      text.append(" epsgCode=\"").append(frame.crs().substring(5)).append('"');
    }
    text.append(" desc=\"")
        .append(
            Xml.escaped(
                shared ? frame.crs() : "local coordinates, see the position file beside this file"))
        .append('"');
    if (!frame.verticalDatum().isEmpty()) {
      text.append(" verticalDatum=\"").append(Xml.escaped(frame.verticalDatum())).append('"');
    }
    text.append("/>\n");
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
      text.append("  <")
          .append(element)
          .append(" name=\"")
          .append(Xml.escaped(parcel.project()))
          .append("\">\n");
    }
    for (Parcel.Piece p : these) {
      progress.step(0, "Writing " + p.item().name());
      String name = Xml.escaped(names.get(p.key()));
      switch (p.item().shape()) {
        case Shape.Axis a -> alignment(name, a.alignment(), p);
        case Shape.Points g -> points(name, g, p);
        case Shape.Lines l -> lines(name, l, p);
        default -> throw new IllegalStateException(p.item().kind().title());
      }
    }
    if (!element.isEmpty()) {
      text.append("  </").append(element).append(">\n");
    }
  }

  /** What a piece says of itself, each set a feature with texts. */
  private void features(Parcel.Piece piece, String indent) {
    for (PropertySet set : piece.description().propertySets()) {
      text.append(indent).append("<Feature name=\"").append(Xml.escaped(set.name())).append("\">");
      set.values()
          .forEach(
              (label, value) ->
                  text.append("<Property label=\"")
                      .append(Xml.escaped(label))
                      .append("\" value=\"")
                      .append(Xml.escaped(ValueText.of(value)))
                      .append("\"/>"));
      text.append("</Feature>\n");
    }
  }

  private void alignment(String name, Alignment shared, Parcel.Piece piece) {
    Alignment local = MovedAlignment.inUnit(1 / unit, MovedAlignment.by(frame.local(), shared));
    new AlignmentText(text, local).write(name, () -> features(piece, "      "));
  }

  private void points(String name, Shape.Points g, Parcel.Piece piece) throws IOException {
    text.append("  <CgPoints name=\"").append(name).append("\">\n");
    for (NamedPoint p : g.points()) {
      text.append("    <CgPoint name=\"").append(Xml.escaped(p.name())).append('"');
      if (!p.code().isEmpty()) {
        text.append(" code=\"").append(Xml.escaped(p.code())).append('"');
      }
      text.append('>');
      place(p.position());
      text.append("</CgPoint>\n");
      flush(FLUSH);
    }
    features(piece, "    ");
    text.append("  </CgPoints>\n");
  }

  private void lines(String name, Shape.Lines l, Parcel.Piece piece) throws IOException {
    text.append("    <PlanFeature name=\"").append(name).append("\"><CoordGeom>\n");
    for (Polyline line : l.lines()) {
      text.append("      <IrregularLine><Start>");
      place(line.point(0));
      text.append("</Start><End>");
      place(line.point(line.pointCount() - 1));
      text.append("</End>");
      list(line);
      text.append("</IrregularLine>\n");
    }
    text.append("    </CoordGeom>\n");
    features(piece, "      ");
    text.append("    </PlanFeature>\n");
  }

  /** All points of a line in one list; flat if one of them has no level. */
  private void list(Polyline line) throws IOException {
    boolean levels = true;
    for (int i = 0; i < line.pointCount(); i++) {
      levels &= Double.isFinite(line.point(i).height());
    }
    String element = levels ? "PntList3D" : "PntList2D";
    text.append('<').append(element).append('>');
    for (int i = 0; i < line.pointCount(); i++) {
      Position p = line.point(i);
      text.append(i == 0 ? "" : " ");
      place(levels ? p : new Position(p.east(), p.north(), Double.NaN));
      flush(FLUSH);
    }
    text.append("</").append(element).append('>');
  }

  private void surfaces(List<Parcel.Piece> pieces, Progress progress) throws IOException {
    boolean open = false;
    int done = 0;
    for (Parcel.Piece p : pieces) {
      if (!(p.item().shape() instanceof Shape.Faces faces)) {
        continue;
      }
      if (!open) {
        text.append("  <Surfaces name=\"").append(Xml.escaped(parcel.project())).append("\">\n");
        open = true;
      }
      progress.step((double) done++ / pieces.size(), "Writing " + p.item().name());
      List<Polyline> breaklines =
          parcel.pieces().stream()
              .filter(b -> b.within().equals(p.key()) && b.item().shape() instanceof Shape.Lines)
              .flatMap(b -> ((Shape.Lines) b.item().shape()).lines().stream())
              .toList();
      surface(p, faces, breaklines, progress);
    }
    text.append(open ? "  </Surfaces>\n" : "");
  }

  private void surface(
      Parcel.Piece piece, Shape.Faces faces, List<Polyline> breaklines, Progress progress)
      throws IOException {
    String name = names.get(piece.key());
    String material = piece.item().attributes().material();
    Mesh mesh = faces.mesh();
    text.append("    <Surface name=\"").append(Xml.escaped(name)).append('"');
    if (!material.isEmpty()) {
      text.append(" desc=\"").append(Xml.escaped(material)).append('"');
    }
    text.append(">\n      <SourceData><Boundaries>\n");
    for (Polyline o : outlines(mesh)) {
      boolean outer = isOuter(o);
      text.append("        <Boundary bndType=\"")
          .append(outer ? "outer" : "void")
          .append("\" edgeTrim=\"false\">");
      list(o);
      text.append("</Boundary>\n");
    }
    text.append("      </Boundaries>");
    if (!breaklines.isEmpty()) {
      text.append("<Breaklines>\n");
      for (Polyline b : breaklines) {
        text.append("        <Breakline brkType=\"standard\">");
        list(b);
        text.append("</Breakline>\n");
      }
      text.append("      </Breaklines>");
    }
    text.append("</SourceData>\n      <Definition surfType=\"TIN\" area2DSurf=\"");
    DecimalText.append(text, mesh.planArea() * frame.scale() * frame.scale() / (unit * unit), 3);
    text.append("\">\n      <Pnts>\n");
    for (int v = 0; v < mesh.vertexCount(); v++) {
      text.append("<P id=\"").append(v + 1).append("\">");
      place(mesh.vertex(v));
      text.append("</P>\n");
      if (text.length() > FLUSH) {
        progress.checkCancelled();
        flush(FLUSH);
      }
    }
    text.append("      </Pnts>\n      <Faces>\n");
    faces(mesh.triangles(), "<F>");
    faces(faces.invisible(), "<F i=\"1\">");
    text.append("      </Faces>\n      </Definition>\n");
    features(piece, "      ");
    text.append("    </Surface>\n");
  }

  private void faces(int[] corners, String open) throws IOException {
    for (int t = 0; t < corners.length; t += 3) {
      text.append(open)
          .append(corners[t] + 1)
          .append(' ')
          .append(corners[t + 1] + 1)
          .append(' ')
          .append(corners[t + 2] + 1)
          .append("</F>\n");
      flush(FLUSH);
    }
  }

  /** The outlines of a surface as closed lines, as they are written. */
  public static List<Polyline> outlines(Mesh mesh) {
    return new MeshEdges(mesh)
        .outlines().stream()
            .filter(l -> l.length >= 3)
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

  private static boolean isOuter(Polyline ring) {
    int n = ring.pointCount() - 1;
    int[] loop = new int[n];
    for (int i = 0; i < n; i++) {
      loop[i] = i;
    }
    return SurfaceFlaws.planArea(new Mesh(ring.xyz(), new int[0]), loop) > 0;
  }

  /** Northing, easting and, where it is known, elevation. */
  private void place(Position shared) {
    Position p = frame.toLocal(shared);
    DecimalText.append(text, p.north() / unit, decimals).append(' ');
    DecimalText.append(text, p.east() / unit, decimals);
    if (Double.isFinite(shared.height())) {
      DecimalText.append(text.append(' '), p.height() / unit, decimals);
    }
  }

  private void flush(int from) throws IOException {
    if (text.length() > from) {
      out.append(text);
      text.setLength(0);
    }
  }
}
