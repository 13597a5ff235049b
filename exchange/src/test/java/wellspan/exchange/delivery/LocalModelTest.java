package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Prover;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/** A model of a job without a reference system leaves as a local one, and is proven as such. */
class LocalModelTest {
  private static final Frame NO_SYSTEM =
      Frame.of("", "", new Position(412_000, 6_534_500, 2), 21.5);

  @TempDir Path dir;

  private static Parcel parcel(IfcSchema schema) {
    GlobalIds ids = new GlobalIds(UUID.nameUUIDFromBytes(new byte[] {1}));
    IfcFormat format = new IfcFormat(schema);
    Item ground =
        Item.surface(
            "Ground",
            new Mesh(
                new double[] {412_010, 6_534_510, 3, 412_030, 6_534_510, 4, 412_010, 6_534_530, 5},
                new int[] {0, 1, 2}));
    return Packing.loose(
        "Yard",
        format,
        NO_SYSTEM,
        LinearUnit.MILLIMETRE,
        ids,
        List.of(Packing.loosePiece(ids, ItemId.of("yard", ground), ground, format, "yard.xml")));
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void itIsProvenTogetherWithThePositionFileBesideIt(IfcSchema schema) throws IOException {
    Path file = dir.resolve("yard.ifc");
    DeliveryRun.Outcome o =
        DeliveryRun.run("Yard", parcel(schema), file, Clock.systemUTC(), Progress.NONE);
    assertThat(o.receipt().proof().differences()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    assertThat(o.receipt().proof().findings()).extracting(Finding::code).contains("deliver.local");
    assertThat(dir.resolve("yard.position.json")).exists();
    assertThat(Files.readString(file)).doesNotContain("IFCMAPCONVERSION", "IFCPROJECTEDCRS");
    assertThat(o.arrived().items().getFirst().bounds().minE()).isBetween(412_009.999, 412_010.001);
  }

  @ParameterizedTest
  @EnumSource(IfcSchema.class)
  void aPositionFileThatSaysAnotherPlaceFailsTheProof(IfcSchema schema) throws IOException {
    Parcel p = parcel(schema);
    Path file = dir.resolve("yard.ifc");
    Carrier carrier = Carriers.of(p.format());
    carrier.write(p, Map.of(), file, "yard.ifc", Clock.systemUTC(), Progress.NONE);
    String good = PositionBeside.json(p, "yard.ifc");
    String moved = good.replace("412000", "412001");
    assertThat(moved).isNotEqualTo(good);
    assertThat(
            Prover.compare(p, carrier.readBack(p, file, moved, Progress.NONE), Progress.NONE)
                .pass())
        .isFalse();
  }

  @Test
  void whatIsToldWhileItRunsKnowsNoProvisionalNames() throws IOException {
    Set<String> told = ConcurrentHashMap.newKeySet();
    Progress telling =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {
            told.add(sentence);
          }

          @Override
          public boolean isCancelled() {
            return false;
          }
        };
    DeliveryRun.run(
        "Yard", parcel(IfcSchema.IFC4), dir.resolve("yard.ifc"), Clock.systemUTC(), telling);
    assertThat(told).contains("Reading yard.ifc").noneMatch(s -> s.contains(".new"));
  }
}
