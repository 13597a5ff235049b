package wellspan.demo;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import wellspan.core.align.Alignment;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.describe.IfcSchema;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.job.Build;
import wellspan.core.job.ControlIntake;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.place.Control;
import wellspan.core.place.PairMatching;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.SourceIntake;

/**
 * Writes {@code road/}, {@code survey/}, {@code yard/} and the demo job into a folder; what was
 * there is replaced.
 */
public final class DemoMaker {
  private static final Clock CLOCK =
      Clock.fixed(Instant.parse("2026-11-24T09:00:00Z"), ZoneOffset.UTC);
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);
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
    Files.writeString(control, ControlPoints.list(ground));
    Path yard = Files.createDirectories(demo.resolve("yard")).resolve("yard-layout.csv");
    Files.writeString(yard, YardLayout.list(ground));
    job(demo.resolve("job"), first, control, yard);
  }

  private static String design(String revision, Ground ground, double raise) {
    Alignment quay = QuayRoad.quayRoad(raise);
    Alignment link = QuayRoad.yardLink();
    return LandXmlText.design(
        revision,
        List.of(quay, link),
        List.of(QuayRoad.profilePoints(raise), QuayRoad.yardLinkPoints()),
        DesignSurface.make(ground, quay),
        ControlPoints.inDesign(ground));
  }

  private static Delivery delivery(
      String name,
      String receiver,
      IfcSchema schema,
      LinearUnit unit,
      LocalZero zero,
      String file) {
    return new Delivery(name, receiver, schema, unit, zero, file, Set.of());
  }

  private static void job(Path folder, Path design, Path control, Path yard) throws IOException {
    JobStore store = new JobStore(folder);
    Job job =
        new Job(
            UUID.fromString("6f1f3b52-6c0e-5d5e-9a39-0d4c6d6f2026"),
            "Brindle Ness ferry landing",
            FRAME,
            List.of(),
            Map.of(),
            List.of(
                delivery(
                    "BIM handover",
                    "BIM authoring",
                    IfcSchema.IFC4X3,
                    LinearUnit.METRE,
                    new LocalZero.BasePoint(),
                    "brindle-ness.ifc"),
                delivery(
                    "Model review",
                    "viewer",
                    IfcSchema.IFC4,
                    LinearUnit.MILLIMETRE,
                    new LocalZero.BasePoint(),
                    "brindle-ness-review.ifc"),
                delivery(
                    "Older viewer",
                    "viewer",
                    IfcSchema.IFC2X3,
                    LinearUnit.METRE,
                    new LocalZero.Shared(),
                    "brindle-ness-2x3.ifc")),
            Control.NONE,
            List.of());
    for (Path file : List.of(design, control, yard)) {
      job = SourceIntake.take(store, job, file, Optional.empty(), CLOCK, Progress.NONE).job();
    }
    Build build = SourceIntake.build(store, job, Progress.NONE);
    job = ControlIntake.take(job, "control", build.raw().get("control"));
    job = placed(job, build.raw().get("yard-layout"));
    store.save(job);
  }

  /** The yard by the control points in it. */
  private static Job placed(Job job, Received yard) {
    SourcePlacement millimetres =
        SourcePlacement.SHARED.withUnitFactor(LinearUnit.MILLIMETRE.metres());
    SourcePlacement fitted =
        millimetres.withWhere(
            new SourcePlacement.Where.Fitted(
                PairMatching.byName(yard, millimetres, job.control()), false));
    return job.withSource(job.source("yard-layout").orElseThrow().withPlacement(fitted));
  }
}
