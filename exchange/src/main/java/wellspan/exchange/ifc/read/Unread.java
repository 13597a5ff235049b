package wellspan.exchange.ifc.read;

/** Raised where a shape cannot be read whole; the message names the entity and says why. */
final class Unread extends RuntimeException {
  private static final long serialVersionUID = 1;

  Unread(Instance at, String why) {
    super("#" + at.id() + " " + at.entity().name() + " " + why, null, false, false);
  }

  /** For kinds of geometry that are not read. */
  static Unread kind(Instance at) {
    return new Unread(at, "is of a kind that is not read");
  }
}
