package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.ProjCoordinate;
import org.locationtech.proj4j.datum.Datum;

class GeocentricShiftTest {
  private static final double ARC_SECOND = Math.toRadians(1 / 3600.0);

  private static Datum datum(String text) {
    return new CRSFactory().createFromParameters("datum", "+proj=longlat " + text).getDatum();
  }

  /** The worked example of EPSG guidance note 7-2 for the position vector method: WGS 72. */
  @Test
  void thePublishedExampleIsMet() {
    GeocentricShift wgs72 =
        GeocentricShift.of(datum("+a=6378135 +b=6356750.520016 +towgs84=0,0,4.5,0,0,0.554,0.219"));
    double[] place = {Math.toRadians(4), Math.toRadians(55), 0};
    wgs72.toWgs84(place);
    assertThat((place[0] - Math.toRadians(4)) / ARC_SECOND).isCloseTo(0.554, within(5e-4));
    assertThat((place[1] - Math.toRadians(55)) / ARC_SECOND).isCloseTo(0.090, within(5e-4));
    assertThat(place[2]).isCloseTo(3.22, within(5e-3));
  }

  /** PROJ counts the same steps; what it calls the way back is not the exact inverse. */
  @Property(tries = 300)
  void theWayBackEndsWhereItBegan(
      @ForAll @DoubleRange(min = -3.14, max = 3.14) double longitude,
      @ForAll @DoubleRange(min = -1.57, max = 1.57) double latitude,
      @ForAll @DoubleRange(min = -400, max = 9000) double height) {
    GeocentricShift threeOnly =
        GeocentricShift.of(datum("+ellps=bessel +towgs84=582,105,414,0,0,0,0"));
    double[] place = {longitude, latitude, height};
    threeOnly.toWgs84(place);
    threeOnly.fromWgs84(place);
    double across = Math.IEEEremainder(place[0] - longitude, 2 * Math.PI) * Math.cos(latitude);
    assertThat(across).isCloseTo(0, within(5e-13));
    assertThat(place[1]).isCloseTo(latitude, within(5e-13));
    assertThat(place[2]).isCloseTo(height, within(1e-7));
  }

  /**
   * Every system of ours that is shifted, both ways, against the projection library's own steps.
   */
  @Test
  void theWholeCatalogueAgreesWithTheLibrary() {
    CoordinateReferenceSystem wgs84 = Leg.system(Crs.WGS84, false);
    int shifted = 0;
    for (Crs c : CrsCatalogue.shipped().all()) {
      if (!c.projText().matches("\\+proj=(utm|tmerc) .*")
          || !(Leg.of(c, true) instanceof Leg.Own own)
          || !c.hasDatumShift()) {
        continue;
      }
      CoordinateReferenceSystem geographic = Leg.system(c, false).createGeographic();
      AreaOfUse a = c.area();
      double lon = a.west();
      double lat = (a.south() + a.north()) / 2;
      ProjCoordinate there = new ProjCoordinate();
      new BasicCoordinateTransform(geographic, wgs84)
          .transform(new ProjCoordinate(lon, lat, 0), there);
      double[] place = {Math.toRadians(lon), Math.toRadians(lat), 0};
      own.shift().toWgs84(place);
      same(c, place, there);
      ProjCoordinate back = new ProjCoordinate();
      new BasicCoordinateTransform(wgs84, geographic).transform(there, back);
      own.shift().fromWgs84(place);
      same(c, place, back);
      if (Math.abs(there.x - lon) + Math.abs(there.y - lat) > 1e-7) {
        shifted++;
      }
    }
    assertThat(shifted).isGreaterThan(1000);
  }

  private static void same(Crs c, double[] place, ProjCoordinate theirs) {
    double across = Math.IEEEremainder(Math.toDegrees(place[0]) - theirs.x, 360);
    assertThat(across * Math.cos(place[1])).as(c.id()).isCloseTo(0, within(1e-10));
    assertThat(Math.toDegrees(place[1])).as(c.id()).isCloseTo(theirs.y, within(1e-10));
  }

  @Test
  void aDatumWithoutParametersAndOneThatStaysItselfAreNotShifted() {
    Datum potsdam = datum("+ellps=bessel +towgs84=598.1,73.7,418.2,0.202,0.045,-2.455,6.7");
    for (GeocentricShift still :
        new GeocentricShift[] {
          GeocentricShift.of(datum("+ellps=bessel")),
          GeocentricShift.of(datum("+ellps=GRS80 +towgs84=0,0,0")),
          GeocentricShift.none(potsdam)
        }) {
      double[] place = {0.15, 0.9, 30};
      still.toWgs84(place);
      still.fromWgs84(place);
      assertThat(place).containsExactly(0.15, 0.9, 30);
    }
  }
}
