package wellspan.core.colouring;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;

class ColouringTest {
  private static Item body(String name, PropertyValue depth) {
    Item b =
        Item.body(
            name,
            new Mesh(new double[] {0, 0, 0, 1, 0, 0, 0, 1, 0}, new int[] {0, 1, 2}),
            Band.EDGES);
    return depth == null
        ? b
        : b.saying(
            Description.of(
                List.of(new PropertySet("Site", Map.of("Depth", depth))), Optional.empty()));
  }

  private static Build build(List<Item> items) {
    Revision rev = new Revision("A", "m.ifc", "sources/m/m.ifc", "abc", 1, Instant.EPOCH, Map.of());
    Job job = Job.named("j").withSource(Source.of("m", rev));
    return Build.of(
        job, Map.of("m", new Received("IFC4", "", "metre", items, Map.of(), List.of(), List.of())));
  }

  private static List<Item> bodies(int n, java.util.function.IntFunction<PropertyValue> value) {
    return IntStream.range(0, n).mapToObj(i -> body("b" + i, value.apply(i))).toList();
  }

  private static final ColourBy DEPTH = new ColourBy.Property("Site", "Depth", IfcSchema.IFC4X3);

  @Test
  void fewValuesGetAColourEachAndSilenceIsGrey() {
    List<Item> items =
        new ArrayList<>(bodies(5, i -> new PropertyValue.Label(i < 3 ? "new" : "kept")));
    items.add(body("mute", null));
    Colouring c = Colouring.of(build(items), DEPTH);
    assertThat(c.entries())
        .extracting(Colouring.Entry::value)
        .containsExactly("new", "kept", "nothing said");
    assertThat(c.entries()).extracting(e -> e.items().size()).containsExactly(3, 2, 1);
    assertThat(c.entries()).extracting(Colouring.Entry::rgb).doesNotHaveDuplicates();
    assertThat(c.colours()).hasSize(6);
    assertThat(c.entries().getLast().rgb()).isEqualTo(Colouring.GREY);
  }

  @Test
  void manyNumbersGetRangesThatHoldEachOnce() {
    Colouring c = Colouring.of(build(bodies(100, i -> new PropertyValue.Length(i / 10.0))), DEPTH);
    assertThat(c.entries()).hasSize(6);
    assertThat(c.entries().stream().mapToInt(e -> e.items().size()).sum()).isEqualTo(100);
    assertThat(c.entries().getFirst().value()).isEqualTo("0.000 to 1.650");
    assertThat(c.entries().getLast().value()).isEqualTo("8.250 to 9.900");
  }

  @Test
  void moreValuesThanColoursShareOne() {
    Colouring c =
        Colouring.of(build(bodies(40, i -> new PropertyValue.Label("v" + i % 20))), DEPTH);
    assertThat(c.entries()).hasSize(13);
    assertThat(c.entries().getLast().value()).isEqualTo("8 other values");
    assertThat(c.entries().getLast().items()).hasSize(16);
    assertThat(c.colours()).hasSize(40);
  }

  @Test
  void everythingThatIsSaidIsOffered() {
    Build b = build(bodies(2, i -> new PropertyValue.Count(i)));
    assertThat(ColourBy.offered(b, IfcSchema.IFC4))
        .extracting(ColourBy::title)
        .contains("material", "class in IFC4", "source", "layer", "Site · Depth");
    assertThat(Colouring.of(b, new ColourBy.EntityClass(IfcSchema.IFC2X3)).entries())
        .singleElement()
        .satisfies(e -> assertThat(e.value()).startsWith("Ifc"));
    assertThat(Colouring.of(b, new ColourBy.Source()).entries().getFirst().value()).isEqualTo("m");
  }
}
