package wellspan.core.crs;

/** A text that does not describe a coordinate reference system; the message is a sentence. */
public final class CrsTextException extends Exception {
  CrsTextException(String message) {
    super(message);
  }
}
