package wellspan.exchange.points;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

/**
 * Reads a list of named points with a header line that names the columns, separated by commas,
 * semicolons or tabs.
 */
public final class PointListReader {
  private static final Map<String, String> COLUMNS =
      Map.ofEntries(
          Map.entry("point", "name"),
          Map.entry("name", "name"),
          Map.entry("id", "name"),
          Map.entry("number", "name"),
          Map.entry("no", "name"),
          Map.entry("e", "east"),
          Map.entry("east", "east"),
          Map.entry("easting", "east"),
          Map.entry("n", "north"),
          Map.entry("north", "north"),
          Map.entry("northing", "north"),
          Map.entry("h", "height"),
          Map.entry("height", "height"),
          Map.entry("level", "height"),
          Map.entry("elevation", "height"),
          Map.entry("z", "height"),
          Map.entry("code", "code"),
          Map.entry("description", "code"));

  private PointListReader() {}

  public static Received read(Path file, Progress progress) throws IOException {
    char separator = separator(file);
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setHeader()
            .setSkipHeaderRecord(true)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .setCommentMarker('#')
            .get();
    List<Item.NamedPoint> points = new ArrayList<>();
    try (Reader text = Files.newBufferedReader(file, StandardCharsets.UTF_8);
        CSVParser rows = CSVParser.parse(text, format)) {
      Map<String, String> columns = columns(file, rows.getHeaderNames());
      for (CSVRecord row : rows) {
        progress.step(0.5, "Reading " + file.getFileName());
        points.add(point(file, row, columns));
      }
    } catch (java.nio.charset.MalformedInputException e) {
      throw new ReadException(file, "the text is not UTF-8. Save it as UTF-8.", e);
    } catch (IllegalArgumentException | UncheckedIOException e) {
      throw new ReadException(file, "the table cannot be read (" + e.getMessage() + ").", e);
    }
    List<Finding> findings = new ArrayList<>();
    findings.add(
        Finding.note(
            RECEIVE,
            "units.missing",
            "",
            "A list of points does not say its unit or system; metres in the job's system are taken."));
    if (points.isEmpty()) {
      findings.add(
          Finding.error(
              RECEIVE,
              "points.empty",
              "",
              file.getFileName() + " has a header and no points. Ask for the list again."));
    }
    String name = file.getFileName().toString().replaceFirst("\\.[^.]*$", "");
    Item group = new Item.PointGroup(name, points);
    return new Received(
        "point list",
        "",
        "",
        List.of(new Received.Entry(group, "", Optional.empty())),
        Map.of("point", points.size()),
        findings,
        Optional.empty());
  }

  private static char separator(Path file) throws IOException {
    try (java.io.BufferedReader lines = Files.newBufferedReader(file, StandardCharsets.UTF_8)) {
      String header = lines.readLine();
      if (header == null) {
        throw new ReadException(file, "the file is empty.");
      }
      return header.indexOf(';') >= 0 ? ';' : header.indexOf('\t') >= 0 ? '\t' : ',';
    } catch (java.nio.charset.MalformedInputException e) {
      throw new ReadException(file, "the text is not UTF-8. Save it as UTF-8.", e);
    }
  }

  private static Map<String, String> columns(Path file, List<String> header) throws ReadException {
    Map<String, String> found = new LinkedHashMap<>();
    for (String h : header) {
      String role = COLUMNS.get(h.strip().toLowerCase(Locale.ROOT));
      if (role != null) {
        found.putIfAbsent(role, h);
      }
    }
    for (String role : List.of("name", "east", "north")) {
      if (!found.containsKey(role)) {
        throw new ReadException(
            file,
            1,
            "no column for "
                + role
                + " was found in the header ("
                + String.join(", ", header)
                + "). Name the columns id, easting, northing, height.");
      }
    }
    return found;
  }

  private static Item.NamedPoint point(Path file, CSVRecord row, Map<String, String> columns)
      throws ReadException {
    double height =
        columns.containsKey("height") && !row.get(columns.get("height")).isEmpty()
            ? number(file, row, columns.get("height"))
            : Double.NaN;
    String code =
        columns.containsKey("code") && row.isSet(columns.get("code"))
            ? row.get(columns.get("code"))
            : "";
    return new Item.NamedPoint(
        row.get(columns.get("name")),
        new Position(
            number(file, row, columns.get("east")),
            number(file, row, columns.get("north")),
            height),
        code);
  }

  private static double number(Path file, CSVRecord row, String column) throws ReadException {
    String text = row.isSet(column) ? row.get(column) : "";
    try {
      double d = Double.parseDouble(text);
      if (Double.isFinite(d)) {
        return d;
      }
    } catch (NumberFormatException e) {
      // said below
    }
    throw new ReadException(
        file,
        row.getParser().getCurrentLineNumber(),
        "\"" + text + "\" in the column " + column + " is not a number.");
  }
}
