package wellspan.exchange.ifc.write;

/**
 * Something that the schema does not allow was about to be written: a fault of the program or of a
 * chosen class.
 */
public final class SchemaViolation extends RuntimeException {
  /** As much of a name as a sentence holds. */
  private static final int SHOWN = 60;

  private final boolean named;

  SchemaViolation(String message) {
    this(message, false);
  }

  private SchemaViolation(String message, boolean named) {
    super(message);
    this.named = named;
  }

  /** The same with the name of the item that it is about; the first name that is said stays. */
  SchemaViolation of(String item) {
    if (named || item.isEmpty()) {
      return this;
    }
    String name = item.length() > SHOWN ? item.substring(0, SHOWN) + "\u2026" : item;
    SchemaViolation about = new SchemaViolation(name + ": " + getMessage(), true);
    about.initCause(this);
    return about;
  }
}
