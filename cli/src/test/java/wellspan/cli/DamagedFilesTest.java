package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every format that {@code inspect} reads, damaged in every way: one sentence, exit code 2. */
class DamagedFilesTest extends CommandFixture {
  private static final Path DEMO = Path.of("..", "demo");
  private static final Path GRIDS =
      Path.of("..", "exchange", "src", "test", "resources", "wellspan", "exchange", "grid");

  private static final Path FEATURES =
      Path.of("../exchange/src/test/resources/wellspan/exchange/feature");

  static Stream<Path> samples() {
    return Stream.of(
        DEMO.resolve("road/quay-road.xml"),
        DEMO.resolve("yard/yard-layout.dxf"),
        GRIDS.resolve("float32-tiled-deflate-predictor3.tif"),
        GRIDS.resolve("int16-lzw-predictor2.tif"),
        FEATURES.resolve("lines.shp"),
        FEATURES.resolve("site.gpkg"),
        FEATURES.resolve("lines-25832.geojson"),
        FEATURES.resolve("area.kml"),
        FEATURES.resolve("area.kmz"),
        DEMO.resolve("survey/hinterland.asc"),
        DEMO.resolve("survey/hinterland.png"));
  }

  private void oneSentence(Path file) {
    assertThat(run("inspect", file.toString())).as(file + ": " + out).isEqualTo(2);
    assertThat(err.toString().strip().lines()).as(err.toString()).hasSize(1);
    assertThat(err.toString()).contains(file.getFileName().toString()).doesNotContain("Exception");
  }

  @ParameterizedTest
  @MethodSource("samples")
  void aFileThatWasCutOffIsRefused(Path sample) throws IOException {
    byte[] whole = Files.readAllBytes(sample);
    assertThat(run("inspect", sample.toString())).isIn(0, 1);
    String name = sample.getFileName().toString();
    for (int share = 1; share <= 9; share += 2) {
      byte[] part = Arrays.copyOf(whole, (int) ((long) whole.length * share / 10));
      oneSentence(Files.write(dir.resolve(share + name), part));
    }
  }

  @ParameterizedTest
  @MethodSource("samples")
  void aFileWithAWrongStartIsRefused(Path sample) throws IOException {
    byte[] wrong = Files.readAllBytes(sample);
    Arrays.fill(wrong, 0, Math.min(wrong.length, 24), (byte) '#');
    oneSentence(Files.write(dir.resolve(sample.getFileName()), wrong));
  }

  @ParameterizedTest
  @MethodSource("samples")
  void anEmptyFileAFolderAndAClosedFileAreRefused(Path sample) throws IOException {
    String name = sample.getFileName().toString();
    oneSentence(Files.write(dir.resolve(name), new byte[0]));
    oneSentence(Files.createDirectory(dir.resolve("folder " + name)));
    Path closed = Files.copy(sample, dir.resolve("closed " + name));
    assumeTrue(closed.toFile().setReadable(false) && !Files.isReadable(closed), "read by root");
    oneSentence(closed);
  }

  @Test
  void hugeDeclaredCountsCostNoMemory() throws IOException {
    oneSentence(
        Files.writeString(
            dir.resolve("huge.asc"),
            "ncols 2000000000\nnrows 2000000000\nxllcorner 0\nyllcorner 0\ncellsize 1\n1 2 3\n"));
    oneSentence(
        Files.writeString(
            dir.resolve("huge.dxf"),
            "0\nSECTION\n2\nENTITIES\n0\nMESH\n8\nA\n92\n2000000000\n93\n2000000000\n90\n2000000000\n"));
  }

  @Test
  void numbersThatAreNoneAreNamed() throws IOException {
    oneSentence(
        Files.writeString(
            dir.resolve("nan.dxf"),
            "0\nSECTION\n2\nENTITIES\n0\nPOINT\n8\nA\n10\nNaN\n20\n0\n0\nENDSEC\n0\nEOF\n"));
    assertThat(err.toString()).contains("line 10");
  }
}
