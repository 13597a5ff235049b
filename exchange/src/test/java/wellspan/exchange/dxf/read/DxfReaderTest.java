package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.charset.Charset;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

class DxfReaderTest extends DrawingTexts {
  @Test
  void looseFacesOfALayerBecomeOneSurface() throws IOException {
    Received r =
        read(
            DxfText.entities()
                .face("GROUND", 0, 0, 1, 10, 0, 2, 10, 10, 3, 10, 10, 3)
                .face("GROUND", 0, 0, 1, 10, 10, 3, 0, 10, 4)
                .face("PAD", 0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0)
                .face("PAD", 5, 5, 0, 5, 5, 0, 6, 5, 0, 6, 6, 0)
                .end());
    Shape.Faces ground = item(r, Shape.Faces.class, "GROUND");
    assertThat(ground.mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
    assertThat(ground.mesh().xyz()).containsExactly(0, 0, 1, 10, 0, 2, 10, 10, 3, 0, 10, 4);
    Shape.Faces pad = item(r, Shape.Faces.class, "PAD");
    assertThat(pad.mesh().triangleCount()).as("a square and a triangle").isEqualTo(3);
    assertThat(pad.mesh().planArea()).isCloseTo(1.5, within(1e-12));
    assertThat(r.counts()).containsEntry("3DFACE", 4);
    assertThat(r.findings()).isEmpty();
    assertThat(r.format()).isEqualTo("DXF 2018");
  }

  @ParameterizedTest
  @CsvSource({"4,millimetre,0.001", "2,foot,0.3048", "21,US survey foot,0.3048006096012192"})
  void lengthsBecomeMetres(int code, String unit, double metres) throws IOException {
    Received r =
        read(
            new DxfText()
                .header("AC1015", code)
                .section("ENTITIES")
                .line("A", 1000, 0, 0, 2000, 0, 500)
                .end());
    assertThat(r.unit()).isEqualTo(unit);
    assertThat(line(r, "A").point(1))
        .satisfies(
            p -> assertThat(p.east()).isCloseTo(2000 * metres, within(1e-9)),
            p -> assertThat(p.level()).isCloseTo(500 * metres, within(1e-9)));
  }

  @Test
  void aDrawingWithoutAUnitSaysSo() throws IOException {
    Received r = read(new DxfText().section("ENTITIES").line("A", 0, 0, 0, 1, 0, 0).end());
    assertThat(r.findings()).extracting(Finding::code).containsExactly("units.missing");
    assertThat(r.unit()).isEmpty();
    assertThat(r.format()).isEqualTo("DXF R12");
  }

  @Test
  void curvesStayWithinAMillimetre() throws IOException {
    DxfText d =
        new DxfText()
            .header("AC1032", 4) // millimetres
            .section("ENTITIES")
            .add(0, "ARC", 8, "ARC", 10, 1000, 20, 2000, 30, 500, 40, 50_000, 50, 350, 51, 20)
            .add(0, "CIRCLE", 8, "RING", 10, 0, 20, 0, 30, 7, 40, 20_000)
            .add(0, "ELLIPSE", 8, "ELLIPSE", 10, 0, 20, 0, 30, 0, 11, 0, 21, 10_000, 31, 0)
            .add(40, 0.5, 41, 0, 42, Math.PI / 2)
            .add(0, "LWPOLYLINE", 8, "LW", 90, 3, 70, 1, 38, 4000)
            .add(10, 0, 20, 0, 42, 1, 10, 10_000, 20, 0, 10, 10_000, 20, 10_000)
            .end();
    Received r = read(d);
    Polyline arc = line(r, "ARC");
    double a = Math.toRadians(-10);
    assertThat(arc.point(0).east()).isCloseTo(1 + 50 * Math.cos(a), within(1e-9));
    assertThat(arc.point(arc.pointCount() - 1).north())
        .isCloseTo(2 + 50 * Math.sin(Math.toRadians(20)), within(1e-9));
    for (int i = 1; i < arc.pointCount(); i++) {
      Position p = arc.point(i - 1), q = arc.point(i);
      double middle = Math.hypot((p.east() + q.east()) / 2 - 1, (p.north() + q.north()) / 2 - 2);
      assertThat(50 - middle).isBetween(0.0, DxfReader.CURVE_TOLERANCE);
    }
    Polyline ring = line(r, "RING");
    assertThat(ring.planLength()).isCloseTo(40 * Math.PI, within(0.01));
    assertThat(ring.point(0)).isEqualTo(new Position(20, 0, 0.007));
    Polyline ellipse = line(r, "ELLIPSE");
    assertThat(ellipse.point(0).north()).isCloseTo(10, within(1e-9));
    assertThat(ellipse.point(ellipse.pointCount() - 1).east()).isCloseTo(-5, within(1e-9));
    Polyline lw = line(r, "LW");
    assertThat(lw.point(lw.pointCount() - 1)).isEqualTo(new Position(0, 0, 4));
    // a bulge of one is a half circle to the right of its chord
    assertThat(lw.planLength()).isCloseTo(5 * Math.PI + 10 + Math.hypot(10, 10), within(0.005));
    assertThat(lw.bounds().minN()).isCloseTo(-5, within(0.001));
    assertThat(r.items())
        .as("a ring of 20 m marks nothing")
        .noneMatch(i -> i.shape() instanceof Shape.Points);
  }

  @Test
  void splinesFollowTheirFormula() throws IOException {
    // one cubic piece is a Bézier curve: at 1/2 it passes (P0 + 3P1 + 3P2 + P3) / 8
    DxfText d = DxfText.entities().add(0, "SPLINE", 8, "S", 71, 3);
    for (int k : new int[] {0, 0, 0, 0, 1, 1, 1, 1}) {
      d.add(40, k);
    }
    d.point(10, 0, 0, 0).point(10, 0, 8, 0).point(10, 8, 8, 4).point(10, 8, 0, 4);
    // a quarter of a circle as a rational curve
    d.add(0, "SPLINE", 8, "Q", 71, 2);
    for (int k : new int[] {0, 0, 0, 1, 1, 1}) {
      d.add(40, k);
    }
    d.add(41, 1, 41, Math.sqrt(0.5), 41, 1).point(10, 5, 0, 1).point(10, 5, 5, 1);
    d.point(10, 0, 5, 1).add(0, "SPLINE", 8, "BAD", 71, 3, 40, 0).point(10, 1, 1, 1);
    Received r = read(d.end());
    Polyline s = line(r, "S");
    assertThat(
            java.util.stream.IntStream.range(0, s.pointCount())
                .mapToDouble(
                    i ->
                        Math.hypot(s.point(i).east() - 4, s.point(i).north() - 6)
                            + Math.abs(s.point(i).level() - 2))
                .min()
                .orElseThrow())
        .isCloseTo(0, within(1e-12));
    Polyline q = line(r, "Q");
    for (int i = 0; i < q.pointCount(); i++) {
      assertThat(Math.hypot(q.point(i).east(), q.point(i).north())).isCloseTo(5, within(1e-12));
    }
    assertThat(q.planLength()).isCloseTo(2.5 * Math.PI, within(0.002));
    assertThat(r.findings()).extracting(Finding::code).containsExactly("drawing.spline");
  }

  @Test
  void oldPolylinesAreLinesGridsAndMeshes() throws IOException {
    DxfText d =
        DxfText.entities()
            .add(0, "POLYLINE", 8, "SPACE", 66, 1, 70, 9)
            .add(0, "VERTEX", 8, "SPACE", 70, 32, 10, 0, 20, 0, 30, 1)
            .add(0, "VERTEX", 8, "SPACE", 70, 32, 10, 3, 20, 4, 30, 2)
            .add(0, "SEQEND")
            .add(0, "POLYLINE", 8, "FLAT", 66, 1, 30, 12.5)
            .add(0, "VERTEX", 10, 0, 20, 0, 42, -1)
            .add(0, "VERTEX", 10, 4, 20, 0)
            .add(0, "SEQEND")
            .add(0, "POLYLINE", 8, "GRID", 66, 1, 70, 16, 71, 2, 72, 3);
    for (int m = 0; m < 2; m++) {
      for (int n = 0; n < 3; n++) {
        d.add(0, "VERTEX", 70, 64, 10, n, 20, m, 30, n);
      }
    }
    d.add(0, "SEQEND", 0, "POLYLINE", 8, "BOX", 66, 1, 70, 64, 71, 4, 72, 4);
    for (double[] p : new double[][] {{0, 0, 0}, {2, 0, 0}, {0, 3, 0}, {0, 0, 4}}) {
      d.add(0, "VERTEX", 70, 192, 10, p[0], 20, p[1], 30, p[2]);
    }
    for (int[] f : new int[][] {{1, 3, 2}, {1, 2, -4}, {2, 3, 4}, {-3, 1, 4}}) {
      d.add(0, "VERTEX", 70, 128, 10, 0, 20, 0, 30, 0, 71, f[0], 72, f[1], 73, f[2]);
    }
    Received r = read(d.add(0, "SEQEND").end());
    assertThat(line(r, "SPACE").xyz()).containsExactly(0, 0, 1, 3, 4, 2, 0, 0, 1);
    Polyline flat = line(r, "FLAT");
    assertThat(flat.bounds().maxN()).as("to the left").isCloseTo(2, within(0.001));
    assertThat(flat.bounds().minH()).isEqualTo(12.5);
    assertThat(item(r, Shape.Faces.class, "GRID").mesh().planArea()).isCloseTo(2, within(1e-12));
    Shape.Faces box = item(r, Shape.Faces.class, "BOX");
    assertThat(box.mesh().volume()).isCloseTo(4, within(1e-12));
  }

  @Test
  void meshEntitiesKeepTheirFaces() throws IOException {
    DxfText d = DxfText.entities().add(0, "MESH", 8, "M", 91, 0, 92, 5);
    d.point(10, 0, 0, 0)
        .point(10, 4, 0, 0)
        .point(10, 4, 4, 0)
        .point(10, 2, 6, 0)
        .point(10, 0, 4, 0);
    d.add(93, 6, 90, 5);
    for (int v = 0; v < 5; v++) {
      d.add(90, v);
    }
    Received r = read(d.add(94, 0, 95, 0).end());
    assertThat(item(r, Shape.Faces.class, "M").mesh().planArea()).isCloseTo(20, within(1e-12));
  }

  @Test
  void textsThatAreLevelsAreReadAsSuch() throws IOException {
    Received r =
        read(
            DxfText.entities()
                .add(0, "TEXT", 8, "SPOT", 10, 1, 20, 2, 40, 1, 1, "12,35")
                .add(0, "MTEXT", 8, "SPOT", 10, 5, 20, 6, 40, 1, 3, "{\\fSans|b0;-0.", 1, "40}")
                .add(0, "TEXT", 8, "WORDS", 10, 1, 20, 2, 40, 1, 1, "%%d \\U+00E4 7")
                .add(0, "TEXT", 8, "MID", 10, 1, 20, 2, 11, 4, 21, 5, 72, 1, 40, 1, 1, "here")
                .end());
    assertThat(item(r, Shape.Points.class, "SPOT texts").points())
        .extracting(p -> p.position().level())
        .containsExactly(12.35, -0.4);
    assertThat(r.findings()).extracting(Finding::code).containsExactly("drawing.levels");
    assertThat(mark(r, "WORDS texts").name()).isEqualTo("° ä 7");
    assertThat(mark(r, "MID texts").position()).isEqualTo(new Position(4, 5, 0));
  }

  @Test
  void layersAreListedWithColourStateAndContents() throws IOException {
    Received r =
        read(
            new DxfText()
                .header("AC1032", 6)
                .section("TABLES")
                .add(0, "TABLE", 2, "LAYER", 70, 2)
                .add(0, "LAYER", 2, "GROUND", 70, 0, 62, 3)
                .add(0, "LAYER", 2, "HIDDEN", 70, 0, 62, -30)
                .add(0, "LAYER", 2, "EMPTY", 70, 1, 62, 7, 420, 0x123456)
                .add(0, "ENDTAB")
                .endSection()
                .section("ENTITIES")
                .line("HIDDEN", 0, 0, 0, 1, 0, 0)
                .line("NEW", 0, 0, 0, 1, 0, 0)
                .add(0, "HATCH", 8, "GROUND")
                .add(0, "LINE", 8, "SHEET", 67, 1, 10, 0, 20, 0, 11, 1, 21, 1)
                .end());
    assertThat(r.layers())
        .extracting(
            l ->
                l.name()
                    + " "
                    + Integer.toHexString(l.rgb())
                    + " "
                    + l.shown()
                    + " "
                    + l.contents())
        .containsExactly(
            "GROUND ff00 true {HATCH=1}",
            "HIDDEN ff7f00 false {LINE=1}",
            "EMPTY 123456 false {}",
            "NEW ffffff true {LINE=1}");
    assertThat(r.findings())
        .extracting(Finding::code)
        .containsExactly("drawing.layout", "drawing.unread");
    assertThat(r.items()).extracting(Item::name).containsExactly("HIDDEN", "NEW");
  }

  @Test
  void binaryDrawingsHoldTheSame() throws IOException {
    DxfText d =
        new DxfText()
            .header("AC1032", 6)
            .section("ENTITIES")
            .face("GROUND", 0.1, 0.2, 0.3, 10, 0, 2, 10, 10, 3)
            .add(0, "LWPOLYLINE", 8, "Ö", 90, 2, 70, 1, 10, 0, 20, 0, 42, 0.5, 10, 4, 20, 4)
            .add(0, "TEXT", 8, "T", 10, 1, 20, 2, 40, 1, 1, "größe", 210, 0, 220, 0, 230, 1)
            .end();
    Received text = read(d);
    for (boolean wide : new boolean[] {true, false}) {
      Path file = Files.write(dir.resolve("b.dxf"), d.binary(wide));
      Received binary = Intake.read(file, Progress.NONE);
      assertThat(binary.format()).isEqualTo("DXF 2018, binary");
      assertThat(binary.counts()).isEqualTo(text.counts());
      assertThat(binary.items())
          .extracting(Item::name)
          .containsExactlyElementsOf(text.items().stream().map(Item::name).toList());
      assertThat(line(binary, "Ö").xyz()).containsExactly(line(text, "Ö").xyz());
      assertThat(item(binary, Shape.Faces.class, "GROUND").mesh().xyz()[0]).isEqualTo(0.1);
      byte[] whole = d.binary(wide);
      for (int cut : new int[] {23, 60, whole.length / 2, whole.length - 3}) {
        Files.write(file, Arrays.copyOf(whole, cut));
        assertThatThrownBy(() -> Intake.read(file, Progress.NONE))
            .as("cut at %d", cut)
            .isInstanceOf(ReadException.class);
      }
    }
  }

  @Test
  void oldDrawingsUseTheirCodePage() throws IOException {
    String text =
        new DxfText()
            .header("AC1015", 6)
            .section("ENTITIES")
            .line("Böschung", 0, 0, 0, 1, 0, 0)
            .end()
            .text();
    Path file = Files.write(dir.resolve("old.dxf"), text.getBytes(Charset.forName("windows-1252")));
    assertThat(Intake.read(file, Progress.NONE).items())
        .extracting(Item::name)
        .containsExactly("Böschung");
  }
}
