package wellspan.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import wellspan.core.align.Alignment;
import wellspan.core.deliver.Delivery;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.SourceIntake;

/**
 * Writes {@code road/}, {@code survey/} and the demo job into a folder; what was there is replaced.
 */
public final class DemoMaker {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-11-24T09:00:00Z"), ZoneOffset.UTC);
  private static final Frame FRAME =
      new Frame("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5, "");
  private static final double RAISE_IN_B = 0.35;

  private DemoMaker() {}

  public static void main(String[] args) throws IOException {
    make(Path.of(args.length > 0 ? args[0] : "demo"));
  }

  /** Makes everything anew. */
  public static void make(Path demo) throws IOException {
    Ground ground = new Ground(7);
    Path road = Files.createDirectories(demo.resolve("road"));
    Path first = road.resolve("quay-road.xml");
    Files.writeString(first, design("A", ground, 0));
    Files.writeString(road.resolve("quay-road-RevB.xml"), design("B", ground, RAISE_IN_B));
    Path control = Files.createDirectories(demo.resolve("survey")).resolve("control.csv");
    Files.writeString(control, control(ground));
    job(demo.resolve("job"), first, control);
  }

  private static String design(String revision, Ground ground, double raise) {
    Alignment quay = QuayRoad.quayRoad(raise);
    Alignment link = QuayRoad.yardLink();
    return LandXmlText.design(
        revision,
        List.of(quay, link),
        List.of(QuayRoad.profilePoints(raise), QuayRoad.yardLinkPoints()),
        DesignSurface.make(ground, quay));
  }

  private static String control(Ground ground) {
    StringBuilder s = new StringBuilder("id,easting,northing,height,code\n");
    List<double[]> points = DesignSurface.controlPoints(ground);
    for (int i = 0; i < points.size(); i++) {
      double[] p = points.get(i);
      double wrong = i == 3 ? 0.038 : 0;
      s.append(
          String.format(
              Locale.ROOT, "BN-%d,%.3f,%.3f,%.3f,control\n", i + 1, p[0], p[1], p[2] + wrong));
    }
    return s.toString();
  }

  private static void job(Path folder, Path design, Path control) throws IOException {
    JobStore store = new JobStore(folder);
    Delivery handover =
        new Delivery(
            "BIM handover",
            "BIM authoring",
            "IFC4X3_ADD2",
            LinearUnit.METRE,
            "brindle-ness.ifc",
            Set.of());
    Delivery review =
        new Delivery(
            "Model review",
            "viewer",
            "IFC4X3_ADD2",
            LinearUnit.MILLIMETRE,
            "brindle-ness-review.ifc",
            Set.of());
    Job job =
        new Job(
            UUID.fromString("6f1f3b52-6c0e-5d5e-9a39-0d4c6d6f2026"),
            "Brindle Ness ferry landing",
            FRAME,
            List.of(),
            Map.of(),
            List.of(handover, review));
    for (Path file : List.of(design, control)) {
      job = SourceIntake.take(store, job, file, Optional.empty(), CLOCK, Progress.NONE).job();
    }
    store.save(job);
  }
}
