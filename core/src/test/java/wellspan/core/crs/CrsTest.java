package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Position;

class CrsTest {
  private final CrsCatalogue catalogue = CrsCatalogue.shipped();

  private Crs crs(String code) {
    return catalogue.find(code).orElseThrow();
  }

  @Test
  void systemsAreFoundByCodeInAnyWriting() {
    assertThat(crs("25832").name()).isEqualTo("ETRS89 / UTM zone 32N");
    assertThat(crs("epsg:25832")).isEqualTo(crs("EPSG: 25832"));
    assertThat(catalogue.find("EPSG:123456")).isEmpty();
    assertThat(catalogue.all()).hasSizeGreaterThan(5000);
  }

  @Test
  void searchTakesWordsOfNameAndAreaAndPutsFavouritesFirst() {
    assertThat(catalogue.search("25832", Set.of(), 5).getFirst().code()).isEqualTo("25832");
    assertThat(catalogue.search("etrs89 utm 32", Set.of(), 50))
        .extracting(Crs::code)
        .contains("25832");
    assertThat(catalogue.search("lambert france", Set.of(), 50))
        .extracting(Crs::code)
        .contains("2154");
    List<Crs> liked = catalogue.search("utm zone 32n", Set.of("EPSG:32632"), 3);
    assertThat(liked.getFirst().code()).isEqualTo("32632");
    assertThat(catalogue.search("no such words anywhere", Set.of(), 5)).isEmpty();
  }

  @Test
  void systemsValidAtAPlaceComeSmallestFirst() {
    assertThat(catalogue.validAt(7.47, 58.94))
        .extracting(Crs::code)
        .contains("25832", "32632")
        .doesNotContain("2154");
  }

  /** Expected values were computed with the independent program cs2cs. */
  @ParameterizedTest
  @CsvSource({
    "7.5, 58.9, 25832, 413576.3925, 6529885.8121",
    "-122.4, 37.7, 2227, 6012009.2953, 2082927.8867",
    "2.35, 48.85, 2154, 652301.5648, 6861302.7259",
    "151.2, -33.9, 28356, 333568.9410, 6247473.3369",
    "139.7, 35.7, 6677, -12065.9886, -33275.3457",
    "16.4, 48.2, 31256, 5044.8753, 340178.8587"
  })
  void transformsLikeTheIndependentProgram(double lon, double lat, String code, double x, double y)
      throws Exception {
    double[] there = new Transformation(crs("4326"), crs(code)).apply(lon, lat);
    assertThat(there[0]).isCloseTo(x, within(0.001));
    assertThat(there[1]).isCloseTo(y, within(0.001));
    double[] back = new Transformation(crs(code), crs("4326")).apply(there[0], there[1]);
    assertThat(back[0]).isCloseTo(lon, within(1e-8));
    assertThat(back[1]).isCloseTo(lat, within(1e-8));
  }

  @Test
  void placesOutsideTheAreaOfUseAreRefused() {
    Transformation t = new Transformation(crs("4326"), crs("25832"));
    assertThatThrownBy(() -> t.apply(120, -30))
        .isInstanceOf(Transformation.OutsideAreaException.class)
        .hasMessageContaining("area of use");
    assertThatThrownBy(() -> t.apply(Double.NaN, 50))
        .isInstanceOf(Transformation.OutsideAreaException.class);
  }

  /**
   * Convergence and scale by the series for a transverse Mercator projection: γ ≈ Δλ·sin φ, k ≈
   * k₀(1 + Δλ²cos²φ/2·…).
   */
  @Test
  void gridNorthAgreesWithTheSeries() throws Exception {
    Crs utm = crs("25832");
    GridNorth g = GridNorth.at(utm, new Position(412_000, 6_534_500, 0));
    double series = (g.longitude() - 9) * Math.sin(Math.toRadians(g.latitude()));
    assertThat(g.convergenceDegrees()).isCloseTo(series, within(2e-4)).isNegative();
    double radius = 6_390_000;
    double k = 0.9996 * (1 + Math.pow((412_000 - 500_000) / 0.9996 / radius, 2) / 2);
    assertThat(g.scaleFactor()).isCloseTo(k, within(2e-6));
    GridNorth onMeridian = GridNorth.at(utm, new Position(500_000, 6_534_500, 0));
    assertThat(onMeridian.convergenceDegrees()).isCloseTo(0, within(1e-9));
    assertThat(onMeridian.scaleFactor()).isCloseTo(0.9996, within(1e-8));
  }

  @Test
  void theAreaAcrossTheDateLineIsUnderstood() {
    Crs fiji = crs("3460");
    assertThat(fiji.covers(179, -18)).isTrue();
    assertThat(fiji.covers(-179.5, -18)).isTrue();
    assertThat(fiji.covers(0, -18)).isFalse();
  }

  /** The same place in systems that differ by the meridian only; 5514 has its axes turned round. */
  @Test
  void aMeridianOfItsOwnNeedsNoShiftOfItsOwn() throws Exception {
    CrsCatalogue all = CrsCatalogue.shipped();
    double[] ferro =
        new Transformation(Crs.WGS84, all.find("2065").orElseThrow()).apply(14.4, 50.1);
    double[] east = new Transformation(Crs.WGS84, all.find("5514").orElseThrow()).apply(14.4, 50.1);
    assertThat(ferro).containsExactly(new double[] {-east[1], -east[0]}, within(1e-3));
    assertThat(all.find("2065").orElseThrow().shift().accuracy())
        .isEqualTo(all.find("4156").orElseThrow().shift().accuracy());
    assertThat(all.find("4805").orElseThrow().hasDatumShift())
        .as("its twin's way holds in Austria only")
        .isFalse();
  }
}
