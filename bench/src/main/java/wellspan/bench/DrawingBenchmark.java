package wellspan.bench;

import java.io.BufferedWriter;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.dxf.read.DxfReader;

/** A drawing of half a million loose faces, about 90 MB of text. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx2g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 2, time = 4)
@Measurement(iterations = 4, time = 4)
public class DrawingBenchmark {
  private Path file;

  @Setup(Level.Trial)
  public void make() throws IOException {
    file = Files.createTempFile("bench", ".dxf");
    Mesh mesh = Fixture.mesh(500_000);
    try (BufferedWriter w = Files.newBufferedWriter(file)) {
      w.write("  0\nSECTION\n  2\nENTITIES\n");
      int[] t = mesh.triangles();
      for (int i = 0; i < t.length; i += 3) {
        w.write("  0\n3DFACE\n  8\nTERRAIN\n");
        for (int k = 0; k < 4; k++) {
          int v = t[i + Math.min(k, 2)];
          w.write(" 1" + k + "\n" + mesh.east(v) + "\n 2" + k + "\n" + mesh.north(v));
          w.write("\n 3" + k + "\n" + mesh.level(v) + "\n");
        }
      }
      w.write("  0\nENDSEC\n  0\nEOF\n");
    }
  }

  @TearDown(Level.Trial)
  public void remove() throws IOException {
    Files.deleteIfExists(file);
  }

  @Benchmark
  public Received readFaces() throws IOException {
    return DxfReader.read(file, Progress.NONE);
  }
}
