package wellspan.core.deliver;

import java.util.List;
import wellspan.core.finding.Finding;

/** How a format carries an item. */
public sealed interface Carriage {
  /** Everything of it. */
  record Whole() implements Carriage {}

  /** Something stays here; one note for each thing. */
  record Reduced(List<Finding> losses) implements Carriage {}

  /**
   * Not at all.
   *
   * @param why in a sentence
   */
  record Not(String why) implements Carriage {}

  /** Whole, or with what is lost. */
  static Carriage with(List<Finding> losses) {
    return losses.isEmpty() ? new Whole() : new Reduced(List.copyOf(losses));
  }

  default List<Finding> losses() {
    return this instanceof Reduced r ? r.losses() : List.of();
  }
}
