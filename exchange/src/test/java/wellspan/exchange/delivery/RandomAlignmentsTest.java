package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.DxfRelease;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ShapefileFormat;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.Intake;

/** Any alignment of lines, arcs and transitions goes through every format and is proven. */
class RandomAlignmentsTest {
  private static final SpiralLaw[] LAWS = {
    SpiralLaw.CLOTHOID, SpiralLaw.BLOSS, SpiralLaw.COSINE, SpiralLaw.SINE
  };

  @TempDir Path dir;

  /** Elements that follow each other without a break, now and then with a reverse curve. */
  private static Alignment any(Random random) {
    List<PlanElement> plan = new ArrayList<>();
    PlanPoint at =
        new PlanPoint(412_000 + 100 * random.nextDouble(), 6_534_500, 6 * random.nextDouble());
    plan.add(new PlanElement.Line(at, 5 + 80 * random.nextDouble()));
    for (int k = 0; k < 1 + random.nextInt(4); k++) {
      double radius = (40 + 400 * random.nextDouble()) * (random.nextBoolean() ? 1 : -1);
      SpiralLaw law = LAWS[random.nextInt(LAWS.length)];
      boolean transitions = random.nextInt(4) > 0;
      double length = 10 + 40 * random.nextDouble();
      if (transitions) {
        plan.add(new PlanElement.Spiral(plan.getLast().end(), length, 0, 1 / radius, law));
      }
      plan.add(new PlanElement.Arc(plan.getLast().end(), 10 + 60 * random.nextDouble(), radius));
      if (transitions) {
        plan.add(new PlanElement.Spiral(plan.getLast().end(), length, 1 / radius, 0, law));
      }
      if (random.nextBoolean()) {
        plan.add(new PlanElement.Line(plan.getLast().end(), 1 + 50 * random.nextDouble()));
      }
    }
    double whole = plan.stream().mapToDouble(PlanElement::length).sum();
    List<Pvi> pvis = new ArrayList<>();
    pvis.add(new Pvi(0, 20, new Pvi.Rounding.None()));
    int n = 1 + random.nextInt(3);
    for (int k = 1; k <= n; k++) {
      double d = whole * k / (n + 1);
      double curve = 0.3 * whole / (n + 1);
      pvis.add(
          new Pvi(
              d,
              20 + 0.05 * d * (random.nextDouble() - 0.5),
              switch (random.nextInt(3)) {
                case 0 -> new Pvi.Rounding.None();
                case 1 -> new Pvi.Rounding.Parabola(curve, curve);
                default -> new Pvi.Rounding.Parabola(curve, 0.6 * curve);
              }));
    }
    pvis.add(new Pvi(whole, 21, new Pvi.Rounding.None()));
    return new Alignment(
        "Any",
        plan,
        new Chainages(Math.rint(2000 * random.nextDouble()), List.of()),
        random.nextInt(4) > 0 ? Optional.of(Profile.through("p", pvis)) : Optional.empty());
  }

  private static List<DeliveryFormat> formats() {
    return List.of(
        new LandXmlFormat(),
        new IfcFormat(IfcSchema.IFC4X3),
        new IfcFormat(IfcSchema.IFC4),
        new IfcFormat(IfcSchema.IFC2X3),
        new DxfFormat(DxfRelease.R2000, false),
        new ShapefileFormat());
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12})
  void arrivesWhereItWasSent(long seed) throws IOException {
    Random random = new Random(seed);
    Alignment a = any(random);
    Frame frame =
        seed % 2 == 0
            ? Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 33)
            : Frame.of("EPSG:25832", "NN2000", new Position(0, 0, 0), 0);
    GlobalIds ids = new GlobalIds(new UUID(seed, 1));
    Item item = Item.alignment("Any", a);
    for (DeliveryFormat f : formats()) {
      Parcel p =
          new Parcel(
              "p",
              f,
              frame,
              LinearUnit.METRE,
              ids,
              List.of(Packing.loosePiece(ids, ItemId.of("s", item), item, f, "f")),
              Control.NONE);
      Path file = dir.resolve("any" + f.ending());
      Proof proof =
          DeliveryRun.run("d", p, file, Clock.systemUTC(), Progress.NONE).receipt().proof();
      assertThat(proof.findings().stream().filter(Finding::isError).map(Finding::message))
          .as("%s, alignment %d", f.title(), seed)
          .isEmpty();
      assertThat(proof.arrived()).isEqualTo(1);
    }
  }

  /** Of formats with elements: every point, its level and chainage, as it was. */
  @ParameterizedTest
  @ValueSource(longs = {21, 22, 23, 24, 25, 26, 27, 28})
  void everyPointOfItIsTheSame(long seed) throws IOException {
    Alignment a = any(new Random(seed));
    GlobalIds ids = new GlobalIds(new UUID(seed, 1));
    Item item = Item.alignment("Any", a);
    for (DeliveryFormat f : List.of(new LandXmlFormat(), new IfcFormat(IfcSchema.IFC4X3))) {
      Path file = dir.resolve("same" + f.ending());
      DeliveryRun.run(
          "d",
          new Parcel(
              "p",
              f,
              Frame.of("EPSG:25832", "NN2000", new Position(0, 0, 0), 0),
              LinearUnit.METRE,
              ids,
              List.of(Packing.loosePiece(ids, ItemId.of("s", item), item, f, "f")),
              Control.NONE),
          file,
          Clock.systemUTC(),
          Progress.NONE);
      Alignment back =
          Intake.read(file, Progress.NONE).items().stream()
              .map(Item::shape)
              .filter(Shape.Axis.class::isInstance)
              .map(s -> ((Shape.Axis) s).alignment())
              .findFirst()
              .orElseThrow();
      assertThat(back.length()).isCloseTo(a.length(), org.assertj.core.data.Offset.offset(1e-5));
      for (double d = 0; d <= a.length(); d += a.length() / 50) {
        AlignmentPoint here = a.at(d);
        AlignmentPoint there = back.at(Math.min(d, back.length()));
        assertThat(Math.hypot(here.east() - there.east(), here.north() - there.north()))
            .as("%s at %.3f", f.title(), d)
            .isLessThan(1e-5);
        assertThat(there.chainage())
            .isCloseTo(here.chainage(), org.assertj.core.data.Offset.offset(1e-5));
        if (a.profile().isPresent()) {
          assertThat(there.level())
              .isCloseTo(here.level(), org.assertj.core.data.Offset.offset(1e-5));
        }
      }
    }
  }
}
