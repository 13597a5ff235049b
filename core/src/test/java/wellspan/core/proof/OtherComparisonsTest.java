package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.deliver.LocalZero;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.ControlTally;
import wellspan.core.receipt.PastRun;
import wellspan.core.receipt.Receipt;
import wellspan.core.receipt.ReceiptJson;
import wellspan.core.receipt.ReceiptPage;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

class OtherComparisonsTest {
  private static final Item LINE =
      Item.string("Edge", new Polyline(new double[] {0, 0, 1, 10, 0, 2, 20, 5, Double.NaN}));

  private static final Limits LIMITS = new Limits(1e-5, true, true, true);
  private static final Limits WITHOUT_LEVELS = new Limits(1e-5, false, false, true);

  private static ItemComparison lines(Item arrived, Limits limits) {
    return LineComparison.compare(
        LINE,
        ((Shape.Lines) LINE.shape()).lines(),
        ((Shape.Lines) arrived.shape()).lines(),
        limits);
  }

  private static ItemComparison points(Item sent, Item arrived, Limits limits) {
    return PointComparison.compare(
        sent, (Shape.Points) sent.shape(), (Shape.Points) arrived.shape(), limits);
  }

  private static List<String> codes(ItemComparison c) {
    return c.differences().stream().map(d -> d.finding().code()).toList();
  }

  @Test
  void linesAreComparedPointByPoint() {
    assertThat(lines(LINE, LIMITS).differences()).isEmpty();
    Item moved = Item.string("Edge", new Polyline(new double[] {0, 0, 1, 10, 0.002, 2, 20, 5, 99}));
    ItemComparison c = lines(moved, WITHOUT_LEVELS);
    assertThat(codes(c)).containsExactly("proof.geometry");
    assertThat(c.differences().getFirst().message()).contains("point 2 of the line lies 2.0000 mm");
    assertThat(c.figures().maxDeviation()).isCloseTo(0.002, within(1e-12));
    Item shorter = Item.string("Edge", new Polyline(new double[] {0, 0, 1, 10, 0, 2}));
    assertThat(codes(lines(shorter, WITHOUT_LEVELS))).containsExactly("proof.geometry");
    Item cut =
        Item.string(
            "Edge",
            List.of(
                ((Shape.Lines) LINE.shape()).lines().getFirst(),
                new Polyline(new double[] {0, 0, 1, 1, 0, 1})));
    assertThat(lines(cut, WITHOUT_LEVELS).differences().getFirst().message())
        .contains("3 points of the line were sent, 2 lines with 5 points arrived");
  }

  private static Item points(String name, double h) {
    return Item.points(
        "Control",
        List.of(
            new NamedPoint("A", new Position(1, 2, 3), "peg"),
            new NamedPoint(name, new Position(4, 5, h), "")));
  }

  @Test
  void pointsAreComparedWithNameAndCode() {
    assertThat(points(points("B", 6), points("B", 6), LIMITS).differences()).isEmpty();
    assertThat(codes(points(points("B", 6), points("C", 6), LIMITS))).containsExactly("proof.name");
    assertThat(codes(points(points("B", 6), points("B", 6.1), LIMITS)))
        .containsExactly("proof.geometry");
    assertThat(codes(points(points("B", Double.NaN), points("B", 9), LIMITS)))
        .containsExactly("proof.geometry");
    assertThat(codes(points(points("B", Double.NaN), points("B", 9), WITHOUT_LEVELS))).isEmpty();
    Item one = Item.points("Control", List.of(new NamedPoint("A", new Position(1, 2, 3), "peg")));
    assertThat(codes(points(points("B", 6), one, LIMITS))).containsExactly("proof.geometry");
  }

  private static final Mesh SENT =
      new Mesh(
          new double[] {0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 9, 9, 9}, new int[] {0, 1, 2, 0, 2, 3});

  private static ItemComparison meshes(Mesh arrived) {
    return MeshComparison.compare(Item.surface("S", SENT), SENT, arrived, 1e-5);
  }

