package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/**
 * Bodies of curved faces. The file was made by a script of its own from the standard's definitions,
 * each body with a volume that has a closed formula.
 */
class AdvancedBrepTest {
  private static final Map<String, Double> VOLUMES = new LinkedHashMap<>();

  static {
    VOLUMES.put("cylinder with seam", 20 * Math.PI);
    VOLUMES.put("cylinder without seam", 20 * Math.PI);
    VOLUMES.put("half cylinders", 20 * Math.PI);
    VOLUMES.put("sphere vertex loop", 36 * Math.PI);
    VOLUMES.put("hemisphere", 18 * Math.PI);
    VOLUMES.put("hemisphere with seam", 18 * Math.PI);
    VOLUMES.put("frustum", 28 * Math.PI / 3);
    VOLUMES.put("cone", 16 * Math.PI / 3);
    VOLUMES.put("bilinear roof", 30.0);
    VOLUMES.put("rational quarter", 5 * Math.PI);
    VOLUMES.put("half disc by extrusion", 10 * Math.PI);
    VOLUMES.put("elbow", 2.5 * Math.PI * Math.PI);
    VOLUMES.put("plate with hole", 36 - Math.PI);
  }

  @TempDir Path dir;

  private static String text() throws IOException {
    try (InputStream in = AdvancedBrepTest.class.getResourceAsStream("advanced-breps.ifc")) {
      return new String(in.readAllBytes(), StandardCharsets.UTF_8);
    }
  }

  private Received read(String text) throws IOException {
    return IfcReader.read(Files.writeString(dir.resolve("breps.ifc"), text), Progress.NONE);
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4", "IFC4X3_ADD2"})
  void everyBodyIsClosedAndHasTheVolumeOfItsFormula(String schema) throws IOException {
    Received r = read(text().replace("FILE_SCHEMA(('IFC4'))", "FILE_SCHEMA(('" + schema + "'))"));
    assertThat(r.items()).extracting(Item::name).containsExactlyElementsOf(VOLUMES.keySet());
    for (Item i : r.items()) {
      Mesh m = i.triangles().orElseThrow();
      double formula = VOLUMES.get(i.name());
      assertThat(m.isClosed()).as("%s is closed", i.name()).isTrue();
      assertThat(m.volume())
          .as("volume of %s", i.name())
          .isCloseTo(formula, within(0.002 * formula));
    }
    assertThat(r.findings())
        .extracting(Finding::code)
        .containsExactlyInAnyOrder("ifc.curved", "ifc.place");
  }

  @Test
  void pointsInsideFacesLieOnTheirSurface() throws IOException {
    for (Item i : read(text()).items()) {
      double[] xyz = i.triangles().orElseThrow().xyz();
      for (int k = 0; k < xyz.length; k += 3) {
        double out = Math.hypot(xyz[k], xyz[k + 1]);
        double up = xyz[k + 2];
        switch (i.name()) {
          case "sphere vertex loop", "hemisphere" ->
              assertThat(Math.hypot(out, up)).isCloseTo(3, within(1e-9));
          case "elbow" -> assertThat(Math.hypot(out - 5, up)).isCloseTo(1, within(1e-9));
          case "frustum" -> assertThat(out).isCloseTo(2 - up / 4, within(1e-9));
          case "bilinear roof" ->
              assertThat(up <= 1e-9 || Math.abs(up - 2 - xyz[k] * xyz[k + 1] / 6) < 1e-6).isTrue();
          default -> {}
        }
      }
    }
  }

  @Test
  void millimetresMakeTheSameBodies() throws IOException {
    String small = text().replace(".LENGTHUNIT.,$,.METRE.", ".LENGTHUNIT.,.MILLI.,.METRE.");
    Received r = read(small);
    for (Item i : r.items()) {
      double formula = VOLUMES.get(i.name()) * 1e-9;
      assertThat(i.triangles().orElseThrow().isClosed()).as(i.name()).isTrue();
      assertThat(i.triangles().orElseThrow().volume())
          .isCloseTo(formula, within(0.01 * formula)); // round things keep their corners
    }
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "IFCSPHERICALSURFACE\\((#\\d+),3.\\) | IFCSPHERICALSURFACE($1,4.) | border that lies beside its surface | hemisphere",
        "IFCTOROIDALSURFACE\\((#\\d+),5.,1.\\) | IFCRECTANGULARTRIMMEDSURFACE(#899,0.,0.,1.,1.,.T.,.T.) | surface of a kind that is not read | elbow",
        "IFCORIENTEDEDGE\\(\\*,\\*,(#\\d+),.F.\\) | IFCORIENTEDEDGE(*,*,$1,.T.) | edges that do not follow each other | half cylinders",
      })
  void whatDoesNotFitIsLeftOutByName(String from, String to, String why, String body)
      throws IOException {
    Received r = read(text().replaceAll(from, to));
    assertThat(r.items()).extracting(Item::name).doesNotContain(body).isNotEmpty();
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("ifc.left-out") && f.message().contains(body + " ("))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains(why);
            });
  }
}
