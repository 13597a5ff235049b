package wellspan.exchange.table.read;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.dhatim.fastexcel.reader.Cell;
import org.dhatim.fastexcel.reader.ExcelReaderException;
import org.dhatim.fastexcel.reader.ReadableWorkbook;
import org.dhatim.fastexcel.reader.Row;
import org.dhatim.fastexcel.reader.Sheet;
import wellspan.exchange.file.ReadException;

/**
 * Reads a table as rows of texts: CSV with any usual separator, or the first sheet of a workbook.
 */
public final class TableReader {
  private static final String SEPARATORS = ",;\t";

  private TableReader() {}

  /**
   * All rows, the head among them; rows are as long as they stand in the file.
   *
   * @throws ReadException if it is no such table
   */
  public static List<List<String>> read(Path file) throws IOException {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    try {
      return name.endsWith(".xlsx") ? workbook(file) : csv(file);
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.");
    }
  }

  private static List<List<String>> csv(Path file) throws IOException {
    String text;
    try {
      text = Files.readString(file, StandardCharsets.UTF_8);
    } catch (CharacterCodingException e) {
      throw new ReadException(
          file, "this is no text in UTF-8. Save the table as CSV in UTF-8, or as .xlsx.");
    }
    if (text.startsWith("\uFEFF")) {
      text = text.substring(1);
    }
    List<List<String>> out = new ArrayList<>();
    CSVFormat format = CSVFormat.DEFAULT.builder().setDelimiter(separator(text)).get();
    try (CSVParser parser = CSVParser.parse(text, format)) {
      for (CSVRecord r : parser) {
        out.add(r.stream().toList());
      }
    } catch (IOException | UncheckedIOException e) {
      throw new ReadException(
          file, "the table is damaged: a quotation mark does not end, or stands within a word.");
    }
    return out;
  }

  /** The one that stands most often in the first line outside of quotation marks. */
  private static char separator(String text) {
    int[] count = new int[SEPARATORS.length()];
    boolean quoted = false;
    for (int i = 0; i < text.length(); i++) {
      char c = text.charAt(i);
      quoted ^= c == '"';
      if (c == '\n' && !quoted) {
        break;
      }
      int at = quoted ? -1 : SEPARATORS.indexOf(c);
      if (at >= 0) {
        count[at]++;
      }
    }
    int most = 0;
    for (int i = 1; i < count.length; i++) {
      most = count[i] > count[most] ? i : most;
    }
    return SEPARATORS.charAt(most);
  }

  private static List<List<String>> workbook(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file);
        ReadableWorkbook book = new ReadableWorkbook(in)) {
      Sheet sheet = book.getFirstSheet();
      List<List<String>> out = new ArrayList<>();
      try (Stream<Row> rows = sheet.openStream()) {
        for (Row r : (Iterable<Row>) rows::iterator) {
          List<String> cells = new ArrayList<>();
          for (int c = 0; c < r.getCellCount(); c++) {
            cells.add(text(r.getOptionalCell(c).orElse(null)));
          }
          out.add(cells);
        }
      }
      return out;
    } catch (NoSuchFileException e) {
      throw e;
    } catch (ExcelReaderException
        | IOException
        | UncheckedIOException
        | IllegalArgumentException e) {
      throw new ReadException(file, "this is no workbook that can be read. Save it as CSV.", e);
    }
  }

  private static String text(Cell cell) {
    if (cell == null || cell.getValue() == null) {
      return "";
    }
    return switch (cell.getValue()) {
      case BigDecimal d -> d.stripTrailingZeros().toPlainString();
      case Boolean b -> b ? "yes" : "no";
      case Object o -> o.toString();
    };
  }
}
