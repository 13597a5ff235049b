package wellspan.core.crs;

import java.util.Optional;
import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.Proj4jException;
import org.locationtech.proj4j.ProjCoordinate;
import org.locationtech.proj4j.datum.Datum;

/**
 * The way between the plan coordinates of one system (its own unit, easting or longitude first) and
 * the hub all transformations lead over: longitude and latitude in radians on WGS 84, or on the
 * system's own datum where no shift is wanted, and the ellipsoidal height in metres that the shift
 * of datums makes of 0. Not safe for use by several threads.
 */
sealed interface Leg {
  /** Replaces plan coordinates and 0 by the hub's three; false if there is no such place. */
  boolean toHub(double[] place);

  /** Replaces the hub's three by plan coordinates; false if there are none. */
  boolean fromHub(double[] place);

  /**
   * @param shifted with the shift to WGS 84
   * @throws IllegalArgumentException with a sentence, if the projection is not known to the library
   */
  static Leg of(Crs crs, boolean shifted) {
    CoordinateReferenceSystem system = system(crs, !shifted);
    Datum datum = system.getDatum();
    Optional<TransverseMercator> ours =
        shifted && datum.getTransformType() == Datum.TYPE_GRIDSHIFT
            ? Optional.empty()
            : TransverseMercator.of(
                crs,
                datum.getEllipsoid().getEquatorRadius(),
                datum.getEllipsoid().getEccentricitySquared());
    if (ours.isPresent()) {
      return new Mercator(
          ours.get(), shifted ? GeocentricShift.of(datum) : GeocentricShift.none(datum));
    }
    return new Library(system, shifted ? system(Crs.WGS84, false) : system.createGeographic());
  }

  /** A system as the library knows it. */
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

  /** Transverse Mercator and a shift by parameters: our own, at half the library's time. */
  record Mercator(TransverseMercator projection, GeocentricShift shift) implements Leg {
    @Override
    public boolean toHub(double[] place) {
      projection.inverse(place[0], place[1], place);
      shift.toWgs84(place);
      return true;
    }

    @Override
    public boolean fromHub(double[] place) {
      shift.fromWgs84(place);
      projection.project(place[0], place[1], place);
      return true;
    }
  }

  /** Everything else. */
  final class Library implements Leg {
    private final BasicCoordinateTransform to;
    private final BasicCoordinateTransform from;
    private final ProjCoordinate in = new ProjCoordinate();
    private final ProjCoordinate out = new ProjCoordinate();

    Library(CoordinateReferenceSystem system, CoordinateReferenceSystem hub) {
      to = new BasicCoordinateTransform(system, hub);
      from = new BasicCoordinateTransform(hub, system);
    }

    @Override
    public boolean toHub(double[] place) {
      in.setValue(place[0], place[1], place[2]);
      if (!transform(to)) {
        return false;
      }
      place[0] = Math.toRadians(out.x);
      place[1] = Math.toRadians(out.y);
      place[2] = Double.isNaN(out.z) ? 0 : out.z;
      return true;
    }

    @Override
    public boolean fromHub(double[] place) {
      in.setValue(Math.toDegrees(place[0]), Math.toDegrees(place[1]), place[2]);
      if (!transform(from)) {
        return false;
      }
      place[0] = out.x;
      place[1] = out.y;
      return true;
    }

    private boolean transform(BasicCoordinateTransform by) {
      try {
        by.transform(in, out);
        return true;
      } catch (Proj4jException | IllegalStateException e) {
        return false;
      }
    }
  }
}