  @Test
  void otherVertexNumbersAreTheSameMesh() {
    Mesh renumbered =
        new Mesh(new double[] {1, 1, 0, 0, 0, 0, 0, 1, 0, 1, 0, 0}, new int[] {1, 3, 0, 1, 0, 2});
    ItemComparison c = meshes(renumbered);
    assertThat(c.differences()).isEmpty();
    assertThat(c.figures().identical()).isTrue();
    assertThat(c.figures().deviations()).hasSize(5);
  }

  @Test
  void otherCornersAreNot() {
    Mesh turned =
        new Mesh(new double[] {1, 1, 0, 0, 0, 0, 0, 1, 0, 1, 0, 0}, new int[] {1, 3, 0, 1, 2, 0});
    assertThat(meshes(turned).differences()).isNotEmpty();
    Mesh torn =
        new Mesh(
            new double[] {0, 0, 0, 1, 0, 0, 1, 1, 0, 1, 1, 0, 0, 1, 0},
            new int[] {0, 1, 2, 0, 3, 4});
    assertThat(meshes(torn).figures().identical()).as("a seam where there was none").isFalse();
    Mesh moved =
        new Mesh(new double[] {1, 1, 0.5, 0, 0, 0, 0, 1, 0, 1, 0, 0}, new int[] {1, 3, 0, 1, 0, 2});
    assertThat(codes(meshes(moved))).containsExactly("proof.geometry");
  }

  @Test
  void framesDifferByScaleToo() {
    Frame f = Frame.of("EPSG:25832", "NN2000", new Position(1, 2, 3), 21.5);
    assertThat(FrameDifference.between(f, f.withRotation(21.5 - 360))).isEmpty();
    assertThat(FrameDifference.between(f, f.withScale(1.0000001)).getFirst().message())
        .contains("scale 1.000000100");
    assertThat(FrameDifference.between(f, f.withVerticalDatum("NN1954"))).isNotEmpty();
  }

  @Test
  void receiptsAreReadBack() {
    Frame frame = Frame.of("EPSG:25832", "NN2000", new Position(1, 2, 3), 21.5).withScale(1.0003);
    ControlTally.Line line =
        new ControlTally.Line(
            "BN-4", new Position(1, 2, 3), new Position(1, 2, 2.962), ControlTally.FoundBy.NAME);
    Proof proof =
        new Proof(
            true,
            2,
            2,
            1e-8,
            true,
            9,
            List.of(),
            List.of(),
            List.of(),
            List.of(),
            List.of(line),
            List.of(),
            List.of("areas by material within one item"),
            List.of());
    Receipt r =
        new Receipt(
            "BIM <handover>",
            "IFC4",
            Instant.parse("2026-11-24T09:00:00Z"),
            1.5,
            frame,
            List.of(new Receipt.SentFile("a.ifc", 12, "abc")),
            Map.of("road/alignment/Quay", "f1", "x", "f2"),
            proof);
    PastRun back = PastRun.read(ReceiptJson.text(r)).orElseThrow();
    assertThat(back).isEqualTo(PastRun.of(r));
    assertThat(ReceiptJson.text(r)).contains("\"controlTally\"").contains("\"dH\" : -0.03");
    assertThat(ReceiptPage.html("Job", r))
        .contains("BIM &lt;handover&gt;")
        .contains("BN-4")
        .contains("-38.0000 mm")
        .contains("1.000300000")
        .contains("areas by material");
    assertThat(PastRun.read("{")).isEmpty();
    assertThat(PastRun.read("{\"delivery\":\"x\"}")).isEmpty();
  }

  @Test
  void theZeroOfAFileChoosesItsFrame() {
    Frame job =
        Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5)
            .withScale(1.0003);
    assertThat(new LocalZero.BasePoint().frame(job)).isEqualTo(job);
    Frame shared = new LocalZero.Shared().frame(job);
    assertThat(shared.toLocal(new Position(5, 6, 7))).isEqualTo(new Position(5, 6, 7));
    Frame own = new LocalZero.Own(new Position(400_000, 6_500_000, 10)).frame(job);
    assertThat(own.toLocal(new Position(400_001, 6_500_002, 13))).isEqualTo(new Position(1, 2, 3));
    assertThat(own.crs()).isEqualTo("EPSG:25832");
  }
}
