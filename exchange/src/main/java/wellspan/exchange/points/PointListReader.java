package wellspan.exchange.points;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Iterator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.PointTable;
import wellspan.core.progress.Progress;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.unit.Angles;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.file.ReadException;

/**
 * Reads a list of named points, separated by commas, semicolons, tabs or spaces. A header line
 * names the columns in any order, in the trade's words of several languages; without one they are
 * taken as name, easting, northing, height, code. Decimal commas are read where commas do not
 * separate columns. Latitude and longitude may be decimal degrees or degrees, minutes and seconds.
 */
public final class PointListReader {
  private static final int SAMPLE = 8192;

  private final Path file;
  private final PointTable.Builder points = new PointTable.Builder();
  private PointColumns columns;
  private boolean bySpaces;

  private PointListReader(Path file) {
    this.file = file;
  }

  /**
   * @throws ReadException with file and line, if a line cannot be read or the columns not be told
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return new PointListReader(file).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    String separator = separator(sample());
    bySpaces = separator.equals(" ");
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setTrim(true)
            .setIgnoreEmptyLines(true)
            .setIgnoreSurroundingSpaces(true)
            .setCommentMarker('#')
            .get();
    try (Reader text = new InputStreamReader(Files.newInputStream(file), charset());
        CSVParser rows = CSVParser.parse(text, format)) {
      Iterator<CSVRecord> all = rows.iterator();
      while (all.hasNext()) {
        progress.step(0.5, "Reading " + file.getFileName());
        take(all.next(), rows.getCurrentLineNumber());
      }
    } catch (IllegalArgumentException | UncheckedIOException e) {
      throw new ReadException(file, "the table cannot be read (" + e.getMessage() + ").", e);
    }
    if (columns == null) {
      throw new ReadException(file, "the file is empty.");
    }
    return received();
  }

  private String sample() throws IOException {
    try (var in = Files.newInputStream(file)) {
      return new String(in.readNBytes(SAMPLE), StandardCharsets.UTF_8);
    }
  }

  /** UTF-8 where the bytes are such, otherwise the Latin alphabet of older programs. */
  private Charset charset() throws IOException {
    try (var in = Files.newInputStream(file)) {
      byte[] b = in.readNBytes(1 << 20);
      int whole = Math.max(0, b.length - 4); // the last character may be cut
      StandardCharsets.UTF_8
          .newDecoder()
          .decode(ByteBuffer.wrap(b, 0, b.length < 1 << 20 ? b.length : whole));
      return StandardCharsets.UTF_8;
    } catch (CharacterCodingException e) {
      return StandardCharsets.ISO_8859_1;
    }
  }

