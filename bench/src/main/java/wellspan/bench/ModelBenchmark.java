package wellspan.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
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
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;

/**
 * A model of 40 000 small solids read and written, beside a scan that only splits its text into
 * entities, and a copy of its bytes.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx3g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 2, time = 5)
@Measurement(iterations = 4, time = 5)
public class ModelBenchmark {
  private static final int PRODUCTS = 40_000;

  private Path file;
  private Path out;
  private Parcel parcel;

  /** The file, and what it holds as it would be delivered. */
  @Setup(Level.Trial)
  public void make() throws IOException {
    file = Files.createTempFile("many", ".ifc");
    out = Files.createTempFile("written", ".ifc");
    ManyProducts.write(file, PRODUCTS);
    GlobalIds ids = new GlobalIds(new UUID(1, 2));
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : IfcReader.read(file, Progress.NONE).items()) {
      pieces.add(
          Packing.loosePiece(ids, ItemId.of("m" + pieces.size(), i), i, IfcSchema.IFC4, "m.ifc"));
    }
    parcel =
        Packing.loose(
            "m", new IfcFormat(IfcSchema.IFC4), Frame.UNPLACED, LinearUnit.METRE, ids, pieces);
    write();
    System.out.printf(
        "%n%.1f MB read, %.1f MB written%n", Files.size(file) / 1e6, Files.size(out) / 1e6);
  }

  /** Takes the files away. */
  @TearDown(Level.Trial)
  public void clear() throws IOException {
    Files.deleteIfExists(file);
    Files.deleteIfExists(out);
  }

  /** All of it. */
  @Benchmark
  public Received read() throws IOException {
    return IfcReader.read(file, Progress.NONE);
  }

  /** Where each entity begins, its number and the length of its name; nothing else. */
  @Benchmark
  public List<int[]> bareSplit() throws IOException {
    byte[] b = Files.readAllBytes(file);
    List<int[]> entities = new ArrayList<>();
    boolean text = false;
    int start = 0;
    for (int i = 0; i < b.length; i++) {
      if (b[i] == '\'') {
        text = !text;
      } else if (b[i] == ';' && !text) {
        int at = start;
        while (at < i && b[at] != '#') {
          at++;
        }
        int number = 0;
        for (at++; at < i && b[at] >= '0' && b[at] <= '9'; at++) {
          number = 10 * number + b[at] - '0';
        }
        int name = at;
        while (name < i && b[name] != '(') {
          name++;
        }
        entities.add(new int[] {number, at, name, i});
        start = i + 1;
      }
    }
    return entities;
  }

  /** All of it. */
  @Benchmark
  public Path write() throws IOException {
    IfcWriter.write(parcel, out, "m.ifc", Clock.systemUTC(), Progress.NONE);
    return out;
  }
}
