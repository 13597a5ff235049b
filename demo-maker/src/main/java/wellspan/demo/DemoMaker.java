package wellspan.demo;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import wellspan.core.align.Alignment;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.ControlIntake;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.job.SourceNames;
import wellspan.core.place.Control;
import wellspan.core.place.PairMatching;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.recipe.BridgeOverGround;
import wellspan.core.recipe.Repetition;
import wellspan.core.recipe.Sweep;
import wellspan.core.recipe.Triangulation;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.schema.IfcSchema;
import wellspan.core.step.DropFalseLevels;
import wellspan.core.step.DropSpikes;
import wellspan.core.step.MergeDuplicates;
import wellspan.core.sweep.ObjectShape;
import wellspan.core.sweep.SectionShape;
import wellspan.core.triangulate.LevelRule;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.SourceIntake;
import wellspan.exchange.rulebook.RulebookFile;

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
  private static final double SETTLED_IN_B = 0.12;

  private static final ItemId SHORE = ItemId.of("shore-survey", "points", "shore-survey");
  private static final ItemId GROUND =
      ItemId.of(SourceNames.JOB, "terrain surface", "Existing ground");
  private static final List<ItemId> LINES =
      Stream.of(
              "SURV-ROAD-EDGE",
              "SURV-BANK-TOP",
              "SURV-BANK-TOE",
              "SURV-CREEK",
              "SURV-QUAY",
              "ny linje (2)",
              "SURV-SITE")
          .map(layer -> ItemId.of("breaklines", "string", layer))
          .toList();

  /** What the surveyor sent stays here: what is made of it is delivered. */
  private static final Set<ItemId> SURVEY =
      Stream.concat(Stream.of(SHORE), LINES.stream()).collect(Collectors.toSet());

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
    Path shore = demo.resolve("survey/shore-survey.csv");
    Files.writeString(shore, ShoreSurvey.list(ground, 0));
    Files.writeString(
        demo.resolve("survey/shore-survey-RevB.csv"), ShoreSurvey.list(ground, SETTLED_IN_B));
    Hinterland.write(ground, demo.resolve("survey"));
    Path lines = demo.resolve("survey/breaklines.dxf");
    Files.writeString(lines, Breaklines.drawing(ground));
    Path yard = Files.createDirectories(demo.resolve("yard")).resolve("yard-layout.dxf");
    Files.writeString(yard, YardLayout.drawing(ground));
    Path drains =
        Files.createDirectories(demo.resolve("drainage")).resolve("quay-road-drainage.xml");
    Files.writeString(drains, Drainage.network(QuayRoad.quayRoad(0)));
    Path rulebook = Files.createDirectories(demo.resolve("client")).resolve("harbour-client.json");
    try (InputStream in = DemoMaker.class.getResourceAsStream("harbour-client.json")) {
      Files.write(rulebook, in.readAllBytes());
    }
    job(
        demo.resolve("job"),
        List.of(first, control, yard, shore, lines, drains),
        RulebookFile.read(rulebook));
  }

  private static String design(String revision, Ground ground, double raise) {
    Alignment quay = QuayRoad.quayRoad(raise);
    Alignment link = QuayRoad.yardLink();
    return LandXmlText.design(
        revision,
        List.of(quay, link),
        List.of(QuayRoad.profilePoints(raise), QuayRoad.yardLinkPoints()),
        DesignSurface.make(ground, quay, link),
        Junction.edges(quay, link),
        ControlPoints.inDesign(ground));
  }

  private static Delivery delivery(
      String name,
      String receiver,
      IfcSchema schema,
      LinearUnit unit,
      LocalZero zero,
      String file) {
    return new Delivery(name, receiver, schema, unit, zero, file, SURVEY);
  }

  private static void job(Path folder, List<Path> files, Rulebook rulebook) throws IOException {
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
            List.of(),
            List.of(),
            Map.of(),
            Rulebook.NONE,
            new ProjectInfo(
                "", "Example Roads", "", "detailed design", "Brindle Ness", "Quay Road"),
            List.of());
    for (Path file : files) {
      job = SourceIntake.take(store, job, file, Optional.empty(), CLOCK, Progress.NONE).job();
    }
    Build build = SourceIntake.build(store, job, Progress.NONE);
    job = ControlIntake.take(job, "control", build.raw().get("control"));
    job = placed(job, build.raw().get("yard-layout"));
    job = furnished(PavedAreas.in(said(ground(job).withRulebook(rulebook))));
    store.save(groundOnly(job, build.raw()));
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

  /** The existing ground from the survey, cleaned in steps. */
  private static Job ground(Job job) {
    // the points would hide the ground made of them, and that, in cuts, the design
    return job.withSettings(List.of(SHORE, GROUND), s -> s.withVisible(false))
        .withSteps(
            SHORE,
            List.of(
                RecordedStep.of(new DropFalseLevels(false)),
                RecordedStep.of(new DropSpikes(0, false)),
                RecordedStep.of(new MergeDuplicates(LevelRule.MEAN))))
        .withRecipe(
            new Triangulation(
                "Existing ground",
                List.of(SHORE),
                LINES.subList(0, 6),
                List.of(LINES.get(6)),
                List.of(),
                LevelRule.MEAN,
                LevelRule.LOWEST));
  }

  /**
   * What the office says of the pavement by hand. One course has a state that the client does not
   * know, and nobody has said yet who looks after the chambers.
   */
  private static Job said(Job job) {
    Map<String, String> status =
        Map.ofEntries(
            Map.entry("course/Surface course", "D"),
            Map.entry("course/Surface course (2)", "D"),
            Map.entry("course/Binder course", "D"),
            Map.entry("course/Binder course (2)", "D"),
            Map.entry("course/Base course", "B"),
            Map.entry("course/Base course (2)", "B"),
            Map.entry("course/Sub-base", "B"),
            Map.entry("course/Sub-base (2)", "F"),
            Map.entry("course/Surface course (3)", "D"),
            Map.entry("course/Surface course (4)", "D"),
            Map.entry("course/Binder course (3)", "D"),
            Map.entry("course/Binder course (4)", "D"),
            Map.entry("course/Base course (3)", "D"),
            Map.entry("course/Base course (4)", "D"),
            Map.entry("course/Sub-base (3)", "D"),
            Map.entry("course/Sub-base (4)", "D"),
            Map.entry("kerb/Kerb", "D"),
            Map.entry("kerb/Kerb (2)", "D"),
            Map.entry("kerb/Kerb (3)", "D"),
            Map.entry("footway/Footway", "D"));
    Job out = job;
    for (Map.Entry<String, String> s : status.entrySet()) {
      out =
          out.withSettings(
              List.of(new ItemId("quay-road/" + s.getKey())),
              x -> x.withAttribute("Status", s.getValue()));
    }
    return out;
  }

  /** What stands along the road: a rail on the side of the slope, marker posts, lights. */
  private static Job furnished(Job job) {
    ItemId road = new ItemId("quay-road/alignment/Quay Road");
    ItemId ground = new ItemId("quay-road/terrain-surface/Design ground");
    return job.withRecipe(
            new Sweep(
                "Guard rail",
                road,
                SectionShape.GUARD_RAIL,
                new ItemId(""),
                -4.0,
                0,
                0,
                120,
                560,
                ground,
                0,
                4,
                "steel"))
        .withRecipe(
            new Repetition(
                "Marker post", road, ObjectShape.MARKER_POST, 50, "", -4.4, 0, 100, 1200, ground))
        .withRecipe(
            new Repetition("Light", road, ObjectShape.LIGHT, 60, "", 6.4, 0, 30, 1230, ground))
        .withRecipe(bridge(road));
  }

  /** Where the road leaves the shore it runs over water; its piers stand along the shore. */
  private static BridgeOverGround bridge(ItemId road) {
    return new BridgeOverGround(
        "Shore Bridge",
        road,
        GROUND,
        1020,
        1080,
        "1040 1060",
        15,
        new ItemId(""),
        4.6,
        6.2,
        0.52,
        0.7,
        1.2,
        1,
        2,
        1,
        0.2,
        1.5,
        1,
        true,
        List.of(),
        4.7,
        "concrete");
  }

  /** A delivery of the existing ground and the control points alone, to those who design on it. */
  private static Job groundOnly(Job job, Map<String, Received> raw) {
    Set<ItemId> held = new TreeSet<>();
    for (ItemId id : Build.of(job, raw).items().keySet()) {
      if (!id.equals(GROUND) && !id.value().startsWith("control/")) {
        held.add(id);
      }
    }
    return job.withDelivery(
        new Delivery(
            "Ground to design",
            "road design",
            new LandXmlFormat(),
            LinearUnit.METRE,
            new LocalZero.Shared(),
            "brindle-ness-ground.xml",
            held));
  }
}
