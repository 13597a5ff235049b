package wellspan.exchange.table.write;

import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.dhatim.fastexcel.Workbook;
import org.dhatim.fastexcel.Worksheet;
import wellspan.core.job.AtomicFile;

/** Writes rows of texts, numbers and truth values as CSV or as a workbook, by the file's ending. */
public final class TableFile {
  private static final int MOST_TEXT = 32_767;

  private TableFile() {}

  /**
   * @param rows cells of each: String, Number, Boolean, or null for an empty one
   * @throws IllegalArgumentException if the ending is neither .csv nor .xlsx
   */
  public static void write(Path file, List<String> head, List<List<Object>> rows)
      throws IOException {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    if (!name.endsWith(".csv") && !name.endsWith(".xlsx")) {
      throw new IllegalArgumentException(file + ": name the table with the ending .csv or .xlsx.");
    }
    Path fresh = AtomicFile.fresh(file.toAbsolutePath());
    try {
      if (name.endsWith(".csv")) {
        csv(fresh, head, rows);
      } else {
        workbook(fresh, head, rows);
      }
      AtomicFile.move(fresh, file.toAbsolutePath());
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  /** With a byte order mark: spreadsheets take the letters for another code page without it. */
  private static void csv(Path file, List<String> head, List<List<Object>> rows)
      throws IOException {
    try (BufferedWriter out = Files.newBufferedWriter(file, StandardCharsets.UTF_8)) {
      out.write('\uFEFF');
      try (CSVPrinter csv = new CSVPrinter(out, CSVFormat.DEFAULT)) {
        csv.printRecord(head);
        for (List<Object> row : rows) {
          csv.printRecord(row);
        }
      }
    }
  }

  private static void workbook(Path file, List<String> head, List<List<Object>> rows)
      throws IOException {
    try (OutputStream out = Files.newOutputStream(file);
        Workbook book = new Workbook(out, "Wellspan", "1.0")) {
      Worksheet sheet = book.newWorksheet("Objects");
      for (int c = 0; c < head.size(); c++) {
        sheet.value(0, c, head.get(c));
        sheet.style(0, c).bold().set();
      }
      for (int r = 0; r < rows.size(); r++) {
        for (int c = 0; c < rows.get(r).size(); c++) {
          switch (rows.get(r).get(c)) {
            case null -> {}
            case Number n -> sheet.value(r + 1, c, n);
            case Boolean b -> sheet.value(r + 1, c, b);
            case Object o -> sheet.value(r + 1, c, cut(o.toString()));
          }
        }
      }
      sheet.freezePane(1, 1);
    }
  }

  /** A cell of a workbook holds no more. */
  private static String cut(String text) {
    return text.length() <= MOST_TEXT ? text : text.substring(0, MOST_TEXT - 1) + "…";
  }
}
