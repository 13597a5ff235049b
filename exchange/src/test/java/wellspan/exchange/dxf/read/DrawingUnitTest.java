package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

class DrawingUnitTest {
  @TempDir Path dir;

  /**
   * Units by the values of the reference of the format; feet of the United States are 1200/3937.
   */
  @ParameterizedTest
  @CsvSource({
    "1, 0.0254, inch",
    "2, 0.3048, foot",
    "4, 0.001, millimetre",
    "5, 0.01, centimetre",
    "6, 1, metre",
    "21, 0.3048006096012192, US survey foot"
  })
  void lengthsComeInMetres(int value, double metres, String title) throws IOException {
    Path f = dir.resolve("u.dxf");
    Files.writeString(
        f,
        new DxfText()
            .header("AC1032", value)
            .section("ENTITIES")
            .add(0, "LINE", 8, "L", 10, 0, 20, 0, 30, 0, 11, 1000, 21, 0, 31, 0)
            .end()
            .text());
    Received r = DxfReader.read(f, Progress.NONE);
    assertThat(((Shape.Lines) r.items().getFirst().shape()).planLength())
        .isCloseTo(1000 * metres, within(1e-9));
    assertThat(r.unit()).isEqualTo(title);
  }
}
