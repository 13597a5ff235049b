package wellspan.core.rulebook;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Words in one cell of a table, each on a line of its own. What would be taken for something else
 * stands in quotation marks, as JSON has them.
 */
final class Lines {
  private static final ObjectMapper JSON = new ObjectMapper();

  private Lines() {}

  static String of(List<String> words) {
    return words.stream().map(Lines::quoted).collect(Collectors.joining("\n"));
  }

  static List<String> read(String cell) {
    List<String> out = new ArrayList<>();
    for (String line : cell.split("\\R")) {
      if (!line.isBlank()) {
        out.add(unquoted(line));
      }
    }
    return out;
  }

  /** The word itself where nothing is lost by it. */
  static String quoted(String word) {
    boolean plain =
        !word.isEmpty()
            && word.equals(word.strip())
            && word.indexOf('\n') < 0
            && word.indexOf('\r') < 0
            && word.charAt(0) != '"';
    try {
      return plain ? word : JSON.writeValueAsString(word);
    } catch (JsonProcessingException e) {
      throw new IllegalStateException("a text can always be written", e);
    }
  }

  static String unquoted(String word) {
    String w = word.strip();
    if (!w.startsWith("\"")) {
      return w;
    }
    try {
      return JSON.readValue(w, String.class);
    } catch (JsonProcessingException e) {
      throw new IllegalArgumentException(w + " begins with a quotation mark that does not end", e);
    }
  }
}
