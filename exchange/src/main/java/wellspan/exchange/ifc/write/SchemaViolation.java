package wellspan.exchange.ifc.write;

/**
 * Something that the schema does not allow was about to be written: a fault of the program or of a
 * chosen class.
 */
public final class SchemaViolation extends RuntimeException {
  /** As much of a name as a sentence holds. */
  private static final int SHOWN = 60;

  SchemaViolation(String message) {
    super(message);
  }

  /** The same with the name of the item that it is about. */
  SchemaViolation of(String item) {
    String name = item.length() > SHOWN ? item.substring(0, SHOWN) + "\u2026" : item;
    SchemaViolation named = new SchemaViolation(name + ": " + getMessage());
    named.initCause(this);
    return named;
  }
}
