package wellspan.exchange.points.read;

import java.io.Closeable;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Iterator;
import java.util.List;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import wellspan.exchange.file.ReadException;

/** The rows of a text table one after the other; empty lines and remarks are passed over. */
final class TableRows implements Closeable {
  private static final int SAMPLE = 8192;
  private static final int SAMPLE_LINES = 20;
  private static final Pattern DECIMAL_COMMA = Pattern.compile("[^,]*\\d,\\d[^,]*");

  private final Path file;
  private final String separator;
  private final CSVParser parser;
  private final Iterator<org.apache.commons.csv.CSVRecord> records;

  /**
   * @param separator a space stands for any run of spaces
   */
  TableRows(Path file, String separator) throws IOException {
    this.file = file;
    this.separator = separator;
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setIgnoreEmptyLines(true)
            .setIgnoreSurroundingSpaces(true)
            .setCommentMarker('#')
            .get();
    parser =
        CSVParser.parse(new InputStreamReader(Files.newInputStream(file), charset(file)), format);
    records = parser.iterator();
  }

  /** The separator that most of the first lines show. */
  static String separatorOf(Path file) throws IOException {
    String sample;
    try (InputStream in = Files.newInputStream(file)) {
      sample = new String(in.readNBytes(SAMPLE), StandardCharsets.UTF_8);
    }
    List<String> lines =
        sample.lines().filter(l -> !l.isBlank() && !l.startsWith("#")).limit(SAMPLE_LINES).toList();
    for (String s : List.of(";", "\t")) {
      if (most(lines, l -> l.contains(s))) {
        return s;
      }
    }
    return most(lines, l -> l.contains(",")) && !most(lines, TableRows::hasDecimalCommas)
        ? ","
        : " ";
  }

  private static boolean most(List<String> lines, Predicate<String> such) {
    return 2 * lines.stream().filter(such).count() > lines.size();
  }

  /** Words between spaces, whose commas stand singly and between digits: {@code A 1,5 2,25}. */
  private static boolean hasDecimalCommas(String line) {
    String[] words = line.strip().split("\\s+");
    return words.length >= 2
        && line.contains(",")
        && Arrays.stream(words)
            .allMatch(w -> w.indexOf(',') < 0 || DECIMAL_COMMA.matcher(w).matches());
  }

  /** UTF-8 where the bytes are such, otherwise the Latin alphabet of older programs. */
  private static Charset charset(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
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

  /** The line in which the row that was read last ended, counted from one. */
  long line() {
    return parser.getCurrentLineNumber();
  }

  /**
   * The next row, empty at the end.
   *
   * @throws ReadException if quotation marks stand around something else than a column: one for
   *     inches or for "as above" would take all points up to the next one away
   */
  Optional<List<String>> next() throws IOException {
    long before = line();
    try {
      while (records.hasNext()) {
        List<String> row = new ArrayList<>(records.next().toList());
        if (row.stream().anyMatch(this::holdsRows)) {
          throw marks(before);
        }
        row.replaceAll(String::trim);
        before = line();
        if (!row.isEmpty() && row.getFirst().startsWith("\uFEFF")) {
          row.set(0, row.getFirst().substring(1));
        }
        if (separator.equals(" ")) {
          row.removeIf(String::isEmpty); // several spaces separate like one
        }
        if (!row.isEmpty()) {
          return Optional.of(row);
        }
      }
      return Optional.empty();
    } catch (IllegalArgumentException | UncheckedIOException e) {
      throw marks(before); // there is nothing else that is no table
    }
  }

  /** Remarks may have several lines, but not several columns. */
  private boolean holdsRows(String value) {
    int end = value.indexOf('\n');
    return end >= 0 && value.indexOf(separator, end) >= 0;
  }

  private ReadException marks(long before) {
    return new ReadException(
        file,
        before + 1,
        "quotation marks in this line, or in a following one, do not stand around a whole column. Take them away or double them.");
  }

  @Override
  public void close() throws IOException {
    parser.close();
  }
}
