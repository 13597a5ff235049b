package wellspan.exchange.kml.read;

import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.URISyntaxException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import javax.xml.stream.XMLStreamConstants;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.feature.AttributeValue;
import wellspan.exchange.feature.FeatureItems;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.file.SafeXml;

/**
 * Reads placemarks by streaming (OGC KML 2.2): longitude, latitude and altitude, which counts as
 * level where it is absolute.
 */
public final class KmlReader {
  private static final String SYSTEM = "EPSG:4326";
  private static final String LINK = "NetworkLink";

  private final Path file;
  private final FeatureItems items = new FeatureItems();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final Deque<String> open = new ArrayDeque<>();
  private final Deque<String> folders = new ArrayDeque<>();
  private final StringBuilder text = new StringBuilder();
  private final String stem;
  private String name = "";
  private boolean absolute;
  private final List<double[]> lines = new ArrayList<>();
  private final List<double[]> points = new ArrayList<>();
  private final List<String> links = new ArrayList<>();
  private final Map<String, PropertyValue> attributes = new LinkedHashMap<>();
  private final Map<String, String> types = new HashMap<>();
  private final List<String> odd = new ArrayList<>();
  private String field = "";
  private int firstPoint;
  private int firstLine;
  private int clamped;

  private KmlReader(Path file) {
    this.file = file;
    stem = FileStem.of(String.valueOf(file.getFileName()));
  }

  /** Whether a text begins like KML. */
  public static boolean isKml(String head) {
    return head.contains("<kml") || head.contains("opengis.net/kml");
  }

  /** Whether bytes begin like a packed file. */
  public static boolean isPacked(byte[] head) {
    return head.length > 3 && head[0] == 'P' && head[1] == 'K' && head[2] == 3 && head[3] == 4;
  }

