package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.intake.Intake;

/** Drawings that are broken, cut off, or made to do harm. */
class BrokenDrawingsTest extends DrawingTexts {
  @ParameterizedTest
  @CsvSource({
    "10|0.0,10|abc,line 28,is not a number",
    "10|0.0,10|NaN,line 28,is not a number",
    "8|A,x8|A,line 25,where a group code must be",
    "EOF,LINE,line 42,a section must begin",
    "2|ENTITIES,2|THINGS,line ,no section of entities",
  })
  void faultsNameTheLine(String good, String bad, String line, String said) throws IOException {
    String text = DxfText.entities().line("A", 0, 0, 0, 1, 0, 0).end().text().replace("\r\n", "|");
    assertThat(text).contains(good);
    String damaged =
        text.substring(0, text.indexOf(good))
            + bad
            + text.substring(text.indexOf(good) + good.length());
    Path file = Files.writeString(dir.resolve("bad.dxf"), damaged.replace("|", "\r\n"));
    assertThatThrownBy(() -> Intake.read(file, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("bad.dxf")
        .hasMessageContaining(line)
        .hasMessageContaining(said);
  }

  @ParameterizedTest
  @ValueSource(ints = {0, 10, 60, 150, 200, 260})
  void aDrawingThatWasCutOffIsRefused(int length) throws IOException {
    String text = DxfText.entities().line("A", 0, 0, 0, 1, 0, 0).end().text();
    Path file =
        Files.writeString(
            dir.resolve("cut.dxf"), text.substring(0, Math.min(length, text.length() - 8)));
    assertThatThrownBy(() -> Intake.read(file, Progress.NONE)).isInstanceOf(ReadException.class);
  }

  @Test
  void nestedBlocksCannotFillTheMemory() throws IOException {
    DxfText d = new DxfText().header("AC1032", 6).section("BLOCKS");
    d.add(0, "BLOCK", 2, "B0", 70, 0).add(0, "POINT", 8, "0", 10, 0, 20, 0, 0, "ENDBLK");
    for (int i = 1; i < 9; i++) {
      d.add(0, "BLOCK", 2, "B" + i, 70, 0, 0, "INSERT", 8, "0", 2, "B" + (i - 1), 10, 0, 20, 0);
      d.add(70, 30_000, 71, 30_000, 0, "ENDBLK");
    }
    d.endSection().section("ENTITIES").add(0, "INSERT", 8, "0", 2, "B8", 10, 0, 20, 0);
    assertThatThrownBy(() -> read(d.end()))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("million things");
  }

  @Test
  void aCancelledReadStops() throws IOException {
    DxfText d = DxfText.entities();
    for (int i = 0; i < 5000; i++) {
      d.add(0, "POINT", 8, "A", 10, i, 20, 0);
    }
    Path file = Files.writeString(dir.resolve("long.dxf"), d.end().text());
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    assertThatThrownBy(() -> Intake.read(file, cancelled))
        .isInstanceOf(CancellationException.class);
  }

  @Test
  void blocksThatAreNotWholeAreNamed() throws IOException {
    Received r =
        read(
            new DxfText()
                .header("AC1032", 6)
                .section("BLOCKS")
                .add(0, "BLOCK", 2, "LOOP", 70, 0, 10, 0, 20, 0)
                .add(0, "INSERT", 8, "0", 2, "LOOP", 10, 1, 20, 1)
                .line("0", 0, 0, 0, 1, 0, 0)
                .add(0, "ENDBLK")
                .add(0, "BLOCK", 2, "OTHER", 70, 4, 10, 0, 20, 0, 1, "other.dwg", 0, "ENDBLK")
                .endSection()
                .section("ENTITIES")
                .add(0, "INSERT", 8, "A", 2, "LOOP", 10, 0, 20, 0)
                .add(0, "INSERT", 8, "A", 2, "NONE", 10, 0, 20, 0)
                .add(0, "INSERT", 8, "A", 2, "OTHER", 10, 0, 20, 0)
                .end());
    assertThat(r.findings())
        .extracting(f -> f.code() + " " + f.item())
        .containsExactly("drawing.elsewhere OTHER", "drawing.block NONE", "drawing.endless LOOP");
  }
}
