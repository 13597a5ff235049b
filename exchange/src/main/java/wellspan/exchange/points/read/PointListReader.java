package wellspan.exchange.points.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.FileStem;
import wellspan.core.receive.LikelyDegrees;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.core.shape.PointTable;
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
  private static final int REPORT = 20_000;

  private final Path file;
  private final Optional<ReadingRule.Columns> rule;
  private final PointTable.Builder points = new PointTable.Builder();
  private PointColumns columns;

  private PointListReader(Path file, Optional<ReadingRule.Columns> rule) {
    this.file = file;
    this.rule = rule;
  }

  /**
   * @throws ReadException with file and line, if a line cannot be read or the columns not be told
   */
  public static Received read(Path file, Progress progress) throws IOException {
    return read(file, Optional.empty(), progress);
  }

  /**
   * @param rule the columns, where somebody said what they hold
   * @throws ReadException with file and line, if a line cannot be read or the columns not be told
   */
  public static Received read(Path file, Optional<ReadingRule.Columns> rule, Progress progress)
      throws IOException {
    return new PointListReader(file, rule).read(progress);
  }

  private Received read(Progress progress) throws IOException {
    String separator = rule.isPresent() ? rule.get().separator() : TableRows.separatorOf(file);
    columns = rule.map(PointColumns::of).orElse(null);
    int head = rule.map(ReadingRule.Columns::headLines).orElse(0);
    try (TableRows rows = new TableRows(file, separator)) {
      for (Optional<List<String>> row = rows.next(); row.isPresent(); row = rows.next()) {
        if (head-- > 0) {
          continue;
        }
        if (points.size() % REPORT == 0) {
          progress.advance(
              done(points.size()), "Reading " + file.getFileName() + ", " + points.size());
        }
        take(row.get(), rows.line());
      }
    }
    if (columns == null) {
      throw new ReadException(file, "the file is empty.");
    }
    return received();
  }

  /** How far a file is read whose length in lines nobody knows: near one for many. */
  private static double done(int points) {
    return points / (points + 500_000.0);
  }

  private void take(List<String> row, long line) throws ReadException {
    if (columns == null && isHeader(row, line)) {
      return;
    }
    String name = columns.value(ColumnRole.NAME, row).orElse("");
    String code = columns.value(ColumnRole.CODE, row).orElse("");
    Position p = position(row, line);
    points.add(name, p.east(), p.north(), p.level(), code);
  }

  private boolean isHeader(List<String> row, long line) throws ReadException {
    Optional<PointColumns> found = recognised(row);
    columns =
        found.orElseThrow(
            () ->
                new ReadException(
                    file,
                    line,
                    "no columns for east and north were found in the header ("
                        + String.join(", ", row)
                        + "). Name the columns id, easting, northing, height."));
    return columns.headed();
  }

  /** The columns by the words of a first row, or by its numbers. */
  static Optional<PointColumns> recognised(List<String> row) {
    PointColumns named = PointColumns.named(row);
    if (named.complete()) {
      return Optional.of(named);
    }
    long numbers = row.stream().filter(s -> !Double.isNaN(PlainNumber.parse(s))).count();
    return numbers >= 2 && row.size() >= 3
        ? Optional.of(PointColumns.byPosition(row))
        : Optional.empty();
  }

  private Position position(List<String> row, long line) throws ReadException {
    if (columns.geographic()) {
      return new Position(
          angle(row, ColumnRole.LONGITUDE, 180, line),
          angle(row, ColumnRole.LATITUDE, 90, line),
          height(row, line));
    }
    double f = columns.unit().map(LinearUnit::metres).orElse(1.0);
    return new Position(
        f * required(row, ColumnRole.EAST, line),
        f * required(row, ColumnRole.NORTH, line),
        f * height(row, line));
  }

  private double height(List<String> row, long line) throws ReadException {
    return columns.value(ColumnRole.HEIGHT, row).isEmpty()
        ? Double.NaN
        : required(row, ColumnRole.HEIGHT, line);
  }

  private double angle(List<String> row, ColumnRole role, double limit, long line)
      throws ReadException {
    String text = columns.value(role, row).orElse("");
    OptionalDouble d = Angles.degrees(text);
    if (d.isEmpty() || Math.abs(d.getAsDouble()) > limit) {
      throw new ReadException(
          file,
          line,
          "\"" + text + "\" is no " + role.word() + ". Write it as 58.9412 or 58°56'28.3\".");
    }
    return d.getAsDouble();
  }

  private double required(List<String> row, ColumnRole role, long line) throws ReadException {
    String text = columns.value(role, row).orElse("");
    double d = PlainNumber.parse(text);
    if (Double.isNaN(d)) {
      throw new ReadException(
          file, line, "\"" + text + "\" in the column " + role.word() + " is not a number.");
    }
    return d;
  }

  private Received received() {
    List<Finding> findings = new ArrayList<>();
    if (!columns.headed() && rule.isEmpty()) {
      findings.add(
          Finding.note(
              RECEIVE,
              "points.columns",
              "",
              "The list has no header; its columns are taken as "
                  + (columns.at().containsKey(ColumnRole.NAME) ? "name, " : "")
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
    Item group = Item.points(name, points.build());
    String crs = columns.geographic() ? "EPSG:4326" : "";
    if (crs.isEmpty() && points.size() > 1) {
      LikelyDegrees.check(name, group.bounds()).ifPresent(findings::add);
    }
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
        List.of(group),
        Map.of("point", points.size()),
        findings,
        places);
  }
}
