package wellspan.core.search;

import java.util.Locale;
import java.util.Optional;

/** What an item can be asked for, each with the word that stands before the colon. */
public enum Facet {
  KIND("kind"),
  LAYER("layer"),
  SOURCE("source"),
  CLASS("class"),
  MATERIAL("material"),
  PART("part"),
  GROUP("group"),
  TYPE("type"),
  HAS("has"),
  IN("in");

  private final String word;

  Facet(String word) {
    this.word = word;
  }

  public String word() {
    return word;
  }

  static Optional<Facet> named(String word) {
    String wanted = word.toLowerCase(Locale.ROOT);
    for (Facet f : values()) {
      if (f.word.equals(wanted)) {
        return Optional.of(f);
      }
    }
    return Optional.empty();
  }
}
