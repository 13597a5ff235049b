package wellspan.exchange.ifc.read;

import java.util.Locale;

/** Raised where a shape cannot be read whole; the message names the entity and says why. */
final class Unread extends RuntimeException {
  private static final long serialVersionUID = 1;

  private static final double MOST_PIECES = 4e6;

  Unread(Instance at, String why) {
    super("#" + at.id() + " " + at.entity().name() + " " + why, null, false, false);
  }

  /**
   * So many pieces, if they can be made of something; a size or a unit is wrong where they cannot.
   *
   * @throws Unread if there are too many
   */
  static int notTooMany(Instance at, double pieces) {
    if (!(pieces <= MOST_PIECES)) {
      throw new Unread(
          at,
          String.format(
              Locale.ROOT,
              "would need %.3g pieces to keep within its tolerance; its size or its unit is wrong",
              pieces));
    }
    return (int) pieces;
  }

  /** For kinds of geometry that are not read. */
  static Unread kind(Instance at) {
    return new Unread(at, "is of a kind that is not read");
  }
}
