package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Position;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

/** Blocks of drawings, laid out and as markers. */
class DrawingBlocksTest extends DrawingTexts {
  @Test
  void blocksAreLaidOutNestedTurnedAndMirrored() throws IOException {
    DxfText d =
        new DxfText()
            .header("AC1032", 6)
            .section("BLOCKS")
            .add(0, "BLOCK", 8, "0", 2, "PEG", 70, 0, 10, 1, 20, 1, 30, 0)
            .line("0", 1, 1, 0, 2, 1, 0)
            .line("FIXED", 1, 1, 0, 1, 2, 0)
            .add(0, "ENDBLK")
            .add(0, "BLOCK", 8, "0", 2, "PAIR", 70, 0, 10, 0, 20, 0)
            .add(0, "INSERT", 8, "0", 2, "PEG", 10, 10, 20, 0, 30, 0, 50, 90, 41, 2, 42, 2, 43, 2)
            .face("0", 0, 0, 0, 1, 0, 0, 0, 1, 0)
            .add(0, "ENDBLK")
            .endSection()
            .section("ENTITIES")
            .add(0, "INSERT", 8, "HERE", 2, "PAIR", 10, 100, 20, 200, 30, 5, 41, -1)
            .add(
                0, "INSERT", 8, "ROWS", 2, "PEG", 10, 0, 20, 0, 70, 3, 71, 2, 44, 10, 45, 20, 50,
                90)
            .end();
    Received r = read(d);
    // the peg's arm points north after a quarter turn, doubled; the mirror turns x over
    assertThat(line(r, "HERE").xyz())
        .usingComparatorWithPrecision(1e-9)
        .containsExactly(90, 200, 5, 90, 202, 5);
    assertThat(item(r, Shape.Faces.class, "HERE").mesh().triangles())
        .as("mirrored triangles still face up")
        .containsExactly(0, 2, 1);
    Shape.Lines rows = item(r, Shape.Lines.class, "ROWS");
    assertThat(rows.lines()).hasSize(6);
    assertThat(rows.lines().get(1).point(0).north())
        .as("columns run along the turned x")
        .isCloseTo(10, within(1e-9));
    assertThat(rows.lines().get(3).point(0).east()).isCloseTo(-20, within(1e-9));
    assertThat(item(r, Shape.Lines.class, "FIXED").lines()).hasSize(7);
  }

  @Test
  void planesThatFaceElsewhereFollowTheFormatsRule() throws IOException {
    Received r =
        read(
            DxfText.entities()
                .add(0, "CIRCLE", 8, "DOWN", 10, 3, 20, 4, 30, 5, 40, 1, 210, 0, 220, 0, 230, -1)
                .add(0, "CIRCLE", 8, "EAST", 10, 3, 20, 4, 30, 5, 40, 1, 210, 1, 220, 0, 230, 0)
                .end());
    assertThat(mark(r, "DOWN markers").position()).isEqualTo(new Position(-3, 4, -5));
    assertThat(mark(r, "EAST markers").position()).isEqualTo(new Position(5, 3, 4));
  }

  @Test
  void circlesCrossesAndNamedBlocksAreMarkers() throws IOException {
    Received r =
        read(
            new DxfText()
                .header("AC1032", 6)
                .section("BLOCKS")
                .add(0, "BLOCK", 8, "0", 2, "P", 70, 2, 10, 0, 20, 0)
                .line("0", -1, 0, 0, 1, 0, 0)
                .add(0, "ENDBLK")
                .endSection()
                .section("ENTITIES")
                .add(0, "CIRCLE", 8, "C", 10, 10, 20, 20, 30, 3.5, 40, 0.5)
                .add(0, "TEXT", 8, "NAMES", 10, 10.6, 20, 20.6, 30, 0, 40, 1, 1, "BN-7")
                .add(0, "TEXT", 8, "NAMES", 10, 90, 20, 90, 30, 0, 40, 1, 1, "far away")
                .line("X", 99, 49, 2, 101, 51, 2)
                .line("X", 99, 51, 2, 101, 49, 2)
                .line("X", 0, 0, 0, 1, 0, 0)
                .add(0, "INSERT", 8, "S", 2, "P", 66, 1, 10, 7, 20, 8, 30, 9)
                .add(0, "ATTRIB", 8, "S", 2, "LEVEL", 1, "9.00", 10, 0, 20, 0)
                .add(0, "ATTRIB", 8, "S", 2, "PT_NR", 1, "K12", 10, 0, 20, 0)
                .add(0, "SEQEND")
                .add(0, "POINT", 8, "P", 10, 1, 20, 2, 30, 3)
                .end());
    assertThat(mark(r, "C markers"))
        .isEqualTo(new NamedPoint("BN-7", new Position(10, 20, 3.5), "circle"));
    assertThat(item(r, Shape.Points.class, "X markers").points())
        .containsExactly(new NamedPoint("cross 1", new Position(100, 50, 2), "cross"));
    assertThat(mark(r, "S markers")).isEqualTo(new NamedPoint("K12", new Position(7, 8, 9), "P"));
    assertThat(
            r.items().stream()
                .filter(i -> i.name().equals("S markers"))
                .findFirst()
                .orElseThrow()
                .said()
                .propertySets())
        .containsExactly(
            new PropertySet(
                "Attributes",
                Map.of(
                    "LEVEL", new PropertyValue.Label("9.00"),
                    "PT_NR", new PropertyValue.Label("K12"))));
    assertThat(r.items())
        .filteredOn(i -> i.layer().equals("S"))
        .as("the only block of its layer speaks for what it draws there")
        .allSatisfy(i -> assertThat(i.said().propertySets()).hasSize(1));
    assertThat(mark(r, "P").position()).isEqualTo(new Position(1, 2, 3));
    assertThat(item(r, Shape.Points.class, "NAMES texts").points())
        .as("a text that names a marker is no point of its own")
        .extracting(NamedPoint::name)
        .containsExactly("far away");
  }
}