  private static String separator(String sample) {
    String line =
        sample.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).findFirst().orElse("");
    if (line.indexOf(';') >= 0) {
      return ";";
    }
    if (line.indexOf('\t') >= 0) {
      return "\t";
    }
    return line.indexOf(',') >= 0 ? "," : " ";
  }

  private void take(CSVRecord record, long line) throws ReadException {
    List<String> row = new ArrayList<>(record.toList());
    if (!row.isEmpty() && row.getFirst().startsWith("\uFEFF")) {
      row.set(0, row.getFirst().substring(1));
    }
    row.removeIf(s -> bySpaces && s.isEmpty()); // several spaces separate like one
    if (row.isEmpty()) {
      return;
    }
    if (columns == null && isHeader(row, line)) {
      return;
    }
    String name =
        columns.value(PointColumns.Role.NAME, row).orElse(Integer.toString(points.size() + 1));
    String code = columns.value(PointColumns.Role.CODE, row).orElse("");
    Position p = position(row, line);
    points.add(name, p.east(), p.north(), p.height(), code);
  }

  private boolean isHeader(List<String> row, long line) throws ReadException {
    PointColumns named = PointColumns.named(row);
    if (named.complete()) {
      columns = named;
      return true;
    }
    long numbers = row.stream().filter(s -> number(s).isPresent()).count();
    if (numbers >= 2 && row.size() >= 3) {
      columns = PointColumns.byPosition(row);
      return false;
    }
    throw new ReadException(
        file,
        line,
        "no columns for east and north were found in the header ("
            + String.join(", ", row)
            + "). Name the columns id, easting, northing, height.");
  }

  private Position position(List<String> row, long line) throws ReadException {
    if (columns.geographic()) {
      return new Position(
          angle(row, PointColumns.Role.LONGITUDE, 180, line),
          angle(row, PointColumns.Role.LATITUDE, 90, line),
          height(row, line));
    }
    double f = columns.unit().map(LinearUnit::metres).orElse(1.0);
    return new Position(
        f * required(row, PointColumns.Role.EAST, line),
        f * required(row, PointColumns.Role.NORTH, line),
        f * height(row, line));
  }

  private double height(List<String> row, long line) throws ReadException {
    return columns.value(PointColumns.Role.HEIGHT, row).isEmpty()
        ? Double.NaN
        : required(row, PointColumns.Role.HEIGHT, line);
  }

  private double angle(List<String> row, PointColumns.Role role, double limit, long line)
      throws ReadException {
    String text = columns.value(role, row).orElse("");
    OptionalDouble d = Angles.degrees(text);
    if (d.isEmpty() || Math.abs(d.getAsDouble()) > limit) {
      throw new ReadException(
          file,
          line,
          "\"" + text + "\" is no " + word(role) + ". Write it as 58.9412 or 58°56'28.3\".");
    }
    return d.getAsDouble();
  }

  private double required(List<String> row, PointColumns.Role role, long line)
      throws ReadException {
    String text = columns.value(role, row).orElse("");
    return number(text)
        .orElseThrow(
            () ->
                new ReadException(
                    file,
                    line,
                    "\"" + text + "\" in the column " + word(role) + " is not a number."));
  }

  private static String word(PointColumns.Role role) {
    return role.name().toLowerCase(java.util.Locale.ROOT);
  }

  /** Decimal point or comma, spaces between thousands allowed; nothing that is not finite. */
  private static Optional<Double> number(String text) {
    String t = text.replaceAll("[\\s\u00A0\u202F']", "").replace('\u2212', '-');
    if (!t.matches("[-+]?(\\d+([.,]\\d*)?|[.,]\\d+)([eE][-+]?\\d+)?")) {
      return Optional.empty();
    }
    double d = Double.parseDouble(t.replace(',', '.'));
    return Double.isFinite(d) ? Optional.of(d) : Optional.empty();
  }

  private Received received() {
    List<Finding> findings = new ArrayList<>();
    if (!columns.headed()) {
      findings.add(
          Finding.note(
              RECEIVE,
              "points.columns",
              "",
              "The list has no header; its columns are taken as "
                  + (columns.at().containsKey(PointColumns.Role.NAME) ? "name, " : "")
                  + "easting, northing, height, code."));
    }
    if (!columns.geographic() && columns.unit().isEmpty()) {
      findings.add(
          Finding.note(
              RECEIVE,
              "units.missing",
              "",
              "A list of points does not say its unit or system; metres in the job's system are taken."));
    }
    if (points.size() == 0) {
      findings.add(
          Finding.error(
              RECEIVE,
              "points.empty",
              "",
              file.getFileName() + " has a header and no points. Ask for the list again."));
    }
    String name = FileStem.of(String.valueOf(file.getFileName()));
    Item group = new Item.PointGroup(name, points.build());
    String crs = columns.geographic() ? "EPSG:4326" : "";
    List<PlaceStatement> places =
        columns.geographic()
            ? List.of(
                PlaceStatement.ofFrame(
                    50,
                    "the columns latitude and longitude",
                    "degrees, taken as WGS 84",
                    Frame.UNPLACED.withCrs(crs)))
            : List.of();
    return new Received(
        "point list",
        crs,
        columns.geographic() ? "degree" : columns.unit().map(LinearUnit::title).orElse(""),
        List.of(new Received.Entry(group, "", Optional.empty())),
        Map.of("point", points.size()),
        findings,
        places);
  }
}
