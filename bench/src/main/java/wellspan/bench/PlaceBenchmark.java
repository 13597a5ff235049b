package wellspan.bench;

import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.Transformation;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.receive.Received;

/** A million points from one reference system to another, and a million vertices placed. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx2g", "-XX:ActiveProcessorCount=1", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 2, time = 3)
@Measurement(iterations = 4, time = 3)
public class PlaceBenchmark {
  private static final int POINTS = 1_000_000;
  private static final Frame JOB =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);

  /** Zone to zone of one datum, to longitude and latitude, and to another datum. */
  @Param({"25833", "4326", "31467"})
  public String to;

  private double[] points;
  private Transformation transformation;
  private Received surface;

  @Setup
  public void make() {
    SplittableRandom random = new SplittableRandom(3);
    points = new double[2 * POINTS];
    boolean south = to.equals("31467"); // in its own area of use
    for (int i = 0; i < points.length; i += 2) {
      points[i] = (south ? 500_000 : 412_000) + random.nextDouble(2000);
      points[i + 1] = (south ? 5_600_000 : 6_534_500) + random.nextDouble(2000);
    }
    Crs from = CrsCatalogue.shipped().find("25832").orElseThrow();
    transformation = new Transformation(from, CrsCatalogue.shipped().find(to).orElseThrow());
    Mesh mesh = Fixture.mesh(2 * POINTS);
    Item item = Item.surface("Large", mesh);
    surface = new Received("bench", "", "", List.of(item), Map.of(), List.of(), List.of());
  }

  @Benchmark
  public double[] transformMillionPoints() throws Transformation.OutsideAreaException {
    double[] copy = points.clone();
    for (int i = 0; i < copy.length; i += 2) {
      transformation.apply(copy, i);
    }
    return copy;
  }

  @Benchmark
  public Received placeMillionVertices() {
    SourcePlacement local =
        SourcePlacement.SHARED.withWhere(
            new SourcePlacement.Where.Local(new Position(412_000, 6_534_500, 0), 21.5, 1));
    return Placer.place("bench", surface, local, JOB);
  }

  @Benchmark
  public ControlTally tallyMillionVertices() {
    Control control =
        new Control(
            List.of(new Control.Point("A", new Position(412_500, 6_534_500, 0))), 0.015, "");
    return ControlTally.of(control, "bench", surface);
  }
}
