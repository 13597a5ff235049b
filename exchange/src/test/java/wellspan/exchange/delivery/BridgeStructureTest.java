package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Attributes;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** Where the parts of a bridge stand in the structure of a model. */
class BridgeStructureTest extends DeliveredInTest {
  private static Item box(String name, String kind, String layer, double e) {
    double[] xyz = new double[24];
    for (int i = 0; i < 8; i++) {
      xyz[3 * i] = 412_000 + e + (i & 1);
      xyz[3 * i + 1] = 6_534_500 + (i >> 1 & 1);
      xyz[3 * i + 2] = i >> 2;
    }
    Mesh m =
        new Mesh(
            xyz,
            new int[] {
              0, 2, 3, 0, 3, 1, 4, 5, 7, 4, 7, 6, 0, 1, 5, 0, 5, 4, 2, 6, 7, 2, 7, 3, 0, 4, 6, 0, 6,
              2, 1, 3, 7, 1, 7, 5
            });
    return new Item(
        name,
        Kind.of(kind),
        new Shape.Faces(m),
        Attributes.ofMaterial("concrete").withLayer(layer));
  }

  private Path written(IfcSchema schema) throws IOException {
    DeliveryRun.Outcome o =
        run(
            settled(
                schema,
                box("Deck", "bridge deck", "Creek Bridge", 0),
                box("Rail", "handrail", "Creek Bridge", 2),
                box("Column", "bridge column", "Creek Bridge", 4),
                box("Kerb", "kerb", "Road", 6)));
    assertThat(o.receipt().proof().pass()).as(o.receipt().proof().findings().toString()).isTrue();
    return dir.resolve("a.ifc");
  }

  private static String instance(String text, String pattern) {
    MatchResult m =
        Pattern.compile("(#\\d+)=" + pattern).matcher(text).results().findFirst().orElseThrow();
    return m.group(1);
  }

  private static String contentOf(String text, String part) {
    return Pattern.compile(
            "IFCRELCONTAINEDINSPATIALSTRUCTURE\\([^;]*\\(([^)]*)\\)," + part + "\\);")
        .matcher(text)
        .results()
        .findFirst()
        .orElseThrow()
        .group(1);
  }

  @Test
  void deckAndRailsAreTheSuperstructureTheRestBearsThem() throws IOException {
    String text = Files.readString(written(IfcSchema.IFC4X3));
    assertThat(text).contains("'Creek Bridge'").contains(".SUPERSTRUCTURE.");
    String above = instance(text, "IFCBRIDGEPART\\([^;]*\\.SUPERSTRUCTURE\\.");
    String below = instance(text, "IFCBRIDGEPART\\([^;]*\\.SUBSTRUCTURE\\.");
    assertThat(contentOf(text, above))
        .contains(instance(text, "IFCSLAB\\("))
        .contains(instance(text, "IFCRAILING\\("));
    assertThat(contentOf(text, below)).contains(instance(text, "IFCCOLUMN\\("));
    assertThat(contentOf(text, instance(text, "IFCROADPART\\(")))
        .as("what is of no bridge stays with the road")
        .contains(instance(text, "IFCKERB\\("))
        .doesNotContain(instance(text, "IFCSLAB\\("));
  }

  @Test
  void olderSchemasHaveNoBridgesAndEverythingStillArrives() throws IOException {
    for (IfcSchema s : new IfcSchema[] {IfcSchema.IFC4, IfcSchema.IFC2X3}) {
      assertThat(Files.readString(written(s))).contains("IFCSLAB(").doesNotContain("IFCBRIDGE");
    }
  }
}
