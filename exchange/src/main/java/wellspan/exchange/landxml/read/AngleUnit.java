package wellspan.exchange.landxml.read;

import java.util.Arrays;
import java.util.Optional;

/** The units in which LandXML counts angles; without a word of it a file counts in radians. */
enum AngleUnit {
  RADIANS("radians"),
  GRADS("grads"),
  DEGREES("decimal degrees"),
  /** 12.3456 is 12° 34′ 56″. */
  DEGREES_MINUTES_SECONDS("decimal dd.mm.ss");

  private final String word;

  AngleUnit(String word) {
    this.word = word;
  }

  /** The unit of a word of the standard, whatever its letters' case; empty for any other. */
  static Optional<AngleUnit> of(String word) {
    return Arrays.stream(values()).filter(u -> u.word.equalsIgnoreCase(word.strip())).findFirst();
  }

  /**
   * Whether an angle cannot be meant in this unit: a file that says none, and so counts in radians,
   * gives degrees often enough.
   *
   * @param most that the angle can be, radians
   */
  boolean isBeyond(double angle, double most) {
    return this == RADIANS && Math.abs(angle) > most + 1e-6;
  }

  double radians(double angle) {
    return switch (this) {
      case RADIANS -> angle;
      case GRADS -> angle * Math.PI / 200;
      case DEGREES -> Math.toRadians(angle);
      case DEGREES_MINUTES_SECONDS -> {
        double all = Math.round(Math.abs(angle) * 1e12) / 1e12; // so that 0.30 is not 29.99…
        double degrees = Math.floor(all);
        double rest = Math.round((all - degrees) * 100 * 1e10) / 1e10;
        double minutes = Math.floor(rest);
        double seconds = (rest - minutes) * 100;
        yield Math.toRadians(Math.copySign(degrees + minutes / 60 + seconds / 3600, angle));
      }
    };
  }
}
