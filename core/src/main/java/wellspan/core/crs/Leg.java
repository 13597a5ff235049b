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
  double DEGREES_PER_GRAD = 0.9;

  /** Replaces plan coordinates and 0 by the hub's three; false if there is no such place. */
  boolean toHub(double[] place);

  /** Replaces the hub's three by plan coordinates; false if there are none. */
  boolean fromHub(double[] place);

  /**
   * @param shifted with the shift to WGS 84
   * @throws IllegalArgumentException with a sentence, if the projection is not known to the library
   */
  static Leg of(Crs crs, boolean shifted) {
    for (Axed.Order order : Axed.Order.values()) {
      if (crs.projected() && crs.projText().contains(order.word)) {
        return new Axed(
            of(crs.withProjText(crs.projText().replace(order.word, "")), shifted), order);
      }
    }
    CoordinateReferenceSystem system = system(crs, !shifted);
    Datum datum = system.getDatum();
    double a = datum.getEllipsoid().getEquatorRadius();
    double e2 = datum.getEllipsoid().getEccentricitySquared();
    Optional<Projection> ours =
        shifted && datum.getTransformType() == Datum.TYPE_GRIDSHIFT
            ? Optional.empty()
            : TransverseMercator.of(crs, a, e2).or(() -> CassiniSoldner.of(crs, a, e2));
    if (ours.isPresent()) {
      return new Own(ours.get(), shifted ? GeocentricShift.of(datum) : GeocentricShift.none(datum));
    }
    Leg library =
        new Library(system, shifted ? system(Crs.WGS84, false) : system.createGeographic());
    if (!crs.projected()) {
      double unit = crs.unit().equals("grad") ? DEGREES_PER_GRAD : 1;
      double meridian = PrimeMeridian.of(crs.projText());
      return unit == 1 && meridian == 0 ? library : new Counted(library, unit, meridian);
    }
    return library;
  }

  /** A system as the library knows it. */
  static CoordinateReferenceSystem system(Crs crs, boolean withoutShift) {
    String text =
        withoutShift ? crs.projText().replaceAll("\\s*\\+towgs84=\\S+", "") : crs.projText();
    try {
      return new CRSFactory()
          .createFromParameters(crs.id(), LibraryText.of(PrimeMeridian.toGreenwich(text)));
    } catch (Proj4jException e) {
      throw new IllegalArgumentException(
          crs.id() + " (" + crs.name() + ") uses a projection that is not known here.", e);
    }
  }

  /** A projection and a shift by parameters of our own. */
  record Own(Projection projection, GeocentricShift shift) implements Leg {
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

  /**
   * Longitude and latitude in another unit and from another meridian than the library takes them.
   *
   * @param unit degrees in one of its own
   * @param meridian degrees east of Greenwich
   */
  record Counted(Leg degrees, double unit, double meridian) implements Leg {
    @Override
    public boolean toHub(double[] place) {
      place[0] = place[0] * unit + meridian;
      place[1] *= unit;
      return degrees.toHub(place);
    }

    @Override
    public boolean fromHub(double[] place) {
      if (!degrees.fromHub(place)) {
        return false;
      }
      place[0] = Math.IEEEremainder(place[0] - meridian, 360) / unit;
      place[1] /= unit;
      return true;
    }
  }

  /** Coordinates that count to the west and to the south. */
  record Axed(Leg eastNorth, Order order) implements Leg {
    enum Order {
      SOUTH_WEST("+axis=swu"),
      WEST_SOUTH("+axis=wsu");

      private final String word;

      Order(String word) {
        this.word = word;
      }
    }

    @Override
    public boolean toHub(double[] place) {
      turn(place);
      return eastNorth.toHub(place);
    }

    @Override
    public boolean fromHub(double[] place) {
      boolean there = eastNorth.fromHub(place);
      turn(place);
      return there;
    }

    /** There and back alike. */
    private void turn(double[] place) {
      double x = -place[0], y = -place[1];
      place[0] = order == Order.SOUTH_WEST ? y : x;
      place[1] = order == Order.SOUTH_WEST ? x : y;
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
