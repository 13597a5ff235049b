package wellspan.app.session;

import wellspan.core.rulebook.Rulebook;

/**
 * One rule of a rulebook by its place.
 *
 * @param index in its list
 */
public record RuleRef(Kind kind, int index) {

  /** The lists of a rulebook. */
  public enum Kind {
    CLASS("class rule"),
    PROPERTY("property rule"),
    CODES("classification");

    private final String title;

    Kind(String title) {
      this.title = title;
    }

    public String title() {
      return title;
    }
  }

  /** Whether a rulebook has it. */
  boolean isIn(Rulebook book) {
    return index < size(book, kind);
  }

  static int size(Rulebook book, Kind kind) {
    return switch (kind) {
      case CLASS -> book.classes().size();
      case PROPERTY -> book.properties().size();
      case CODES -> book.classification().size();
    };
  }
}
