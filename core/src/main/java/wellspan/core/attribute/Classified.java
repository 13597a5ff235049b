package wellspan.core.attribute;

import java.util.List;

/**
 * A code of a classification.
 *
 * @param system name of the classification
 * @param code empty where only the system is named
 * @param title of the code in words, empty where none is given
 * @param parents codes above it that are known, the nearest first
 */
public record Classified(String system, String code, String title, List<String> parents) {
  public Classified {
    parents = List.copyOf(parents);
  }

  /** For people: system and code, with the title where there is one. */
  public String show() {
    return system
        + (code.isEmpty() ? "" : " " + code)
        + (title.isEmpty() ? "" : " \u201c" + title + "\u201d");
  }
}
