package wellspan.exchange.ifc.read;

/** Text that is no STEP record, with its place in the file. */
final class StepSyntaxException extends RuntimeException {
  private final int offset;

  StepSyntaxException(int offset, String message) {
    super(message);
    this.offset = offset;
  }

  int offset() {
    return offset;
  }
}
