package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.deliver.Carriage;
import wellspan.core.deliver.Coverage;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.picture.PicturePlace;
import wellspan.core.picture.Pixels;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** What holds for every format and every shape, whoever adds one. */
class FormatContractTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0);

  @TempDir Path dir;

  private static List<Item> items() {
    double[] xyz = {412_000, 6_534_500, 1, 412_010, 6_534_500, 2, 412_000, 6_534_510, 3};
    Mesh mesh = new Mesh(xyz, new int[] {0, 1, 2});
    Mesh nothing = new Mesh(new double[0], new int[0]);
    return List.of(
        Item.surface("Ground", mesh),
        Item.cover("Lawn", mesh, "grass"),
        Item.body("Thing", mesh, Band.STRUCTURES),
        DeliveredItems.road(),
        Item.string("Edge", new Polyline(xyz)),
        Item.points(
            "Pegs", List.of(new NamedPoint("P1", new Position(412_001, 6_534_501, 2), "peg"))),
        Item.picture(
            "Photo",
            new Pixels(1, 1, new int[1]),
            PicturePlace.ofWorld(new double[] {1, 0, 0, -1, 412_000, 6_534_500}, 1, 1)),
        Item.surface("Empty ground", nothing),
        Item.points("No points", List.of()));
  }

  static Stream<Arguments> pairs() {
    return DeliveryFormat.all().stream()
        .flatMap(f -> items().stream().map(i -> Arguments.of(f, i.name())));
  }

  @Test
  void everyFormatHasACarrierItsOwnIdAndAListOfWhatIsProven() {
    assertThat(DeliveryFormat.all())
        .allSatisfy(f -> assertThat(Carriers.of(f).format()).isEqualTo(f))
        .allSatisfy(f -> assertThat(DeliveryFormat.named(f.id())).contains(f))
        .allSatisfy(f -> assertThat(Coverage.of(f.id()).title()).isNotEqualTo("other"))
        .allSatisfy(f -> assertThat(f.ending()).startsWith("."));
    assertThat(DeliveryFormat.all().stream().map(DeliveryFormat::id)).doesNotHaveDuplicates();
    assertThat(items().stream().map(i -> i.shape().getClass()).distinct().count())
        .as("every shape is tried")
        .isEqualTo(Shape.class.getPermittedSubclasses().length);
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void itCarriesAShapeAndProvesItOrSaysWhyNot(DeliveryFormat f, String name) throws IOException {
    Item item = items().stream().filter(i -> i.name().equals(name)).findFirst().orElseThrow();
    switch (f.carriage(item, FRAME)) {
      case Carriage.Not not -> {
        assertThat(not.why()).endsWith(".");
        assertThat(f.carries(item)).isFalse();
      }
      case Carriage.Reduced reduced -> {
        assertThat(reduced.losses())
            .isNotEmpty()
            .allSatisfy(l -> assertThat(l.message()).startsWith(name + ": "))
            .noneMatch(Finding::isError);
        arrives(f, item);
      }
      case Carriage.Whole _ -> arrives(f, item);
    }
  }

  private void arrives(DeliveryFormat f, Item item) throws IOException {
    assertThat(f.carries(item)).isTrue();
    DeliveryRun.Outcome o = LooseDelivery.of(item, f, FRAME, dir.resolve("out" + f.ending()));
    assertThat(o.receipt().proof().findings()).noneMatch(Finding::isError);
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.arrived().items()).hasSize(1);
    assertThat(Kind.all()).contains(o.arrived().items().getFirst().kind());
  }
}
