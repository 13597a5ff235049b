package wellspan.exchange.kml.read;

/** The numbers of one place in a list of coordinates. */
final class Tuple {
  private Tuple() {}

  /** Longitude, latitude and altitude of a tuple; nothing if it is none. */
  static double[] of(String tuple) {
    String[] c = tuple.split(",");
    try {
      double[] out = {Double.NaN, Double.NaN, Double.NaN};
      for (int k = 0; k < Math.min(3, c.length); k++) {
        out[k] = Double.parseDouble(c[k]);
      }
      return Math.abs(out[0]) <= 180.000001 && Math.abs(out[1]) <= 90.000001 && c.length <= 3
          ? out
          : new double[0];
    } catch (NumberFormatException e) {
      return new double[0];
    }
  }
}
