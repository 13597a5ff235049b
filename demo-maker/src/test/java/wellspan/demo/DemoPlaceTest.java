package wellspan.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.place.ControlTally;
import wellspan.core.place.HelmertFit;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PairMatching;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.receive.Layer;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.delivery.DeliveryRun;
import wellspan.exchange.intake.SourceIntake;

/** The demo job at the stop Place, and delivered in every schema, zero and unit. */
class DemoPlaceTest {
  private static final Path COMMITTED = Path.of("..", "demo", "job");
  private static Build build;

  @TempDir Path dir;

  @BeforeAll
  static void read() throws IOException {
    JobStore store = new JobStore(COMMITTED);
    build = SourceIntake.build(store, store.open(), Progress.NONE);
  }

  private static ControlTally tally(String source) {
    return build.tallies().stream().filter(t -> t.where().equals(source)).findFirst().orElseThrow();
  }

  @Test
  void theTallyFindsThePointThatIsOff() {
    ControlTally t = tally("quay-road");
    assertThat(t.lines()).hasSize(5);
    assertThat(t.lines().stream().filter(l -> !l.within(t.tolerance())))
        .singleElement()
        .satisfies(
            l -> {
              assertThat(l.name()).isEqualTo("BN-4");
              assertThat(l.height()).isCloseTo(-0.038, within(1e-9));
            });
    assertThat(build.findings().stream().filter(f -> f.code().equals("place.tally")))
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("BN-4")
        .contains("Look at its height first");
  }

  @Test
  void theYardInMillimetresAndSiteNorthIsPlacedByFit() throws Exception {
    SourcePlacement p = build.job().source("yard-layout").orElseThrow().placement();
    List<PointPair> pairs =
        PairMatching.byName(build.raw().get("yard-layout"), p, build.job().control());
    assertThat(pairs).hasSize(4);
    HelmertFit fit = HelmertFit.solve(pairs, false);
    assertThat(fit.residuals()).allSatisfy(r -> assertThat(r.plan()).isLessThan(0.002));
    assertThat(fit.residuals()).allSatisfy(r -> assertThat(Math.abs(r.height())).isLessThan(0.002));
    assertThat(fit.residuals()).noneMatch(HelmertFit.Residual::gross);
    assertThat(-Math.toDegrees(fit.similarity().rotation())).isCloseTo(21.5, within(0.001));
    HelmertFit free = HelmertFit.solve(pairs, true);
    assertThat(free.similarity().scale()).isCloseTo(1, within(2e-6));
    assertThat(tally("yard-layout").isWithin()).isTrue();
    assertThat(build.findings())
        .as("the placement says the unit that the drawing does not")
        .noneMatch(f -> f.code().equals("units.missing") && f.message().contains("drawing"));
  }

  @Test
  void theYardDrawingArrivesLayerByLayer() {
    Received yard = build.received().get("yard-layout");
    assertThat(yard.layers())
        .extracting(Layer::name)
        .containsExactly(
            "0", "Points", "lane edges", "PAD_A", "PAD_B", "PAD_C", "Yard Outline", "gates");
    assertThat(yard.items())
        .filteredOn(i -> i.shape() instanceof Shape.Faces)
        .extracting(i -> Math.rint(((Shape.Faces) i.shape()).mesh().planArea()))
        .containsExactly(1800.0, 1800.0, 1800.0);
    assertThat(yard.items())
        .filteredOn(i -> i.name().equals("Points markers"))
        .singleElement()
        .satisfies(
            i ->
                assertThat(((Shape.Points) i.shape()).points())
                    .extracting(NamedPoint::name)
                    .containsExactly("BN-1", "BN-2", "BN-3", "BN-5"));
  }

