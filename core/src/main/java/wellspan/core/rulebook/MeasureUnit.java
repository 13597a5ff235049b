package wellspan.core.rulebook;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** Units in which numbers may stand in texts, with the measure they are of. */
enum MeasureUnit {
  MILLIMETRE("mm", "length", 1e-3),
  CENTIMETRE("cm", "length", 1e-2),
  METRE("m", "length", 1),
  KILOMETRE("km", "length", 1e3),
  FOOT("ft", "length", 0.3048),
  INCH("in", "length", 0.0254),
  SQUARE_METRE("m2", "area", 1),
  HECTARE("ha", "area", 1e4),
  SQUARE_FOOT("ft2", "area", 0.3048 * 0.3048),
  CUBIC_METRE("m3", "volume", 1),
  LITRE("l", "volume", 1e-3),
  CUBIC_FOOT("ft3", "volume", 0.3048 * 0.3048 * 0.3048),
  KILOGRAM("kg", "mass", 1),
  TONNE("t", "mass", 1e3),
  SECOND("s", "time", 1),
  HOUR("h", "time", 3600),
  RADIAN("rad", "angle", 1),
  DEGREE("deg", "angle", Math.PI / 180),
  PER_CENT("%", "number", 1e-2),
  PER_MILLE("\u2030", "number", 1e-3);

  private final String symbol;
  private final String dimension;
  private final double si;

  MeasureUnit(String symbol, String dimension, double si) {
    this.symbol = symbol;
    this.dimension = dimension;
    this.si = si;
  }

  String symbol() {
    return symbol;
  }

  String dimension() {
    return dimension;
  }

  /** SI units in one of it. */
  double si() {
    return si;
  }

  /** By its symbol; squares and cubes also with a raised figure. */
  static Optional<MeasureUnit> named(String text) {
    String t = text.strip().replace('\u00b2', '2').replace('\u00b3', '3').replace("\u00b0", "deg");
    return Arrays.stream(values()).filter(u -> u.symbol.equals(t)).findFirst();
  }

  static String symbols() {
    return Arrays.stream(values()).map(u -> u.symbol).collect(Collectors.joining(", "));
  }
}
