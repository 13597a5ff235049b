package wellspan.exchange.rulebook;

import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import wellspan.core.job.AtomicFile;
import wellspan.core.rulebook.RuleTable;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.table.read.TableReader;
import wellspan.exchange.table.write.TableFile;

/** Reads and writes rulebooks and tables of their rules. */
public final class RulebookFile {
  private RulebookFile() {}

  /**
   * @throws ReadException with file, line and what is wrong; a rulebook is read whole or refused
   */
  public static Rulebook read(Path file) throws IOException {
    try {
      return RulebookJson.read(Files.readString(file));
    } catch (IllegalArgumentException e) {
      throw new ReadException(file, e.getMessage() + ".", e);
    } catch (NoSuchFileException e) {
      throw new ReadException(file, "there is no such file.", e);
    } catch (CharacterCodingException e) {
      throw new ReadException(file, "this is no text in UTF-8.", e);
    }
  }

  /** Writes it whole or not at all. */
  public static void write(Rulebook book, Path file) throws IOException {
    Path fresh = AtomicFile.fresh(file.toAbsolutePath());
    try {
      Files.writeString(fresh, RulebookJson.write(book));
      AtomicFile.move(fresh, file.toAbsolutePath());
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  /** Writes the property rules of a rulebook as a table, CSV or a workbook by the ending. */
  public static void writeRules(Rulebook book, Path file) throws IOException {
    RuleTable table = RuleTable.of(book);
    List<List<Object>> rows = new ArrayList<>();
    table.rows().forEach(r -> rows.add(new ArrayList<>(r)));
    TableFile.write(file, table.head(), rows);
  }

  /**
   * The property rules that stand in a table.
   *
   * @throws ReadException with file, row and what is wrong
   */
  public static RuleTable readRules(Path file) throws IOException {
    List<List<String>> rows = TableReader.read(file);
    List<String> head =
        rows.isEmpty() ? List.of() : rows.getFirst().stream().map(String::strip).toList();
    RuleTable table =
        new RuleTable(head, rows.isEmpty() ? List.of() : rows.subList(1, rows.size()));
    try {
      table.rules();
    } catch (IllegalArgumentException e) {
      throw new ReadException(file, e.getMessage() + ".", e);
    }
    return table;
  }
}
