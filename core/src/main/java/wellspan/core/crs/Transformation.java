package wellspan.core.crs;

import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.Proj4jException;
import org.locationtech.proj4j.ProjCoordinate;

/**
 * Plan coordinates from one CRS to another, easting or longitude first whatever the authority's
 * axis order. Heights are not touched: a datum shift of ellipsoids says nothing about levels above
 * sea. Not safe for use by several threads.
 */
public final class Transformation {
  private final Crs from;
  private final Crs to;
  private final BasicCoordinateTransform forward;
  private final BasicCoordinateTransform toDegrees;
  private final ProjCoordinate in = new ProjCoordinate();
  private final ProjCoordinate out = new ProjCoordinate();

  /**
   * @throws IllegalArgumentException if the projection of one of them is not known to the library
   */
  public Transformation(Crs from, Crs to) {
    this.from = from;
    this.to = to;
    CoordinateReferenceSystem source = system(from);
    forward = new BasicCoordinateTransform(source, system(to));
    toDegrees =
        new BasicCoordinateTransform(
            source, new CRSFactory().createFromParameters("WGS 84", "+proj=longlat +datum=WGS84"));
  }

  private static CoordinateReferenceSystem system(Crs crs) {
    try {
      return new CRSFactory().createFromParameters(crs.id(), crs.projText());
    } catch (Proj4jException e) {
      throw new IllegalArgumentException(
          crs.id() + " (" + crs.name() + ") uses a projection that is not known here.", e);
    }
  }

  /** Longitude and latitude in degrees (WGS 84) of a place in the source system. */
  public double[] geographic(double x, double y) {
    in.setValue(x, y);
    try {
      toDegrees.transform(in, out);
    } catch (Proj4jException | IllegalStateException e) {
      return new double[] {Double.NaN, Double.NaN};
    }
    return new double[] {out.x, out.y};
  }

  /**
   * Transforms one place. Coordinates are in each system's own unit (degrees for geographic
   * systems).
   *
   * @throws OutsideAreaException if the place lies outside the area of use of either system by more
   *     than two degrees, where projections return numbers without meaning
   */
  public double[] apply(double x, double y) throws OutsideAreaException {
    if (!Double.isFinite(x) || !Double.isFinite(y)) {
      throw new OutsideAreaException("Not a finite coordinate: " + x + " " + y);
    }
    double[] lonLat = geographic(x, y);
    checkArea(from, lonLat);
    checkArea(to, lonLat);
    in.setValue(x, y);
    try {
      forward.transform(in, out);
    } catch (Proj4jException | IllegalStateException e) {
      throw new OutsideAreaException(
          x
              + " "
              + y
              + " cannot be brought from "
              + from.id()
              + " to "
              + to.id()
              + ": "
              + e.getMessage());
    }
    return new double[] {out.x, out.y};
  }

  private static void checkArea(Crs crs, double[] lonLat) throws OutsideAreaException {
    double margin = 2;
    Crs wide =
        new Crs(
            crs.code(),
            crs.projected(),
            "",
            "",
            0,
            "",
            "",
            crs.west() - margin,
            crs.south() - margin,
            crs.east() + margin,
            crs.north() + margin,
            "");
    if (!wide.covers(lonLat[0], lonLat[1])) {
      throw new OutsideAreaException(
          String.format(
              java.util.Locale.ROOT,
              "Longitude %.4f, latitude %.4f lies outside the area of use of %s (%s).",
              lonLat[0],
              lonLat[1],
              crs.id(),
              crs.area()));
    }
  }

  /** A place that a coordinate reference system is not made for. */
  public static final class OutsideAreaException extends Exception {
    OutsideAreaException(String message) {
      super(message);
    }
  }
}
