package wellspan.exchange.dxf.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.geom.Box;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Layer;
import wellspan.core.receive.Received;

/**
 * Drawings read here and by an independent reader, ogrinfo; skipped where that is not installed.
 */
class DxfAgainstOgrTest {
  private static final Pattern LAYER = Pattern.compile("^ {2}Layer \\(String\\) = (.*)$");
  private static final Pattern EXTENT =
      Pattern.compile("Extent: \\(([^,]+), ([^)]+)\\) - \\(([^,]+), ([^)]+)\\)");

  @TempDir Path dir;

  private static List<String> ogrinfo(String... arguments) throws IOException {
    List<String> command = new ArrayList<>(List.of("ogrinfo"));
    command.addAll(List.of(arguments));
    try {
      Process p =
          new ProcessBuilder(command)
              .redirectError(ProcessBuilder.Redirect.DISCARD)
              .redirectOutput(ProcessBuilder.Redirect.PIPE)
              .start();
      return new String(p.getInputStream().readAllBytes(), StandardCharsets.UTF_8).lines().toList();
    } catch (IOException e) {
      assumeTrue(false, "ogrinfo is not installed");
      throw e;
    }
  }

  private void agrees(Path file) throws IOException {
    Received ours = DxfReader.read(file, Progress.NONE);
    Map<String, Integer> theirs = new TreeMap<>();
    for (String line : ogrinfo("-q", "-al", "-geom=NO", file.toString())) {
      Matcher m = LAYER.matcher(line);
      if (m.matches()) {
        theirs.merge(m.group(1), 1, Integer::sum);
      }
    }
    Map<String, Integer> counted = new TreeMap<>();
    ours.layers().stream()
        .filter(l -> l.count() > 0)
        .forEach((Layer l) -> counted.put(l.name(), l.count()));
    assertThat(counted).isEqualTo(theirs);
    Matcher extent = EXTENT.matcher(String.join("\n", ogrinfo("-so", "-al", file.toString())));
    assertThat(extent.find()).isTrue();
    Box b = ours.bounds();
    double[] mine = {b.minE(), b.minN(), b.maxE(), b.maxN()};
    for (int i = 0; i < 4; i++) {
      // circles and arcs are chords in both, so their bounds agree to the tolerances
      assertThat(mine[i]).isCloseTo(Double.parseDouble(extent.group(i + 1)), within(0.01));
    }
  }

  @Test
  void countsPerLayerAndBoundsAgree() throws IOException {
    DxfText d = DxfText.entities();
    for (int i = 0; i < 400; i++) {
      double x = 412_000 + 3.7 * (i % 20);
      int row = i / 20;
      double y = 6_534_000 + 2.9 * row;
      d.face("FACES " + i % 3, x, y, i, x + 3, y, i, x + 3, y + 2, i, x, y + 2, i);
      d.line("LINES", x, y, 0, x + 1, y + 1, 2);
      if (i % 5 == 0) {
        d.add(0, "POINT", 8, "POINTS", 10, x, 20, y, 30, i);
        d.add(0, "CIRCLE", 8, "RINGS", 10, x, 20, y, 30, 0, 40, 0.5);
        d.add(0, "ARC", 8, "ARCS", 10, x, 20, y, 30, 0, 40, 2, 50, 10, 51, 95);
        d.add(0, "TEXT", 8, "TEXTS", 10, x, 20, y, 30, 0, 40, 1, 1, "T" + i);
        d.add(0, "LWPOLYLINE", 8, "LIGHT", 90, 2, 70, 0, 10, x, 20, y, 42, 0.3, 10, x + 2, 20, y);
        d.add(0, "POLYLINE", 8, "HEAVY", 66, 1, 70, 8);
        d.add(0, "VERTEX", 8, "HEAVY", 70, 32, 10, x, 20, y, 30, 1);
        d.add(0, "VERTEX", 8, "HEAVY", 70, 32, 10, x - 2, 20, y, 30, 4, 0, "SEQEND");
      }
    }
    agrees(Files.writeString(dir.resolve("mixed.dxf"), d.end().text()));
  }

  @Test
  void mirroredAndTurnedInsertsReachAsFar() throws IOException {
    DxfText d = new DxfText().header("AC1015", 6).section("BLOCKS");
    d.add(0, "BLOCK", 8, "0", 2, "GATE", 70, 0, 10, 1, 20, 2, 30, 0);
    d.line("POST", 1, 2, 0, 6, 2, 0).add(0, "ENDBLK", 8, "0");
    d.add(0, "BLOCK", 8, "0", 2, "NEST", 70, 0, 10, 0, 20, 0, 30, 0);
    d.add(0, "INSERT", 8, "POST", 2, "GATE", 10, 4, 20, 1, 41, 2, 42, 2, 43, 2, 50, 37);
    d.add(0, "ENDBLK", 8, "0").endSection().section("ENTITIES");
    d.add(0, "INSERT", 8, "POST", 2, "NEST", 10, 100, 20, 50, 41, -1.5, 42, 1, 50, 110);
    d.line("FAR", 0, 0, 0, 1, 1, 0);
    Path file = Files.writeString(dir.resolve("blocks.dxf"), d.end().text());
    Box b = DxfReader.read(file, Progress.NONE).bounds();
    Matcher extent = EXTENT.matcher(String.join("\n", ogrinfo("-so", "-al", file.toString())));
    assertThat(extent.find()).isTrue();
    assertThat(b.maxE()).isCloseTo(Double.parseDouble(extent.group(3)), within(1e-6));
    assertThat(b.maxN()).isCloseTo(Double.parseDouble(extent.group(4)), within(1e-6));
  }
}
