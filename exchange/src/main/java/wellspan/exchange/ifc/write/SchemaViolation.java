package wellspan.exchange.ifc.write;

/**
 * Something that the schema does not allow was about to be written: a fault of the program or of a
 * chosen class.
 */
public final class SchemaViolation extends RuntimeException {
  SchemaViolation(String message) {
    super(message);
  }
}