  @Test
  void withoutItsPlacementTheYardIsMissedAndMendsAreOffered() {
    Job job =
        build
            .job()
            .withSource(
                build
                    .job()
                    .source("yard-layout")
                    .orElseThrow()
                    .withPlacement(SourcePlacement.SHARED));
    Build lost = build.next(job, build.raw(), Progress.NONE);
    assertThat(lost.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("place.elsewhere");
              assertThat(f.message())
                  .contains("millimetre, local to the base point and site north");
            });
    List<Hypotheses.Hypothesis> all =
        Hypotheses.of(
            build.raw().get("yard-layout").bounds(),
            "",
            job.frame(),
            lost.reference("yard-layout"));
    assertThat(all.getFirst().fits()).isTrue();
    assertThat(all.getFirst().placement().unitFactor()).isEqualTo(0.001);
  }

  static Stream<Arguments> cases() {
    List<Arguments> out = new ArrayList<>();
    for (IfcSchema s : IfcSchema.values()) {
      for (LocalZero z : List.of(new LocalZero.BasePoint(), new LocalZero.Shared())) {
        for (LinearUnit u : List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE)) {
          out.add(Arguments.of(s, z, u));
        }
      }
    }
    return out.stream();
  }

  @ParameterizedTest
  @MethodSource("cases")
  void everyDeliveryOfTheDemoIsProven(IfcSchema schema, LocalZero zero, LinearUnit unit)
      throws IOException {
    Delivery d =
        build
            .job()
            .deliveries()
            .getFirst()
            .withFormat(new IfcFormat(schema))
            .withZero(zero)
            .withUnit(unit);
    DeliveryRun.Outcome o =
        DeliveryRun.run(build, d, dir, dir.resolve("receipts"), Clock.systemUTC(), Progress.NONE);
    Proof p = o.receipt().proof();
    assertThat(p.pass()).as(p.findings().toString()).isTrue();
    assertThat(p.maxDeviation()).isLessThan(1e-5);
    assertThat(p.trianglesIdentical()).isTrue();
    assertThat(p.arrived()).isEqualTo(p.sent()).isEqualTo(155);
    assertThat(p.controlTally().getFirst().name()).isEqualTo("BN-4");
    Box there = o.arrived().bounds();
    Box here =
        build.items().values().stream()
            .filter(i -> d.sends(i.id(), i.item()))
            .map(i -> i.item().bounds())
            .reduce(Box.EMPTY, Box::union);
    assertThat(there.minE()).isCloseTo(here.minE(), within(0.001));
    assertThat(there.maxN()).isCloseTo(here.maxN(), within(0.001));
    assertThat(there.minH()).isCloseTo(here.minH(), within(0.001));
  }

  /** Of lines and points only: where they lie is all that this is about. */
  private static Delivery few() {
    Delivery d = build.job().deliveries().getFirst();
    Set<ItemId> others =
        build.items().values().stream()
            .filter(i -> i.item().triangles().isPresent())
            .map(Build.BuiltItem::id)
            .collect(Collectors.toSet());
    return new Delivery(
        d.name(), d.receiver(), d.format(), d.unit(), d.zero(), d.fileName(), others);
  }

  /** Delivered, received in an empty job, its place taken from the file, delivered again. */
  @ParameterizedTest
  @MethodSource("cases")
  void theFrameSurvivesTheRoundTrip(IfcSchema schema, LocalZero zero, LinearUnit unit)
      throws IOException {
    Frame sent = build.job().frame().withScale(1.000305);
    Build scaled = build.next(build.job().withFrame(sent), build.raw(), Progress.NONE);
    Delivery d = few().withFormat(new IfcFormat(schema)).withZero(zero).withUnit(unit);
    Path first =
        DeliveryRun.run(scaled, d, dir, dir.resolve("r"), Clock.systemUTC(), Progress.NONE).file();
    JobStore store = new JobStore(dir.resolve("empty"));
    Job empty = Job.named("Empty");
    store.create(empty);
    Job received =
        SourceIntake.take(store, empty, first, Optional.empty(), Clock.systemUTC(), Progress.NONE)
            .job();
    Build again = SourceIntake.build(store, received, Progress.NONE);
    PlaceStatement place = again.received().values().iterator().next().places().getFirst();
    Job placed = again.job().withFrame(place.frame().orElseThrow());
    Build ready = again.next(placed, again.raw(), Progress.NONE);
    Delivery back =
        d.withZero(new LocalZero.BasePoint()); // its frame is the file's own, zero included
    DeliveryRun.Outcome second =
        DeliveryRun.run(
            ready, back, dir.resolve("out2"), dir.resolve("r2"), Clock.systemUTC(), Progress.NONE);
    assertThat(second.receipt().proof().pass()).isTrue();
    Frame was = zero.frame(sent);
    Frame is = second.arrived().frame().orElseThrow();
    assertThat(is.crs()).isEqualTo(was.crs());
    assertThat(is.verticalDatum()).isEqualTo(was.verticalDatum());
    assertThat(is.basePoint().east()).isEqualTo(was.basePoint().east());
    assertThat(is.basePoint().north()).isEqualTo(was.basePoint().north());
    assertThat(is.basePoint().level()).isEqualTo(was.basePoint().level());
    assertThat(is.rotationDegrees()).isCloseTo(was.rotationDegrees(), within(1e-9 * 22));
    assertThat(is.scale()).isCloseTo(was.scale(), within(1e-9));
    assertThat(Files.size(second.file())).isPositive();
  }
}
