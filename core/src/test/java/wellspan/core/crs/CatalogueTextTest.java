package wellspan.core.crs;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.locationtech.proj4j.CRSFactory;
import org.locationtech.proj4j.Proj4jException;
import wellspan.core.unit.LinearUnit;

class CatalogueTextTest {
  @Test
  void nearlyEverySystemOfTheCatalogueIsKnownToTheProjectionLibrary() {
    CRSFactory factory = new CRSFactory();
    List<String> unknown = new ArrayList<>();
    for (Crs c : CrsCatalogue.shipped().all()) {
      try {
        factory.createFromParameters(c.id(), c.projText());
      } catch (Proj4jException | IllegalStateException | NumberFormatException e) {
        unknown.add(c.id());
      }
    }
    assertThat(unknown.size())
        .as(unknown.toString())
        .isLessThan(CrsCatalogue.shipped().all().size() / 100);
    assertThat(unknown)
        .doesNotContain("EPSG:25832", "EPSG:2154", "EPSG:27700", "EPSG:2227", "EPSG:4326");
  }

  @Test
  void factorsOfFeetAreExact() {
    assertThat(CrsCatalogue.shipped().find("2227").orElseThrow().metresPerUnit())
        .isEqualTo(1200.0 / 3937.0);
    assertThat(CrsCatalogue.shipped().find("25832").orElseThrow().metresPerUnit()).isEqualTo(1);
    assertThat(CrsCatalogue.shipped().find("4326").orElseThrow().metresPerUnit()).isZero();
  }

  @Test
  void areasOfUseAreDegrees() {
    assertThat(CrsCatalogue.shipped().all())
        .allSatisfy(
            c -> {
              assertThat(c.area().south()).isBetween(-90.0, c.area().north());
              assertThat(c.area().north()).isLessThanOrEqualTo(90);
              assertThat(c.area().west()).isBetween(-180.0, 180.0);
              assertThat(c.area().east()).isBetween(-180.0, 180.0);
              assertThat(c.name()).isNotBlank();
            });
  }

  @Test
  void unitsAreFoundByTitleAndSymbol() {
    assertThat(LinearUnit.named(" FT ")).contains(LinearUnit.FOOT);
    assertThat(LinearUnit.named("us survey foot")).contains(LinearUnit.US_SURVEY_FOOT);
    assertThat(LinearUnit.named("parsec")).isEmpty();
    assertThat(LinearUnit.US_SURVEY_FOOT.metres() / LinearUnit.FOOT.metres() - 1)
        .isBetween(1.9e-6, 2.1e-6);
  }
}
