package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.geom.Position;

class OwnSystemTest {
  private static final CrsCatalogue CATALOGUE = CrsCatalogue.shipped();

  private static Crs crs(String code) {
    return CATALOGUE.find(code).orElseThrow();
  }

  /**
   * Every catalogue system's WKT, read as a system of its own, must project as the catalogue's PROJ
   * text does: two independent descriptions of the same thing.
   */
  @Test
  void wellKnownTextsOfTheWholeCatalogueProjectAsTheirProjTexts() {
    List<String> wrong = new ArrayList<>();
    int same = 0;
    int unknown = 0;
    for (Crs known : CATALOGUE.all()) {
      if (!known.projected() || Integer.parseInt(known.code()) % 7 != 0) {
        continue;
      }
      String wkt = WellKnownTexts.of(known).orElse("");
      if (wkt.isEmpty()) {
        continue;
      }
      try {
        Crs own = OwnSystem.of("", wkt);
        double[] at = middle(known);
        double[] a = forward(known, at);
        double[] b = forward(own, at);
        if (Math.hypot(a[0] - b[0], a[1] - b[1]) * known.metresPerUnit() < 0.01) {
          same++;
        } else {
          wrong.add(known.id() + " " + known.name() + " " + a[0] + " " + b[0]);
        }
      } catch (CrsTextException
          | IllegalArgumentException
          | Transformation.OutsideAreaException e) {
        unknown++;
      }
    }
    assertThat(same).isGreaterThan(550);
    assertThat(wrong).as("systems that project elsewhere").isEmpty();
    assertThat(unknown).as("refused with a sentence").isLessThan(same / 10);
  }

  private static double[] middle(Crs c) {
    AreaOfUse a = c.area();
    double east = a.west() <= a.east() ? a.east() : a.east() + 360;
    double lon = (a.west() + east) / 2;
    return new double[] {lon > 180 ? lon - 360 : lon, (a.south() + a.north()) / 2};
  }

  /** From the system's own datum, so that only the projection is compared. */
  private static double[] forward(Crs c, double[] lonLat)
      throws Transformation.OutsideAreaException {
    var geographic = Leg.system(c, true).createGeographic();
    var out = new org.locationtech.proj4j.ProjCoordinate();
    new org.locationtech.proj4j.BasicCoordinateTransform(geographic, Leg.system(c, true))
        .transform(new org.locationtech.proj4j.ProjCoordinate(lonLat[0], lonLat[1]), out);
    return new double[] {out.x, out.y};
  }

  @Test
  void projTextsAreTaken() throws Exception {
    Crs site =
        OwnSystem.of(
            "Harbour grid",
            "+proj=tmerc +lat_0=58 +lon_0=7.5 +k=1 +x_0=10000 +y_0=5000 +ellps=GRS80 +towgs84=0,0,0 +units=m +no_defs +type=crs");
    assertThat(site.id()).isEqualTo("Harbour grid");
    assertThat(site.isOwn()).isTrue();
    assertThat(site.projected()).isTrue();
    double[] origin = new Transformation(Crs.WGS84, site).apply(7.5, 58);
    assertThat(origin[0]).isCloseTo(10_000, within(1e-6));
    assertThat(origin[1]).isCloseTo(5_000, within(1e-6));
    assertThat(OwnSystem.of("", "+proj=utm +zone=32 +datum=WGS84 +units=us-ft").metresPerUnit())
        .isEqualTo(1200.0 / 3937);
    assertThat(OwnSystem.of("9", "+proj=longlat +datum=WGS84").id()).isEqualTo("own 9");
  }

  @Test
  void wkt2AndBoundSystemsAreTaken() throws Exception {
    String wkt2 =
        """
        BOUNDCRS[SOURCECRS[PROJCRS["Site 32",BASEGEOGCRS["ETRS89",DATUM["European Terrestrial Reference System 1989",ELLIPSOID["GRS 1980",6378137,298.257222101,LENGTHUNIT["metre",1]]],PRIMEM["Greenwich",0,ANGLEUNIT["degree",0.0174532925199433]]],
        CONVERSION["UTM zone 32N",METHOD["Transverse Mercator",ID["EPSG",9807]],PARAMETER["Latitude of natural origin",0,ANGLEUNIT["degree",0.0174532925199433]],PARAMETER["Longitude of natural origin",9,ANGLEUNIT["degree",0.0174532925199433]],PARAMETER["Scale factor at natural origin",0.9996,SCALEUNIT["unity",1]],PARAMETER["False easting",500,LENGTHUNIT["kilometre",1000]],PARAMETER["False northing",0,LENGTHUNIT["metre",1]]],
        CS[Cartesian,2],AXIS["(E)",east],AXIS["(N)",north],LENGTHUNIT["metre",1]]],TARGETCRS[GEOGCRS["WGS 84",DATUM["x",ELLIPSOID["y",1,1]]]]]
        """;
    Crs c = OwnSystem.of("", wkt2);
    assertThat(c.name()).isEqualTo("Site 32");
    double[] a = new Transformation(Crs.WGS84, c).apply(7.4708204, 58.9411039);
    assertThat(a[0]).isCloseTo(412_000, within(0.01));
    assertThat(a[1]).isCloseTo(6_534_500, within(0.01));
  }

