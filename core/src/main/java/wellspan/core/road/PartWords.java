package wellspan.core.road;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.text.Normalizer;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * Tells from a designer's words which kind of part is meant. The words stand in {@code
 * part-words.tsv}; an earlier row counts before a later one.
 */
public final class PartWords {
  private static final Map<String, List<String>> WORDS = load();
  private static final String DEFAULT = "course";

  private PartWords() {}

  /**
   * @param said name, code and material in the order in which they count
   * @return id of a kind; a course where nothing tells
   */
  public static String kind(List<String> said) {
    return said.stream().map(PartWords::of).flatMap(Optional::stream).findFirst().orElse(DEFAULT);
  }

  private static Optional<String> of(String said) {
    String[] tokens = plain(said).split("[^\\p{L}]+");
    for (Map.Entry<String, List<String>> row : WORDS.entrySet()) {
      for (String word : row.getValue()) {
        for (String token : tokens) {
          if (matches(token, word)) {
            return Optional.of(row.getKey());
          }
        }
      }
    }
    return Optional.empty();
  }

  /** Small letters without accents, which programs often lose. */
  private static String plain(String words) {
    return Normalizer.normalize(words.toLowerCase(Locale.ROOT), Normalizer.Form.NFD)
        .replaceAll("\\p{M}+", "");
  }

  /** Long words also within compounds, short ones at an end of them or on their own only. */
  private static boolean matches(String token, String word) {
    return word.length() > 4
        ? token.contains(word)
        : word.length() == 4 ? token.startsWith(word) || token.endsWith(word) : token.equals(word);
  }

  private static Map<String, List<String>> load() {
    Map<String, List<String>> out = new LinkedHashMap<>();
    try (InputStream in = PartWords.class.getResourceAsStream("part-words.tsv");
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        if (!line.startsWith("#")) {
          String[] c = line.split("\t");
          out.put(c[0], List.of(plain(c[1]).split(" ")));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of words is damaged. Install again.", e);
    }
    return out;
  }
}
