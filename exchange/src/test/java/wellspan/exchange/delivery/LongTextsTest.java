package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.schema.IfcSchema;

/** Texts longer than a label of a model may be. */
class LongTextsTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);
  private static final String LIMIT = "\u00e4".repeat(255);
  private static final String REMARK = LIMIT + "n";

  @TempDir Path dir;

  private DeliveryRun.Outcome delivered(Item item, IfcSchema schema) throws IOException {
    return LooseDelivery.of(item, new IfcFormat(schema), FRAME, dir.resolve("out.ifc"));
  }

  private static Item line(String name) {
    return Item.string(
        name, List.of(new Polyline(new double[] {412_000, 6_534_500, 1, 412_010, 6_534_500, 1})));
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void aLongRemarkArrivesAsText(IfcSchema schema) throws IOException {
    PropertySet facts =
        new PropertySet(
            "Facts",
            Map.of(
                "Remark",
                new PropertyValue.Label(REMARK),
                "Just fits",
                new PropertyValue.Label(LIMIT),
                "Number",
                new PropertyValue.Words("IfcIdentifier", REMARK),
                "Each",
                new PropertyValue.Several(
                    false,
                    List.of(new PropertyValue.Label("short"), new PropertyValue.Label(REMARK)))));
    Item item = line("A").saying(Description.of(List.of(facts), Optional.empty()));
    DeliveryRun.Outcome o = delivered(item, schema);
    assertThat(o.receipt().proof().findings()).noneMatch(f -> f.isError());
    assertThat(o.receipt().proof().pass()).isTrue();
    Map<String, PropertyValue> arrived =
        o.arrived().items().getFirst().said().propertySets().stream()
            .filter(s -> s.name().equals("Facts"))
            .findFirst()
            .orElseThrow()
            .values();
    PropertyValue text = new PropertyValue.Words("IfcText", REMARK);
    assertThat(arrived)
        .containsEntry("Remark", text)
        .containsEntry("Number", text)
        .containsEntry("Just fits", new PropertyValue.Label(LIMIT))
        .containsEntry(
            "Each",
            new PropertyValue.Several(
                false, List.of(new PropertyValue.Words("IfcText", "short"), text)));
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void aNameThatIsTooLongIsRefusedWithTheThing(IfcSchema schema) {
    assertThatThrownBy(() -> delivered(line("Kerb " + REMARK), schema))
        .hasMessageStartingWith("Kerb \u00e4")
        .hasMessageContaining("allowed are 255");
  }
}
