package wellspan.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
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
import org.openjdk.jmh.annotations.Warmup;
import org.tinfour.common.Vertex;
import org.tinfour.standard.IncrementalTin;
import org.tinfour.utils.HilbertSort;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.overlay.Volumes;
import wellspan.core.progress.Progress;
import wellspan.core.triangulate.Constraint;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.triangulate.Triangulated;
import wellspan.core.triangulate.Triangulator;

/** A million points with breaklines of 100 000 vertices; two surfaces of 200 000 triangles. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx1500m", "-XX:+UseG1GC", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 1)
@Measurement(iterations = 3)
public class TerrainBenchmark {
  private static final double SIZE = 3000;
  private double[] points;
  private final List<Constraint> lines = new ArrayList<>();
  private Mesh one;
  private Mesh other;

  private static double level(double x, double y) {
    return 30 + 8 * Math.sin(x / 90) * Math.cos(y / 70);
  }

  private static double[] scatter(int n, long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    double[] xyz = new double[3 * n];
    for (int i = 0; i < n; i++) {
      double x = random.nextDouble(SIZE), y = random.nextDouble(SIZE);
      xyz[3 * i] = 412_000 + x;
      xyz[3 * i + 1] = 6_534_000 + y;
      xyz[3 * i + 2] = level(x, y);
    }
    return xyz;
  }

  @Setup(Level.Trial)
  public void make() {
    points = scatter(1_000_000, 1);
    for (int l = 0; l < 100; l++) { // side by side, winding
      double[] xyz = new double[3 * 1000];
      for (int i = 0; i < 1000; i++) {
        double x = 1.5 + i * 2.99, y = 15 + l * 29.7 + 6 * Math.sin(x / 40);
        xyz[3 * i] = 412_000 + x;
        xyz[3 * i + 1] = 6_534_000 + y;
        xyz[3 * i + 2] = level(x, y);
      }
      lines.add(new Constraint("edge " + l, new Polyline(xyz), Constraint.Kind.BREAKLINE));
    }
    one = Triangulator.delaunay(scatter(100_000, 2), Progress.NONE);
    other = Triangulator.delaunay(scatter(100_000, 3), Progress.NONE);
  }

  @Benchmark
  public Triangulated triangulateWithBreaklines() {
    return new Triangulator(LevelRule.MEAN, LevelRule.MEAN, 0.01).run(points, lines, Progress.NONE);
  }

  /** The library alone on as many points, sorted as it wants them. */
  @Benchmark
  public IncrementalTin bareDelaunay() {
    List<Vertex> vertices = new ArrayList<>();
    for (int i = 0; i < points.length; i += 3) {
      vertices.add(
          new Vertex(points[i] - 413_500, points[i + 1] - 6_535_500, points[i + 2], i / 3));
    }
    for (Constraint c : lines) {
      double[] p = c.line().xyz();
      for (int i = 0; i < p.length; i += 3) {
        vertices.add(new Vertex(p[i] - 413_500, p[i + 1] - 6_535_500, p[i + 2], vertices.size()));
      }
    }
    new HilbertSort().sort(vertices);
    IncrementalTin tin = new IncrementalTin(1);
    tin.add(vertices, null);
    return tin;
  }

  @Benchmark
  public LevelDifference overlayOf200kTriangles() {
    return LevelDifference.between(one, other, Progress.NONE);
  }

  @Benchmark
  public Volumes volumesOf200kTriangles() {
    return Volumes.between(one, other, Progress.NONE);
  }
}
