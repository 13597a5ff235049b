package wellspan.exchange.ifc.read;

/** Raised where a product cannot be read whole. */
final class Left extends RuntimeException {
  private static final long serialVersionUID = 1;

  Left(String why) {
    super(why, null, false, false);
  }
}
