package wellspan.exchange.geojson.read;

import com.fasterxml.jackson.core.JsonFactory;
import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
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

/**
 * Reads features one after another; longitude and latitude unless the file names another system.
 */
public final class GeoJsonReader {
  private static final Pattern EPSG = Pattern.compile("EPSG:+(?:[\\d.]*:)?(\\d{4,6})$");
  private static final String DEGREES = "EPSG:4326";

  private final Path file;
  private final ObjectMapper json = new ObjectMapper(new JsonFactory());
  private final FeatureItems items = new FeatureItems();
  private final Map<String, Integer> unread = new TreeMap<>();
  private final String stem;
  private String crs = DEGREES;
  private String type = "";
  private int features;

  private GeoJsonReader(Path file) {
    this.file = file;
    stem = FileStem.of(String.valueOf(file.getFileName()));
  }

  /** Whether a text begins like GeoJSON. */
  public static boolean isGeoJson(String head) {
    String h = head.stripLeading();
    return h.startsWith("{")
        && h.contains("\"type\"")
        && (h.contains("Feature")
            || h.contains("\"coordinates\"")
            || h.contains("GeometryCollection"));
  }

  /**
   * @throws ReadException with line, if it is damaged
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return new GeoJsonReader(file).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    long size = Math.max(1, Files.size(file));
    try (JsonParser p = json.createParser(file.toFile())) {
      if (p.nextToken() != JsonToken.START_OBJECT) {
        throw new ReadException(file, "it does not begin like GeoJSON.");
      }
      JsonNode single = json.createObjectNode();
      while (p.nextToken() == JsonToken.FIELD_NAME) {
        String name = p.currentName();
        p.nextToken();
        if (name.equals("features") && p.currentToken() == JsonToken.START_ARRAY) {
          while (p.nextToken() == JsonToken.START_OBJECT) {
            progress.advance(
                Math.min(1, (double) p.currentLocation().getByteOffset() / size),
                "Reading " + file.getFileName());
            feature(json.readTree(p));
          }
        } else if (name.equals("crs")) {
          system(json.readTree(p));
        } else if (name.equals("type")) {
          type = p.getText();
        } else {
          ((com.fasterxml.jackson.databind.node.ObjectNode) single).set(name, json.readTree(p));
        }
      }
      if (p.currentToken() != JsonToken.END_OBJECT) {
        throw new ReadException(file, "it ends too early. Ask for the file again.");
      }
      if (type.equals("Feature")) {
        feature(single);
      } else if (!type.equals("FeatureCollection")) {
        ((com.fasterxml.jackson.databind.node.ObjectNode) single).put("type", type);
        geometry(stem, "", single);
      }
    } catch (JsonProcessingException e) {
      long line = e.getLocation() == null ? 0 : e.getLocation().getLineNr();
      throw new ReadException(file, line, "this is no JSON, or it ends too early.", e);
    }
    return received();
  }

  private void system(JsonNode n) {
    String name = n.path("properties").path("name").asText("");
    Matcher m = EPSG.matcher(name);
    if (m.find()) {
      crs = "EPSG:" + m.group(1);
    } else if (!name.isEmpty() && !name.contains("CRS84")) {
      crs = name;
    }
  }

  private void feature(JsonNode f) throws IOException {
    features++;
    JsonNode properties = f.path("properties");
    String layer = text(properties, "layer", "Layer", "category");
    String name = text(properties, "name", "Name", "navn", "id", "ID");
    String id = f.path("id").asText("");
    items.feature(name.isEmpty() ? id : name, attributes(f));
    geometry(layer.isEmpty() ? stem : layer, name.isEmpty() ? id : name, f.path("geometry"));
  }

  private static Map<String, PropertyValue> attributes(JsonNode feature) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    if (feature.path("id").isValueNode()) {
      out.put("id", AttributeValue.of(feature.get("id")));
    }
    feature
        .path("properties")
        .properties()
        .forEach(e -> out.put(e.getKey(), AttributeValue.of(e.getValue())));
    return out;
  }

  private static String text(JsonNode properties, String... names) {
    for (String n : names) {
      JsonNode v = properties.get(n);
      if (v != null && v.isValueNode() && !v.isNull() && !v.asText().isBlank()) {
        return v.asText().strip();
      }
    }
    return "";
  }

  private void geometry(String layer, String name, JsonNode g) throws IOException {
    JsonNode c = g.path("coordinates");
    switch (g.path("type").asText("")) {
      case "Point" -> point(layer, name, c);
      case "MultiPoint" -> {
        for (JsonNode p : c) {
          point(layer, name, p);
        }
      }
      case "LineString" -> items.line(layer, line(c));
      case "MultiLineString", "Polygon" -> {
        for (JsonNode l : c) {
          items.line(layer, line(l));
        }
      }
      case "MultiPolygon" -> {
        for (JsonNode p : c) {
          for (JsonNode l : p) {
            items.line(layer, line(l));
          }
        }
      }
      case "GeometryCollection" -> {
        for (JsonNode part : g.path("geometries")) {
          geometry(layer, name, part);
        }
      }
      case "" -> unread.merge("feature without geometry", 1, Integer::sum);
      default -> unread.merge(g.path("type").asText(), 1, Integer::sum);
    }
  }

  private void point(String layer, String name, JsonNode c) throws IOException {
    double[] p = position(c);
    items.point(layer, name, p[0], p[1], p[2]);
  }

  private double[] line(JsonNode c) throws IOException {
    double[] xyz = new double[3 * c.size()];
    for (int i = 0; i < c.size(); i++) {
      System.arraycopy(position(c.get(i)), 0, xyz, 3 * i, 3);
    }
    return xyz;
  }

  private double[] position(JsonNode c) throws IOException {
    if (c.size() < 2 || !c.get(0).isNumber() || !c.get(1).isNumber()) {
      throw new ReadException(
          file, "feature " + features + " holds a position that is not two or three numbers: " + c);
    }
    JsonNode h = c.get(2);
    return new double[] {
      c.get(0).asDouble(),
      c.get(1).asDouble(),
      h != null && h.isNumber() ? h.asDouble() : Double.NaN
    };
  }

  private boolean areDegrees() {
    return items.items().stream()
        .map(e -> e.bounds())
        .allMatch(
            b ->
                b.minE() >= -180.01
                    && b.maxE() <= 180.01
                    && b.minN() >= -90.01
                    && b.maxN() <= 90.01);
  }

  private Received received() {
    List<Finding> findings = new ArrayList<>();
    unread.forEach(
        (kind, n) ->
            findings.add(
                Finding.note(
                        Stop.RECEIVE, "geojson.unread", stem, n + " × " + kind + " is not read.")
                    .withFigure(Figure.count(n))));
    if (items.items().isEmpty()) {
      findings.add(
          Finding.error(
              Stop.RECEIVE,
              "file.empty",
              stem,
              "The file holds no points and no lines. Ask for it again."));
    }
    if (crs.equals(DEGREES) && !areDegrees()) {
      crs = "";
      findings.add(
          Finding.warning(
              Stop.RECEIVE,
              "geojson.system",
              stem,
              "GeoJSON without a named system holds longitude and latitude (RFC 7946), but these numbers are none; they are taken as coordinates of the job. Ask for the system."));
    }
    List<PlaceStatement> places =
        crs.isEmpty()
            ? List.of()
            : List.of(
                PlaceStatement.ofFrame(
                    50,
                    "GeoJSON",
                    crs.equals(DEGREES) ? "longitude and latitude" : "the system " + crs,
                    Frame.UNPLACED.withCrs(crs)));
    return new Received(
        "GeoJSON",
        crs,
        crs.equals(DEGREES) ? "degree" : "",
        items.items(),
        items.layers(),
        items.counts(),
        findings,
        places);
  }
}
