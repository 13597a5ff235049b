package wellspan.exchange.points.read;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import wellspan.core.receive.ColumnRole;
import wellspan.core.receive.ReadingRule;
import wellspan.core.unit.Angles;
import wellspan.core.unit.LinearUnit;

/**
 * The first rows of a point list and what its columns are taken for, so that people can correct it.
 *
 * @param separator between the columns
 * @param headLines rows before the first point
 * @param roles what each column is taken for
 * @param unit that the header names
 * @param rows the first rows as they stand in the file, head lines among them
 * @param certain false if the columns could not be told from a header
 */
public record PointListPreview(
    String separator,
    int headLines,
    List<ColumnRole> roles,
    Optional<LinearUnit> unit,
    List<List<String>> rows,
    boolean certain) {

  /** Rows that are shown at most. */
  public static final int ROWS = 12;

  /** The file as the reader takes it by itself. */
  public static PointListPreview found(Path file) throws IOException {
    return found(file, TableRows.separatorOf(file));
  }

  /** The same with a separator that somebody chose. */
  public static PointListPreview found(Path file, String separator) throws IOException {
    List<List<String>> rows = rows(file, separator);
    Optional<PointColumns> columns =
        rows.isEmpty() ? Optional.empty() : PointListReader.recognised(rows.getFirst());
    int head = headLines(rows, columns);
    int width = rows.stream().mapToInt(List::size).max().orElse(0);
    return new PointListPreview(
        separator,
        head,
        columns
            .map(c -> c.roles(width))
            .orElseGet(() -> new ArrayList<>(Collections.nCopies(width, ColumnRole.NONE))),
        columns.flatMap(PointColumns::unit),
        rows,
        columns.filter(PointColumns::headed).isPresent());
  }

  /** The file as somebody said that it is to be read. */
  public static PointListPreview by(Path file, ReadingRule.Columns rule) throws IOException {
    List<List<String>> rows = rows(file, rule.separator());
    int width = rows.stream().mapToInt(List::size).max().orElse(0);
    return new PointListPreview(
        rule.separator(),
        rule.headLines(),
        PointColumns.of(rule).roles(width),
        rule.unit(),
        rows,
        true);
  }

  private static int headLines(List<List<String>> rows, Optional<PointColumns> columns) {
    if (columns.isPresent()) {
      return columns.get().headed() ? 1 : 0;
    }
    int head = 0;
    while (head < rows.size()
        && rows.get(head).stream().filter(s -> !Double.isNaN(PlainNumber.parse(s))).count() < 2) {
      head++;
    }
    return head == rows.size() ? 0 : head;
  }

  private static List<List<String>> rows(Path file, String separator) throws IOException {
    List<List<String>> out = new ArrayList<>();
    try (TableRows rows = new TableRows(file, separator)) {
      for (Optional<List<String>> r = rows.next();
          r.isPresent() && out.size() < ROWS;
          r = rows.next()) {
        out.add(List.copyOf(r.get()));
      }
    }
    return out;
  }

  /** Whether a text can stand in a column of a role. */
  public static boolean fits(ColumnRole role, String text) {
    return switch (role) {
      case EAST, NORTH -> !Double.isNaN(PlainNumber.parse(text));
      case HEIGHT -> text.isBlank() || !Double.isNaN(PlainNumber.parse(text));
      case LATITUDE, LONGITUDE -> Angles.degrees(text).isPresent();
      case NAME, CODE, NONE -> true;
    };
  }
}
