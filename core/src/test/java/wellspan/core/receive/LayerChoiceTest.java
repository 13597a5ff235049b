package wellspan.core.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;

class LayerChoiceTest {
  private static final Mesh TRIANGLE =
      new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2});

  private static Received drawing() {
    return new Received(
        "DXF",
        "",
        "",
        List.of(
            entry(Item.surface("TIN", TRIANGLE), "TIN"),
            entry(Item.string("TIN", line()), "TIN"),
            entry(Item.string("KERB", line()), "KERB")),
        List.of(
            new Layer("TIN", 0, true, Map.of("3DFACE", 1, "LINE", 1)),
            new Layer("KERB", 0, true, Map.of("LINE", 1)),
            new Layer("0", 0, true, Map.of())),
        Map.of(),
        List.of(),
        List.of());
  }

  private static Polyline line() {
    return new Polyline(new double[] {0, 0, 0, 1, 1, 1});
  }

  private static Item entry(Item item, String layer) {
    return item.on(layer);
  }

  private static ReadingRule.Layers layers(String... names) {
    return new ReadingRule.Layers(new TreeSet<>(Set.of(names)));
  }

  @Test
  void allOfThePickedLayerComesAndNothingElse() {
    Received r = LayerChoice.of(drawing(), layers("TIN"));
    assertThat(r.items()).extracting(Item::layer).containsExactly("TIN", "TIN");
    assertThat(r.layers()).as("to pick another one").hasSize(3);
    assertThat(r.findings()).isEmpty();
  }

  @Test
  void pickedLayersWithoutFacesAreAFindingThatNamesThoseWithFaces() {
    Received r = LayerChoice.of(drawing(), layers("KERB", "0"));
    assertThat(r.items()).extracting(Item::name).containsExactly("KERB");
    assertThat(r.findings())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("layer.faceless");
              assertThat(f.message()).contains("no surface").contains("Faces are on: TIN.");
            });
  }

  @Test
  void aLayerThatIsNotThereAnyMoreIsAnError() {
    Received r = LayerChoice.of(drawing(), layers("TIN", "GROUND"));
    assertThat(r.findings()).singleElement().matches(Finding::isError);
    assertThat(r.findings().getFirst().message()).contains("GROUND is not in the file");
  }

  @Test
  void aFileWithoutLayersIsTakenWhole() {
    Received plain =
        new Received(
            "OBJ",
            "",
            "",
            List.of(entry(Item.string("a", line()), "")),
            Map.of(),
            List.of(),
            List.of());
    assertThat(LayerChoice.of(plain, layers("TIN"))).isEqualTo(plain);
  }

  @Test
  void theRuleIsKeptAsJsonAndNeedsALayer() {
    ReadingRule rule = layers("KERB", "A, B");
    assertThat(ReadingRuleJson.read(ReadingRuleJson.node(rule).orElseThrow())).isEqualTo(rule);
    assertThatThrownBy(LayerChoiceTest::layers).hasMessageContaining("at least one layer");
  }
}
