package wellspan.bench;

import com.fasterxml.aalto.stax.InputFactoryImpl;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.TimeUnit;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamReader;
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
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.build.Build;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.road.CrossSection;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadParts;
import wellspan.core.typical.SectionLayout;
import wellspan.core.typical.TypicalSection;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;

/**
 * Ten kilometres of a road with courses, kerbs, footway and verges, a section every 20 m: its
 * solids made at 10 mm, and a job with it opened again from its cache. Beside them a bare pass over
 * the same file.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(
    value = 1,
    jvmArgs = {"-Xmx2g", "--sun-misc-unsafe-memory-access=allow"})
@Warmup(iterations = 3, time = 3)
@Measurement(iterations = 5, time = 3)
public class RoadBenchmark {
  private static final double LENGTH = 10_000;
  private static final double EVERY = 20;

  private Path file;
  private JobStore store;
  private Job job;

  /** The file, and a job that has received it and was opened once. */
  @Setup(Level.Trial)
  public void make() throws IOException {
    Path folder = Files.createTempDirectory("road");
    file = folder.resolve("road.xml");
    write(file);
    store = new JobStore(folder.resolve("job"));
    job =
        SourceIntake.take(
                store, Job.named("Road"), file, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job();
    store.save(job);
    Build build = SourceIntake.build(store, job, Progress.NONE);
    int triangles =
        build.items().values().stream()
            .mapToInt(i -> i.item().triangles().map(m -> m.triangleCount()).orElse(0))
            .sum();
    System.out.println(
        Files.size(file) / 1_000_000.0
            + " MB, "
            + build.items().size()
            + " items, "
            + triangles
            + " triangles");
  }

  /** Lines, clothoids and arcs of 90 to 400 m, and a profile that rounds every 250 m. */
  private static Alignment axis() {
    List<PlanElement> plan = new ArrayList<>();
    plan.add(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.3), 100));
    double length = 100;
    double radius = 90;
    int side = 1;
    while (length < LENGTH - 400) {
      double k = side / radius;
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 60, 0, k, SpiralLaw.CLOTHOID));
      plan.add(new PlanElement.Arc(plan.getLast().end(), 90, 1 / k));
      plan.add(new PlanElement.Spiral(plan.getLast().end(), 60, k, 0, SpiralLaw.CLOTHOID));
      plan.add(new PlanElement.Line(plan.getLast().end(), 80));
      length += 290;
      radius = radius > 380 ? 90 : radius + 31;
      side = -side;
    }
    plan.add(new PlanElement.Line(plan.getLast().end(), LENGTH - length));
    List<Pvi> pvis = new ArrayList<>();
    pvis.add(new Pvi(0, 50, new Pvi.Rounding.None()));
    for (int i = 1; i < 40; i++) {
      pvis.add(new Pvi(250.0 * i, 50 + (i % 2 == 0 ? 0 : 9), new Pvi.Rounding.Parabola(60, 60)));
    }
    pvis.add(new Pvi(LENGTH, 50, new Pvi.Rounding.None()));
    return new Alignment(
        "Road", plan, new Chainages(0, List.of()), Optional.of(Profile.through("p", pvis)));
  }

  private static void write(Path file) throws IOException {
    Alignment axis = axis();
    List<CrossSection> sections = new ArrayList<>();
    for (double d = 0; d <= LENGTH; d += EVERY) {
      double level = axis.profile().orElseThrow().levelAt(d);
      sections.add(new CrossSection(d, 0, new SectionLayout(TypicalSection.FIRST, level).bodies()));
    }
    List<Finding> findings = new ArrayList<>();
    List<Item> items = new ArrayList<>(List.of(Item.alignment("Road", axis)));
    RoadParts.of(axis, sections, findings)
        .forEach(
            p ->
                RoadItem.of("Road", axis, p, p.name() + " " + p.side(), Stop.RECEIVE, findings)
                    .ifPresent(items::add));
    GlobalIds ids = new GlobalIds(new UUID(1, 2));
    LandXmlFormat format = new LandXmlFormat();
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      pieces.add(Packing.loosePiece(ids, ItemId.of("s", i), i, format, "f"));
    }
    Frame frame = Frame.of("EPSG:25832", "NN2000", new Position(0, 0, 0), 0);
    Parcel parcel = Packing.loose("p", format, frame, LinearUnit.METRE, ids, pieces);
    if (!DeliveryRun.run("d", parcel, file, Clock.systemUTC(), Progress.NONE)
        .receipt()
        .proof()
        .pass()) {
      throw new IllegalStateException("the road is not proven");
    }
  }

  /** Reads the file and makes its solids at 10 mm. */
  @Benchmark
  public Received solids() throws IOException {
    return Intake.read(file, Progress.NONE);
  }

  /** Opens the job, whose solids lie in its cache. */
  @Benchmark
  public Build reopened() throws IOException {
    return SourceIntake.build(store, job, Progress.NONE);
  }

  /** A bare pass over the file. */
  @Benchmark
  public int bare() throws IOException, XMLStreamException {
    try (InputStream in = Files.newInputStream(file)) {
      XMLStreamReader r = new InputFactoryImpl().createXMLStreamReader(in);
      int n = 0;
      while (r.hasNext()) {
        n += r.next();
      }
      return n;
    }
  }
}
