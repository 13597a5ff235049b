package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;

/** Like occurrences share a type object with their shape. */
class SharedTypesTest extends DeliveredInTest {
  /** A lopsided wedge, turned about the vertical. */
  private static Item wedge(String name, String kind, double east, double turn, double size) {
    double[] local = {0, 0, 0, 3, 0, 0, 0, 2, 0, 0.25, 0.5, 4};
    double[] xyz = new double[12];
    for (int i = 0; i < 12; i += 3) {
      double x = size * local[i], y = size * local[i + 1];
      xyz[i] = 412_100 + east + x * Math.cos(turn) - y * Math.sin(turn);
      xyz[i + 1] = 6_534_600 + x * Math.sin(turn) + y * Math.cos(turn);
      xyz[i + 2] = 7 + size * local[i + 2];
    }
    return Item.of(
        name,
        Kind.of(kind),
        new Shape.Faces(new Mesh(xyz, new int[] {0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3})));
  }

  private static final Item[] POSTS = {
    wedge("MP 1", "marker post", 0, 0, 1),
    wedge("MP 2", "marker post", 20, 1, 1),
    wedge("MP 3", "marker post", 40, 2.5, 1),
    wedge("Large", "marker post", 60, 0, 1.5),
    wedge("Lamp", "light", 80, 0.3, 1)
  };

  private String written(IfcSchema schema, Item... items) throws IOException {
    DeliveryRun.Outcome o = run(settled(schema, items));
    assertThat(o.receipt().proof().differences()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    return Files.readString(dir.resolve("a.ifc"));
  }

  private static List<String> lines(String text, String pattern) {
    return Pattern.compile("=(" + pattern + "[^;]*);")
        .matcher(text)
        .results()
        .map((MatchResult m) -> m.group(1))
        .toList();
  }

  private static List<String> references(String list) {
    List<String> out = new ArrayList<>();
    Pattern.compile("#\\d+").matcher(list).results().forEach(m -> out.add(m.group()));
    return out;
  }

  @ParameterizedTest
  @CsvSource({
    "IFC4X3, IFCSIGNTYPE, .MARKER.",
    "IFC4, IFCBUILDINGELEMENTPROXYTYPE, .USERDEFINED.",
    "IFC2X3, IFCBUILDINGELEMENTPROXYTYPE, .NOTDEFINED."
  })
  void likePostsHaveOneTypeWithTheirShape(IfcSchema schema, String type, String predefined)
      throws IOException {
    String text = written(schema, POSTS);
    List<String> types = lines(text, type + "\\(");
    assertThat(types).hasSize(1);
    assertThat(types.getFirst()).contains("'Marker post'").contains(predefined);
    String map = references(types.getFirst()).getLast();
    assertThat(text).contains(map + "=IFCREPRESENTATIONMAP(");
    assertThat(Pattern.compile("IFCMAPPEDITEM\\(" + map + ",").matcher(text).results()).hasSize(3);
    List<String> defined = lines(text, "IFCRELDEFINESBYTYPE\\(");
    assertThat(defined)
        .anySatisfy(
            r ->
                assertThat(references(r.substring(r.lastIndexOf('('))))
                    .as("three posts and their type; one of another size has none")
                    .hasSize(4));
  }

  @Test
  void aShapeThatTwoClassesShareIsShownByOneOfTheirTypes() throws IOException {
    String text =
        written(IfcSchema.IFC4X3, wedge("K", "kerb", 0, 0, 1), wedge("W", "wall", 9, 1, 1));
    List<String> both = new ArrayList<>(lines(text, "IFCKERBTYPE\\("));
    both.addAll(lines(text, "IFCWALLTYPE\\("));
    assertThat(both).hasSize(2);
    assertThat(both.stream().filter(t -> t.contains("(#"))).hasSize(1);
  }

  @ParameterizedTest
  @EnumSource
  void whatIsAloneHasNoTypeUnlessItsSchemaAsksForOne(IfcSchema schema) throws IOException {
    String text = written(schema, wedge("P", "pipe", 0, 0, 1), wedge("K", "kerb", 9, 0, 2));
    assertThat(lines(text, "IFC[A-Z]*TYPE\\(").stream().filter(t -> !t.startsWith("IFCREL")))
        .hasSize(schema == IfcSchema.IFC2X3 ? 1 : 0);
  }
}
