package wellspan.core.rulebook;

import java.util.Optional;
import wellspan.core.attribute.PropertyValue;

/**
 * What a rule says of an item.
 *
 * @param value what is delivered; empty where nothing is
 * @param state whether it fits
 * @param message why it does not, for people; empty if it does
 */
public record Cell(Optional<PropertyValue> value, State state, String message) {

  /** Whether a value fits. */
  public enum State {
    /** As the rule asks. */
    SAID,
    /** The rule is not for the item, or a value may be missing and is. */
    NONE,
    /** The item has no such value. */
    GAP,
    /** There is a value, and it does not fit: another type, a word that is not on the list. */
    WRONG,
    /** Another rule says this property of the item already; that one counts. */
    TWICE
  }

  static final Cell NOTHING = new Cell(Optional.empty(), State.NONE, "");

  static Cell said(PropertyValue v) {
    return new Cell(Optional.of(v), State.SAID, "");
  }

  static Cell gap(String why) {
    return new Cell(Optional.empty(), State.GAP, why);
  }

  static Cell wrong(String why) {
    return new Cell(Optional.empty(), State.WRONG, why);
  }

  static Cell twice(String why) {
    return new Cell(Optional.empty(), State.TWICE, why);
  }

  /** Whether something is to be mended. */
  public boolean isTrouble() {
    return state == State.GAP || state == State.WRONG || state == State.TWICE;
  }
}
