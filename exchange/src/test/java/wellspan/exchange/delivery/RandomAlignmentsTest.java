package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
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
  @TempDir Path dir;

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
    Alignment a = RandomDesigns.alignment(random);
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
    Alignment a = RandomDesigns.alignment(new Random(seed));
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