  /**
   * @throws ReadException with a sentence, if it is damaged
   */
  public static Received read(Path file, Progress progress) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      KmlReader r = new KmlReader(file);
      r.parse(in, progress);
      r.links.forEach(l -> r.unread.merge(LINK, 1, Integer::sum));
      return r.received("KML");
    }
  }

  /** The first KML in a packed file, and those in it that this one links to. */
  public static Received readPacked(Path file, Progress progress) throws IOException {
    try (ZipFile zip = open(file)) {
      Optional<? extends ZipEntry> first =
          zip.stream()
              .filter(e -> e.getName().toLowerCase(Locale.ROOT).endsWith(".kml"))
              .findFirst();
      if (first.isEmpty()) {
        throw new ReadException(file, "no .kml was found in the packed file.");
      }
      KmlReader r = new KmlReader(file);
      r.parts(zip, first.get().getName(), progress);
      return r.received("KMZ");
    } catch (ZipException e) {
      throw new ReadException(
          file, "the packed file is damaged or ends too early. Ask for it again.", e);
    }
  }

  /** Names are in UTF-8, or in the code page of the first packers. */
  private static ZipFile open(Path file) throws IOException {
    try {
      return new ZipFile(file.toFile(), StandardCharsets.UTF_8);
    } catch (ZipException e) {
      return new ZipFile(file.toFile(), Charset.forName("IBM437"));
    }
  }

  private void parts(ZipFile zip, String first, Progress progress) throws IOException {
    Deque<String> waiting = new ArrayDeque<>(List.of(first));
    Set<String> seen = new HashSet<>(waiting);
    while (!waiting.isEmpty()) {
      String part = waiting.remove();
      try (InputStream in = zip.getInputStream(zip.getEntry(part))) {
        parse(in, progress);
      }
      for (String link : links) {
        Optional<String> target = within(part, link).filter(t -> zip.getEntry(t) != null);
        if (target.isEmpty()) {
          unread.merge(LINK, 1, Integer::sum);
        } else if (seen.add(target.get())) {
          waiting.add(target.get());
        }
      }
      links.clear();
    }
  }

  /** Name of what a part of a packed file links to, if it lies in the same packed file. */
  private static Optional<String> within(String part, String link) {
    try {
      URI to = new URI(null, null, "/" + part, null).resolve(new URI(link));
      return to.getScheme() == null && to.getPath() != null && to.getPath().startsWith("/")
          ? Optional.of(to.getPath().substring(1))
          : Optional.empty();
    } catch (URISyntaxException e) {
      return Optional.empty();
    }
  }

  private void parse(InputStream in, Progress progress) throws IOException {
    XMLStreamReader xml = null;
    try {
      xml = SafeXml.factory().createXMLStreamReader(in);
      int events = 0;
      while (xml.hasNext()) {
        if (events++ % 4096 == 0) {
          progress.advance(0.5, "Reading " + file.getFileName());
        }
        switch (xml.next()) {
          case XMLStreamConstants.START_ELEMENT -> start(xml.getLocalName(), xml);
          case XMLStreamConstants.CHARACTERS, XMLStreamConstants.CDATA ->
              text.append(xml.getText());
          case XMLStreamConstants.END_ELEMENT -> end(xml.getLocalName(), xml);
          case XMLStreamConstants.DTD, XMLStreamConstants.ENTITY_REFERENCE ->
              throw new ReadException(
                  file,
                  xml.getLocation().getLineNumber(),
                  "it declares entities, which KML does not need; such files are not opened.");
          default -> {}
        }
      }
    } catch (XMLStreamException e) {
      long line = e.getLocation() == null ? 0 : e.getLocation().getLineNumber();
      throw new ReadException(file, line, "the XML is broken or ends too early.", e);
    }
  }

  private void start(String element, XMLStreamReader xml) {
    open.push(element);
    text.setLength(0);
    switch (element) {
      case "Folder", "Document" -> folders.push("");
      case "Placemark" -> {
        name = "";
        lines.clear();
        points.clear();
        attributes.clear();
      }
      case "LinearRing" -> {
        if (!open.contains("Polygon")) { // a ring of an area has the mode of the area
          geometry();
        }
      }
      case "Point", "LineString", "Polygon" -> geometry();
      case "Data" -> field = Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse("");
      case "SimpleData" ->
          field = Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse("");
      case "SimpleField" ->
          types.put(
              Optional.ofNullable(xml.getAttributeValue(null, "name")).orElse(""),
              Optional.ofNullable(xml.getAttributeValue(null, "type")).orElse("string"));
      case "Track", "Model", "GroundOverlay", "PhotoOverlay", "ScreenOverlay" ->
          unread.merge(element, 1, Integer::sum);
      default -> {}
    }
  }

  /** Begins a point, a line or an area: its altitude mode holds for all its coordinates. */
  private void geometry() {
    absolute = false;
    firstPoint = points.size();
    firstLine = lines.size();
  }

  /** Ends it. */
  private void levels() {
    points.subList(firstPoint, points.size()).forEach(this::level);
    lines.subList(firstLine, lines.size()).forEach(this::level);
    firstPoint = points.size();
    firstLine = lines.size();
  }

  private void attribute(String name, String value) {
    if (!name.isEmpty()) {
      String type = types.getOrDefault(name, "string");
      attributes.put(
          name,
          switch (type) {
            case "int", "uint", "short", "ushort", "float", "double" ->
                AttributeValue.number(value);
            case "bool" ->
                value.equals("1") || value.equalsIgnoreCase("true")
                    ? new PropertyValue.Flag(true)
                    : value.equals("0") || value.equalsIgnoreCase("false")
                        ? new PropertyValue.Flag(false)
                        : AttributeValue.text(value);
            default -> AttributeValue.text(value);
          });
    }
  }

  private void end(String element, XMLStreamReader xml) throws IOException {
    open.pop();
    String parent = open.isEmpty() ? "" : open.peek();
    switch (element) {
      case "name" -> {
        String s = text.toString().strip();
        if (parent.equals("Placemark")) {
          name = s;
        } else if (parent.equals("Folder") || parent.equals("Document")) {
          folders.pop();
          folders.push(s);
        }
      }
      case "altitudeMode" -> absolute = text.toString().strip().equals("absolute");
      case "href" -> {
        if (open.contains(LINK)) {
          links.add(text.toString().strip());
        }
      }
      case "value" -> {
        if (parent.equals("Data")) {
          attribute(field, text.toString().strip());
        }
      }
      case "SimpleData" -> attribute(field, text.toString().strip());
      case "description" -> {
        if (parent.equals("Placemark") && !text.toString().isBlank()) {
          attribute("description", text.toString().strip());
        }
      }
      case "Point", "LineString", "Polygon" -> levels();
      case "LinearRing" -> {
        if (!open.contains("Polygon")) {
          levels();
        }
      }
      case "coordinates" -> coordinates(parent, xml);
      case "Placemark" -> place();
      case "Folder", "Document" -> folders.pop();
      default -> {}
    }
    text.setLength(0);
  }

  private void coordinates(String parent, XMLStreamReader xml) throws IOException {
    if (text.toString().isBlank()) {
      return;
    }
    String[] tuples = text.toString().strip().split("\\s+");
    double[] all = new double[3 * tuples.length];
    int n = 0;
    for (String tuple : tuples) {
      double[] place = Tuple.of(tuple);
      if (place.length == 0) {
        odd.add(
            "\"" + tuple + "\" before line " + xml.getLocation().getLineNumber() + " of " + name);
      } else {
        System.arraycopy(place, 0, all, 3 * n++, 3);
      }
    }
    double[] xyz = java.util.Arrays.copyOf(all, 3 * n);
    if (n == 0) {
      return;
    }
    if (parent.equals("Point")) {
      points.add(xyz);
    } else {
      lines.add(xyz);
    }
  }

  /** Altitudes that are not absolute lie on the ground, whatever they say. */
  private void place() {
    String layer = folders.stream().filter(f -> !f.isEmpty()).findFirst().orElse(stem);
    items.feature(name, new LinkedHashMap<>(attributes));
    for (double[] p : points) {
      items.point(layer, name, p[0], p[1], p[2]);
    }
    for (double[] l : lines) {
      items.line(layer, l);
    }
  }

  private void level(double[] xyz) {
    for (int i = 2; i < xyz.length && !absolute; i += 3) {
      if (xyz[i] != 0 && !Double.isNaN(xyz[i])) {
        clamped++;
      }
      xyz[i] = Double.NaN;
    }
  }

  private Received received(String format) {
    List<Finding> findings = new ArrayList<>();
    unread.forEach(
        (kind, n) ->
            findings.add(
                Finding.note(Stop.RECEIVE, "kml.unread", stem, n + " × <" + kind + "> is not read.")
                    .withFigure(Figure.count(n))));
    if (!odd.isEmpty()) {
      findings.add(
          Finding.error(
                  Stop.RECEIVE,
                  "kml.coordinate",
                  stem,
                  odd.size()
                      + " places are no longitude, latitude and altitude and were left out: "
                      + String.join("; ", odd.subList(0, Math.min(3, odd.size())))
                      + (odd.size() > 3 ? " …" : "")
                      + ". Ask for the file again, or mend it.")
              .withFigure(Figure.count(odd.size(), "places")));
    }
    if (clamped > 0) {
      findings.add(
          Finding.note(
                  Stop.RECEIVE,
                  "kml.clamped",
                  stem,
                  clamped
                      + " altitudes are relative to the ground, so they are no levels and were left out.")
              .withFigure(Figure.count(clamped, "altitudes")));
    }
    if (items.items().isEmpty()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "file.empty",
              stem,
              "The file holds no points and no lines. Ask for it again."));
    }
    return new Received(
        format,
        SYSTEM,
        "degree",
        items.items(),
        items.layers(),
        items.counts(),
        findings,
        List.of(
            PlaceStatement.ofFrame(
                50, "KML", "longitude and latitude", Frame.UNPLACED.withCrs(SYSTEM))));
  }
}
