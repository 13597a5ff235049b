package wellspan.core.crs;

import java.util.Locale;

/**
 * Plan coordinates from one CRS to another, easting or longitude first whatever the authority's
 * axis order. Heights are not touched: a datum shift of ellipsoids says nothing about levels above
 * sea. The way leads over longitude and latitude, of the common datum where both systems have the
 * same, otherwise of WGS 84. Not safe for use by several threads.
 */
public final class Transformation {
  /**
   * Beyond the area of use by more than this, a zone of UTM, results are refused: farther out
   * projections return numbers without meaning.
   */
  private static final double MARGIN_DEGREES = 6;

  private final Crs from;
  private final Crs to;
  private final DatumAccuracy accuracy;
  private final Leg first;
  private final Leg last;
  private final boolean toWgs84;

  /** Whether places outside the area of use of each are refused. */
  private final boolean fromBounded;

  private final boolean toBounded;

  /** Longitude and latitude (radians) and height of the place under way. */
  private final double[] place = new double[3];

  /**
   * @throws IllegalArgumentException with a sentence, if the projection of one of them is not known
   *     to the library
   */
  public Transformation(Crs from, Crs to) {
    this.from = from;
    this.to = to;
    accuracy = DatumAccuracy.between(from, to);
    boolean shifted = !accuracy.sameDatum();
    first = Leg.of(from, shifted);
    last = Leg.of(to, shifted);
    toWgs84 = to.code().equals(Crs.WGS84.code());
    // longitude and latitude of the datum of both mean the same everywhere
    fromBounded = from.projected() || shifted;
    toBounded = to.projected() || shifted;
  }

  /** How far the result may be off because of the datums, and why. */
  public DatumAccuracy accuracy() {
    return accuracy;
  }

  /** The same at a place of the source system; everywhere if it has no longitude and latitude. */
  public DatumAccuracy accuracyAt(double x, double y) {
    double[] there = geographic(x, y);
    return Double.isNaN(there[0]) ? accuracy : DatumAccuracy.at(from, to, there[0], there[1]);
  }

  /**
   * Longitude and latitude in degrees of a place in the source system, on WGS 84 or, between
   * systems of one datum, on that datum; NaN where there is none.
   */
  public double[] geographic(double x, double y) {
    return toHub(x, y)
        ? new double[] {Math.toDegrees(place[0]), Math.toDegrees(place[1])}
        : new double[] {Double.NaN, Double.NaN};
  }

  private boolean toHub(double x, double y) {
    place[0] = x;
    place[1] = y;
    place[2] = 0;
    return first.toHub(place);
  }

  /**
   * Transforms one place. Coordinates are in each system's own unit (degrees for geographic
   * systems).
   *
   * @throws OutsideAreaException if the place lies outside the area of use of either system by more
   *     than six degrees, where projections return numbers without meaning
   */
  public double[] apply(double x, double y) throws OutsideAreaException {
    double[] xy = {x, y};
    apply(xy, 0);
    return xy;
  }

  /** Transforms the pair at an index of an array in place; meant for millions of points. */
  public void apply(double[] xy, int at) throws OutsideAreaException {
    double x = xy[at];
    double y = xy[at + 1];
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new OutsideAreaException("Not a finite coordinate: " + x + " " + y);
    }
    if (!toHub(x, y)) {
      throw outside(from, Double.NaN, Double.NaN);
    }
    double longitude = Math.toDegrees(place[0]);
    double latitude = Math.toDegrees(place[1]);
    if (fromBounded && !from.area().covers(longitude, latitude, MARGIN_DEGREES)) {
      throw outside(from, longitude, latitude);
    }
    if (toBounded && !to.area().covers(longitude, latitude, MARGIN_DEGREES)) {
      throw outside(to, longitude, latitude);
    }
    if (toWgs84) {
      xy[at] = Math.IEEEremainder(longitude, 360);
      xy[at + 1] = latitude;
      return;
    }
    if (!last.fromHub(place)) {
      throw new OutsideAreaException(
          x + " " + y + " cannot be brought from " + from.id() + " to " + to.id() + ".");
    }
    xy[at] = place[0];
    xy[at + 1] = place[1];
  }

  private static OutsideAreaException outside(Crs crs, double longitude, double latitude) {
    return new OutsideAreaException(
        Double.isNaN(longitude)
            ? "The place has no longitude and latitude in " + crs.id() + "."
            : String.format(
                Locale.ROOT,
                "Longitude %.4f, latitude %.4f lies outside the area of use of %s (%s).",
                longitude,
                latitude,
                crs.id(),
                crs.area().name()));
  }

  /** A place that a coordinate reference system is not made for. */
  public static final class OutsideAreaException extends Exception {
    OutsideAreaException(String message) {
      super(message);
    }
  }
}
