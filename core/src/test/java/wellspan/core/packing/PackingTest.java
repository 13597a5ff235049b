package wellspan.core.packing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.EntityClass;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.ItemSettings;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.operation.Step;
import wellspan.core.place.SourcePlacement;
import wellspan.core.place.SpotMark;
import wellspan.core.receive.Received;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.step.Raise;
import wellspan.core.unit.LinearUnit;

class PackingTest {
  private static final ItemId PEGS = ItemId.of("s", "points", "Pegs");
  private static final Received READ =
      new Received(
          "t",
          "",
          "",
          List.of(Item.points("Pegs", List.of(new NamedPoint("K", new Position(1, 2, 3), "")))),
          Map.of(),
          List.of(),
          List.of());

  private static Revision revision(String sha) {
    return new Revision("Rev A", "pegs.csv", "x", sha, 1, Instant.EPOCH, java.util.Map.of());
  }

  private static Job job() {
    Job j = Job.named("j");
    return new Job(
            new java.util.UUID(1, 2),
            "j",
            Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5),
            List.of(),
            Map.of(),
            j.deliveries(),
            j.control(),
            List.of(),
            List.of(),
            Map.of(),
            Rulebook.NONE,
            ProjectInfo.NONE,
            List.of())
        .withSource(Source.of("s", revision("abc")));
  }

  private static String print(Job j, Delivery d) {
    return Packing.fingerprint(Build.of(j, Map.of("s", READ)), PEGS, d);
  }

  private static Delivery delivery() {
    return new Delivery(
        "d", "r", IfcSchema.IFC4X3, LinearUnit.METRE, new LocalZero.BasePoint(), "d.ifc", Set.of());
  }

  @Test
  void fingerprintsChangeWithEverythingThatReachesTheFile() {
    Job j = job();
    String now = print(j, delivery());
    assertThat(print(job(), delivery())).isEqualTo(now);
    assertThat(print(j.withFrame(j.frame().withLock("x").withUnit(LinearUnit.FOOT)), delivery()))
        .isEqualTo(now);
    assertThat(
            List.of(
                print(j, delivery().withFormat(new IfcFormat(IfcSchema.IFC4))),
                print(j, delivery().withUnit(LinearUnit.MILLIMETRE)),
                print(j, delivery().withZero(new LocalZero.Shared())),
                print(j.withFrame(j.frame().withRotation(3)), delivery()),
                print(j.withSource(Source.of("s", revision("def"))), delivery()),
                print(
                    j.withSource(
                        Source.of("s", revision("abc"))
                            .withPlacement(SourcePlacement.SHARED.withSwapped(true))),
                    delivery()),
                print(
                    j.withSettings(
                        List.of(PEGS),
                        s ->
                            new ItemSettings(
                                true,
                                Optional.of(new EntityClass("IfcAnnotation", "SYMBOL")),
                                Map.of())),
                    delivery())))
        .doesNotContain(now)
        .doesNotHaveDuplicates();
    assertThat(Packing.fingerprint(Build.of(j, Map.of()), PEGS, delivery())).isEmpty();
  }

  @Test
  void aZeroInSharedCoordinatesDoesNotCareForTheBasePoint() {
    Job j = job();
    Delivery shared = delivery().withZero(new LocalZero.Shared());
    assertThat(
            print(
                j.withFrame(j.frame().withRotation(3).withBasePoint(new Position(1, 1, 1))),
                shared))
        .isEqualTo(print(j, shared));
  }

  @Test
  void parcelsHoldWhatIsSentWithItsClassAndFacts() {
    Job j = job().withMarks(List.of(new SpotMark("S1", new Position(4, 5, 6))));
    Build b = Build.of(j, Map.of("s", READ));
    Parcel p = Packing.parcel(b, delivery().withFormat(new IfcFormat(IfcSchema.IFC2X3)));
    assertThat(p.pieces())
        .extracting(Parcel.Piece::key)
        .containsExactly("s/points/Pegs", "job/points/Spot marks");
    assertThat(p.pieces().getFirst().description().entityClass()).hasToString("IfcAnnotation");
    assertThat(p.pieces().getFirst().fingerprint())
        .isEqualTo(
            Packing.fingerprint(b, PEGS, delivery().withFormat(new IfcFormat(IfcSchema.IFC2X3))));
    assertThat(p.schema()).isEqualTo(IfcSchema.IFC2X3);
    Parcel held = Packing.parcel(b, delivery().holdingBack(Set.of(PEGS)));
    assertThat(held.pieces()).hasSize(1);
    assertThat(held.pieces().getFirst().description().entityClass())
        .hasToString("IfcAnnotation SURVEY");
    assertThat(
            Packing.loosePiece(p.ids(), PEGS, READ.items().getFirst(), IfcSchema.IFC4, "f")
                .description()
                .globalId())
        .as("the same identity in every schema")
        .isEqualTo(p.pieces().getFirst().description().globalId());
  }

  @Test
  void theFrameSheetOfAJobHasItsControlPoints() {
    assertThat(FrameSheets.of(Build.of(job(), Map.of())).job()).isEqualTo("j");
  }

  @Test
  void aStepChangesTheFingerprintAndOneThatIsOffDoesNot() {
    Step raise = new Raise(0.5);
    String plain = print(job(), delivery());
    String raised = print(job().withSteps(PEGS, List.of(RecordedStep.of(raise))), delivery());
    assertThat(raised).isNotEqualTo(plain);
    assertThat(print(job().withSteps(PEGS, List.of(new RecordedStep(raise, false))), delivery()))
        .isEqualTo(plain);
  }

  /** A shapefile whose table alone is new is not what was proven. */
  @Test
  void aFileBesideThatChangesIsAChange() {
    Job alone = job();
    Job with = alone.withSource(Source.of("s", beside("t1")));
    Job other = alone.withSource(Source.of("s", beside("t2")));
    assertThat(print(with, delivery()))
        .isNotEqualTo(print(alone, delivery()))
        .isNotEqualTo(print(other, delivery()))
        .isEqualTo(print(alone.withSource(Source.of("s", beside("t1"))), delivery()));
  }

  private static Revision beside(String digest) {
    return new Revision(
        "Rev A", "pegs.csv", "x", "abc", 1, Instant.EPOCH, Map.of("pegs.dbf", digest));
  }
}
