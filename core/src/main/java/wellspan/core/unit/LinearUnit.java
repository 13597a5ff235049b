package wellspan.core.unit;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Units of length. The US survey foot is 1200/3937 m, 2 ppm longer than the international foot. */
public enum LinearUnit {
  METRE("metre", "m", 1.0),
  MILLIMETRE("millimetre", "mm", 0.001),
  CENTIMETRE("centimetre", "cm", 0.01),
  KILOMETRE("kilometre", "km", 1000.0),
  FOOT("foot", "ft", 0.3048),
  US_SURVEY_FOOT("US survey foot", "ftUS", 1200.0 / 3937.0),
  INCH("inch", "in", 0.0254),
  MILE("mile", "mi", 1609.344);

  private final String title;
  private final String symbol;
  private final double metres;

  LinearUnit(String title, String symbol, double metres) {
    this.title = title;
    this.symbol = symbol;
    this.metres = metres;
  }

  public String title() {
    return title;
  }

  public String symbol() {
    return symbol;
  }

  /** Metres in one unit. */
  public double metres() {
    return metres;
  }

  /** Finds a unit by its symbol or title. */
  public static Optional<LinearUnit> named(String text) {
    String t = text.strip().toLowerCase(Locale.ROOT);
    return Arrays.stream(values())
        .filter(
            u ->
                u.symbol.toLowerCase(Locale.ROOT).equals(t)
                    || u.title.toLowerCase(Locale.ROOT).equals(t))
        .findFirst();
  }

  /** The unit whose length this is, to 1e-9 of it. */
  public static Optional<LinearUnit> nearest(double metres) {
    return Arrays.stream(values()).filter(u -> Math.abs(metres / u.metres - 1) < 1e-9).findFirst();
  }
}
