package wellspan.core.crs;

import java.util.Locale;
import java.util.Optional;
import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.Proj4jException;
import org.locationtech.proj4j.ProjCoordinate;

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
  private final BasicCoordinateTransform toHub;
  private final BasicCoordinateTransform fromHub;
  private final Optional<Pair> direct;
  private final boolean toWgs84;
  private final ProjCoordinate in = new ProjCoordinate();
  private final double[] radians = new double[2];
  private final ProjCoordinate hub = new ProjCoordinate();
  private final ProjCoordinate out = new ProjCoordinate();

  /**
   * @throws IllegalArgumentException with a sentence, if the projection of one of them is not known
   *     to the library
   */
  public Transformation(Crs from, Crs to) {
    this.from = from;
    this.to = to;
    accuracy = DatumAccuracy.between(from, to);
    boolean sameDatum = accuracy.sameDatum();
    CoordinateReferenceSystem source = system(from, sameDatum);
    CoordinateReferenceSystem target = system(to, sameDatum);
    CoordinateReferenceSystem middle =
        sameDatum ? source.createGeographic() : system(Crs.WGS84, false);
    toHub = new BasicCoordinateTransform(source, middle);
    fromHub = new BasicCoordinateTransform(middle, target);
    direct = sameDatum ? pair(from, to, source) : Optional.empty();
    toWgs84 = to.code().equals(Crs.WGS84.code());
  }

  /** Two transverse Mercator projections on one ellipsoid: no steps between. */
  private record Pair(TransverseMercator inverse, TransverseMercator forward) {}

  private static Optional<Pair> pair(Crs from, Crs to, CoordinateReferenceSystem source) {
    double a = source.getDatum().getEllipsoid().getEquatorRadius();
    double e2 = source.getDatum().getEllipsoid().getEccentricitySquared();
    return TransverseMercator.of(from, a, e2)
        .flatMap(i -> TransverseMercator.of(to, a, e2).map(f -> new Pair(i, f)));
  }

  static CoordinateReferenceSystem system(Crs crs, boolean withoutShift) {
    String text =
        withoutShift ? crs.projText().replaceAll("\\s*\\+towgs84=\\S+", "") : crs.projText();
    try {
      return new CRSFactory().createFromParameters(crs.id(), LibraryText.of(text));
    } catch (Proj4jException e) {
      throw new IllegalArgumentException(
          crs.id() + " (" + crs.name() + ") uses a projection that is not known here.", e);
    }
  }

  /** How far the result may be off because of the datums, and why. */
  public DatumAccuracy accuracy() {
    return accuracy;
  }

  /**
   * Longitude and latitude in degrees of a place in the source system, on WGS 84 or, between
   * systems of one datum, on that datum; NaN where there is none.
   */
  public double[] geographic(double x, double y) {
    return toHub(x, y) ? new double[] {hub.x, hub.y} : new double[] {Double.NaN, Double.NaN};
  }

  private boolean toHub(double x, double y) {
    in.setValue(x, y);
    try {
      if (direct.isPresent()) {
        direct.get().inverse().inverse(x, y, radians);
        hub.setValue(Math.toDegrees(radians[0]), Math.toDegrees(radians[1]));
      } else {
        toHub.transform(in, hub);
      }
      return true;
    } catch (Proj4jException | IllegalStateException e) {
      return false;
    }
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
    if (!from.area().covers(hub.x, hub.y, MARGIN_DEGREES)) {
      throw outside(from, hub.x, hub.y);
    }
    if (!to.area().covers(hub.x, hub.y, MARGIN_DEGREES)) {
      throw outside(to, hub.x, hub.y);
    }
    if (toWgs84) {
      xy[at] = hub.x;
      xy[at + 1] = hub.y;
      return;
    }
    try {
      if (direct.isPresent()) {
        direct.get().forward().project(radians[0], radians[1], radians);
        out.setValue(radians[0], radians[1]);
      } else {
        fromHub.transform(hub, out);
      }
    } catch (Proj4jException | IllegalStateException e) {
      throw new OutsideAreaException(
          x + " " + y + " cannot be brought from " + from.id() + " to " + to.id() + ".");
    }
    xy[at] = out.x;
    xy[at + 1] = out.y;
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
