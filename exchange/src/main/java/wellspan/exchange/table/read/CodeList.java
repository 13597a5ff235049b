package wellspan.exchange.table.read;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.charset.CharacterCodingException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.rulebook.CodeSystem;
import wellspan.exchange.file.ReadException;

/**
 * Reads the codes of a classification: a table with the columns {@code code}, {@code title} and
 * {@code parent}, or JSON, a list of objects with these members.
 */
public final class CodeList {
  private static final ObjectMapper JSON = new ObjectMapper();

  private CodeList() {}

  /**
   * The codes in the order of the file.
   *
   * @throws ReadException if it is no such list
   */
  public static List<CodeSystem.Code> read(Path file) throws IOException {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    try {
      List<CodeSystem.Code> codes = name.endsWith(".json") ? json(file) : table(file);
      if (codes.isEmpty()) {
        throw new ReadException(file, "there is no code in it.");
      }
      return codes;
    } catch (IllegalArgumentException e) {
      throw new ReadException(file, e.getMessage() + ".", e);
    }
  }

  private static List<CodeSystem.Code> json(Path file) throws IOException {
    JsonNode list;
    try {
      list = JSON.readTree(Files.readString(file));
    } catch (JsonProcessingException | CharacterCodingException e) {
      throw new ReadException(file, "this is not JSON.", e);
    }
    if (!list.isArray()) {
      throw new IllegalArgumentException(
          "a list of objects with code, title and parent is expected");
    }
    List<CodeSystem.Code> out = new ArrayList<>();
    for (JsonNode n : list) {
      if (!n.path("code").isValueNode()) {
        throw new IllegalArgumentException("entry " + (out.size() + 1) + " has no code");
      }
      out.add(
          new CodeSystem.Code(
              n.path("code").asText(), n.path("title").asText(""), n.path("parent").asText("")));
    }
    return out;
  }

  private static List<CodeSystem.Code> table(Path file) throws IOException {
    List<List<String>> rows = TableReader.read(file);
    List<String> head =
        rows.isEmpty()
            ? List.of()
            : rows.getFirst().stream().map(h -> h.strip().toLowerCase(Locale.ROOT)).toList();
    int code = head.indexOf("code");
    if (code < 0) {
      throw new IllegalArgumentException(
          "no column is called code; the first row names the columns code, title and parent");
    }
    List<CodeSystem.Code> out = new ArrayList<>();
    for (List<String> row : rows.subList(1, rows.size())) {
      if (!cell(row, code).isBlank()) {
        out.add(
            new CodeSystem.Code(
                cell(row, code),
                cell(row, head.indexOf("title")),
                cell(row, head.indexOf("parent"))));
      }
    }
    return out;
  }

  private static String cell(List<String> row, int column) {
    return column >= 0 && column < row.size() ? row.get(column) : "";
  }
}