  @Test
  void projectionFilesAreRecognisedByNameOrCode() {
    assertThat(OwnSystem.identify(WellKnownTexts.of(crs("25832")).orElseThrow()))
        .contains(crs("25832"));
    assertThat(
            OwnSystem.identify(
                "PROJCS[\"whatever\",GEOGCS[\"x\",DATUM[\"d\",SPHEROID[\"s\",1,2]]],AUTHORITY[\"EPSG\",\"2154\"]]"))
        .contains(crs("2154"));
    assertThat(OwnSystem.identify("PROJCS[\"nobody's grid\"]")).isEmpty();
    assertThat(OwnSystem.identify("not a text")).isEmpty();
    long found =
        CATALOGUE.all().stream()
            .filter(c -> Integer.parseInt(c.code()) % 11 == 0)
            .filter(c -> WellKnownTexts.of(c).flatMap(OwnSystem::identify).isPresent())
            .count();
    assertThat(found).isGreaterThan(450);
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "",
        "nonsense",
        "PROJCS[\"open",
        "PROJCS[\"a\",GEOGCS[\"b\"",
        "PROJCS[\"a\"]",
        "PROJCS[\"a\",GEOGCS[\"b\",DATUM[\"c\",SPHEROID[\"d\",6378137,298]],UNIT[\"Degree\",0.0174532925199433]],PROJECTION[\"Van der Grinten\"],UNIT[\"Meter\",1]]",
        "PROJCS[\"a\",GEOGCS[\"b\",DATUM[\"c\",SPHEROID[\"d\",6378137,NaN]],UNIT[\"Degree\",0.0174532925199433]],PROJECTION[\"Transverse_Mercator\"],UNIT[\"Meter\",1]]",
        "LOCAL_CS[\"yard\",LOCAL_DATUM[\"x\",0],UNIT[\"m\",1]]",
        "+units=m",
        "+proj=nosuch +ellps=GRS80",
        "+proj=utm +zone=32 +units=parsec",
        "A[B[C[D[E[F[G[H[I[J[K[L[M[N[O[P[Q[R[S[T[U[V[W[X[Y[Z[A[B[C[D[E[F[G[H[I[J[K[L[M[N[O[P[Q[R["
      })
  void brokenTextsGetASentence(String text) {
    assertThatThrownBy(() -> OwnSystem.of("x", text))
        .isInstanceOf(CrsTextException.class)
        .message()
        .endsWith(".");
  }

  @Test
  void accuracySaysWhatIsLeft() {
    DatumAccuracy same = DatumAccuracy.between(crs("25832"), crs("25833"));
    assertThat(same.sameDatum()).isTrue();
    assertThat(same.metres()).isZero();
    assertThat(same.sentences()).isEmpty();
    DatumAccuracy grid = DatumAccuracy.between(crs("27700"), crs("4326"));
    assertThat(grid.sameDatum()).isFalse();
    assertThat(grid.metres()).isCloseTo(2, within(0.1));
    assertThat(grid.sentences())
        .singleElement()
        .asString()
        .contains("OSTN15")
        .contains("would reach 0.03 m")
        .contains("an accuracy of 2 m is left");
    DatumAccuracy unknown = DatumAccuracy.between(crs("2326"), crs("3006"));
    assertThat(unknown.sentences()).isNotEmpty();
    Crs dark =
        CATALOGUE.all().stream()
            .filter(c -> c.projected() && !c.hasDatumShift())
            .findFirst()
            .orElseThrow();
    assertThat(DatumAccuracy.between(dark, crs("4326")).sentences())
        .anySatisfy(s -> assertThat(s).contains("hundreds of metres"));
    assertThat(DatumAccuracy.between(dark, crs("4326")).metres()).isNaN();
  }

  /** Values from the independent program: proj -V, scale along the meridian and convergence. */
  @ParameterizedTest
  @CsvSource({
    "25832, 412000, 6534500, -1.31003571, 0.99969492",
    "2154, 652301.5648, 6861302.7259, -0.47164505, 0.99988780"
  })
  void convergenceAndScaleOfTheGrid(
      String code, double e, double n, double convergence, double scale) throws Exception {
    GridNorth g = GridNorth.at(crs(code), new Position(e, n, 0));
    assertThat(g.convergenceDegrees()).isCloseTo(convergence, within(1e-6));
    assertThat(g.scaleFactor()).isCloseTo(scale, within(1e-8));
    assertThat(g.combinedFactor(0)).isCloseTo(g.scaleFactor(), within(1e-15));
    assertThat(g.combinedFactor(637.1)).isCloseTo(g.scaleFactor() * (1 - 1e-4), within(1e-7));
  }

  @Test
  void areasReachAcrossTheDateLine() {
    AreaOfUse fiji = new AreaOfUse("Fiji", 176.8, -21, -178, -12);
    assertThat(fiji.covers(179, -18)).isTrue();
    assertThat(fiji.covers(-179, -18)).isTrue();
    assertThat(fiji.covers(175, -18)).isFalse();
    assertThat(fiji.covers(175, -18, 2)).isTrue();
    assertThat(fiji.covers(0, -18)).isFalse();
    assertThat(AreaOfUse.WORLD.covers(-180, 90)).isTrue();
    assertThat(fiji.covers(Double.NaN, Double.NaN)).isFalse();
  }
}
