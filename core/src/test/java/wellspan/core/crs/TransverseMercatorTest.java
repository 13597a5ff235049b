package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.proj4j.BasicCoordinateTransform;
import org.locationtech.proj4j.CoordinateReferenceSystem;
import org.locationtech.proj4j.ProjCoordinate;

class TransverseMercatorTest {
  private static final double A = 6_378_137;
  private static final double E2 = 0.006694380022903416;

  private static Crs crs(String code) {
    return CrsCatalogue.shipped().find(code).orElseThrow();
  }

  private static Projection of(Crs c) {
    CoordinateReferenceSystem s = Leg.system(c, true);
    return TransverseMercator.of(
            c,
            s.getDatum().getEllipsoid().getEquatorRadius(),
            s.getDatum().getEllipsoid().getEccentricitySquared())
        .orElseThrow();
  }

  /** proj -f %.9f +proj=utm +zone=32 +ellps=GRS80, places at, beside and far from the meridian. */
  @Test
  void publishedValuesAreMet() {
    double[] xy = new double[2];
    Projection utm = of(crs("25832"));
    utm.project(Math.toRadians(9), Math.toRadians(0), xy);
    assertThat(xy).containsExactly(500_000, 0);
    utm.project(Math.toRadians(7.5), Math.toRadians(58.9), xy);
    assertThat(xy[0]).isCloseTo(413_576.3925, within(5e-5));
    assertThat(xy[1]).isCloseTo(6_529_885.8121, within(5e-5));
  }

  /**
   * Every transverse Mercator system of the catalogue against the projection library, whose shorter
   * series is half a millimetre off far from the meridian.
   */
  @Test
  void theWholeCatalogueAgreesWithTheLibrary() {
    int compared = 0;
    double[] xy = new double[2];
    for (Crs c : CrsCatalogue.shipped().all()) {
      if (!c.projText().matches("\\+proj=(utm|tmerc) .*")) {
        continue;
      }
      CoordinateReferenceSystem s = Leg.system(c, true);
      var own =
          TransverseMercator.of(
              c,
              s.getDatum().getEllipsoid().getEquatorRadius(),
              s.getDatum().getEllipsoid().getEccentricitySquared());
      if (own.isEmpty()) {
        continue;
      }
      AreaOfUse a = c.area();
      double east = a.west() <= a.east() ? a.east() : a.east() + 360;
      double lon = (2 * a.west() + east) / 3;
      double lat = (a.south() + 2 * a.north()) / 3;
      if (Math.abs(lat) > 84) {
        continue; // there the library's own series ends
      }
      ProjCoordinate out = new ProjCoordinate();
      new BasicCoordinateTransform(s.createGeographic(), s)
          .transform(new ProjCoordinate(lon > 180 ? lon - 360 : lon, lat), out);
      own.get().project(Math.toRadians(lon), Math.toRadians(lat), xy);
      assertThat(Math.hypot(xy[0] - out.x, xy[1] - out.y) * c.metresPerUnit())
          .as(c.id() + " " + c.name())
          .isLessThan(1e-3);
      compared++;
    }
    assertThat(compared).isGreaterThan(2500);
  }

  @Property(tries = 500)
  void theInverseBringsEveryPlaceBack(
      @ForAll @DoubleRange(min = -8, max = 8) double fromMeridian,
      @ForAll @DoubleRange(min = -84, max = 84) double latitude) {
    Projection utm = of(crs("32733"));
    double lon = Math.toRadians(15 + fromMeridian);
    double lat = Math.toRadians(latitude);
    double[] xy = new double[2];
    utm.project(lon, lat, xy);
    double[] back = new double[2];
    utm.inverse(xy[0], xy[1], back);
    assertThat(back[0]).isCloseTo(lon, within(2e-14 / Math.cos(lat)));
    assertThat(back[1]).isCloseTo(lat, within(1e-14));
  }

  @Test
  void otherProjectionsMeridiansAndAxesAreLeftToTheLibrary() {
    for (String code : new String[] {"2154", "2048", "21781", "4326"}) {
      assertThat(TransverseMercator.of(crs(code), A, E2)).as(code).isEmpty();
    }
  }
}
