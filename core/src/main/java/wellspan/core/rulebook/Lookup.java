package wellspan.core.rulebook;

import java.util.Collections;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/**
 * A table that turns words into others.
 *
 * @param rows what stands for which text; found without case
 * @param otherwise for texts that are not in it; a gap where it is left out
 */
public record Lookup(String name, Map<String, String> rows, String otherwise) {
  public Lookup {
    name = Given.text(name);
    rows = rows == null ? Map.of() : Collections.unmodifiableMap(new LinkedHashMap<>(rows));
    if (name.isEmpty()) {
      throw new IllegalArgumentException("a lookup needs a name");
    }
    Map<String, String> seen = new HashMap<>();
    for (String key : rows.keySet()) {
      String before = seen.put(key.toLowerCase(Locale.ROOT), key);
      if (before != null) {
        throw new IllegalArgumentException(
            "the lookup " + name + " has " + before + " and " + key + ", which are the same");
      }
    }
  }

  Optional<String> find(String text) {
    String exact = rows.get(text);
    if (exact != null) {
      return Optional.of(exact);
    }
    return rows.entrySet().stream()
        .filter(e -> e.getKey().equalsIgnoreCase(text))
        .map(Map.Entry::getValue)
        .findFirst()
        .or(() -> Optional.ofNullable(otherwise));
  }
}
