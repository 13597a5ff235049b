package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that declare no system leave as local ones, which say so and are proven. */
class ConvertWithoutSystemTest extends CommandFixture {
  private Path sections() throws IOException {
    String section =
        """
        <CrossSect sta="%s"><DesignCrossSectSurf name="Base" closedArea="true">
        <CrossSectPnt>-3 50</CrossSectPnt><CrossSectPnt>3 50</CrossSectPnt>
        <CrossSectPnt>3 49.8</CrossSectPnt><CrossSectPnt>-3 49.8</CrossSectPnt>
        </DesignCrossSectSurf></CrossSect>
        """;
    return Files.writeString(
        dir.resolve("sections.xml"),
        """
        <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
        <Units><Metric linearUnit="meter" areaUnit="squareMeter" volumeUnit="cubicMeter"
          temperatureUnit="celsius" pressureUnit="HPA"/></Units>
        <Alignments><Alignment name="Ramp" length="100" staStart="0">
        <CoordGeom><Line><Start>5650000 500000</Start><End>5650100 500000</End></Line></CoordGeom>
        <CrossSects>%s%s</CrossSects></Alignment></Alignments></LandXML>
        """
            .formatted(section.formatted("0"), section.formatted("100")));
  }

  @ParameterizedTest
  @ValueSource(strings = {"ifc", "ifczip", "dxf", "xml"})
  void theSolidsAreThereAndProven(String ending) throws IOException {
    Path file = dir.resolve("ramp." + ending);
    assertThat(run("convert", sections().toString(), file.toString(), "--tolerance", "10"))
        .as(err.toString())
        .isZero();
    assertThat(out.toString()).contains("proven. 2 of 2 items arrived");
    assertThat(err.toString()).contains("does not say where on earth it lies", "--crs EPSG:n");

    assertThat(run("inspect", file.toString(), "--json")).isZero();
    assertThat(json().get(0).has("crs")).as("a system that nobody named").isFalse();
    for (JsonNode i : json().get(0).get("items")) {
      if (i.get("name").asText().equals("Base")) {
        assertThat(i.get("volume").asDouble()).isCloseTo(120, within(0.001));
      }
    }
  }

  @Test
  void thePositionFileTellsWhereItsZeroIs() throws IOException {
    run("convert", sections().toString(), dir.resolve("ramp.ifc").toString());
    assertThat(run("prove", sections().toString(), dir.resolve("ramp.ifc").toString(), "--json"))
        .as(out + " " + err)
        .isZero();
    assertThat(Files.readString(dir.resolve("ramp.position.json"))).contains("basePoint");
  }

  @Test
  void aSystemThatIsNamedIsDeclared() throws IOException {
    Path file = dir.resolve("ramp.ifc");
    assertThat(run("convert", sections().toString(), file.toString(), "--crs", "EPSG:25832"))
        .isZero();
    run("inspect", file.toString(), "--json");
    assertThat(json().get(0).get("crs").asText()).isEqualTo("EPSG:25832");
  }
}
