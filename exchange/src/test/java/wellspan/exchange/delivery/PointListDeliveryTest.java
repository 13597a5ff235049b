package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.PointListFormat;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.place.Control;
import wellspan.core.progress.Progress;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;
import wellspan.core.unit.LinearUnit;

class PointListDeliveryTest {
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 2), 21.5).withScale(1.0003);

  @TempDir Path dir;

  private static Parcel parcel(LinearUnit unit) {
    GlobalIds ids = new GlobalIds(new UUID(3, 4));
    Item one =
        Item.points(
            "One",
            List.of(
                new NamedPoint(
                    "A, \"quoted\"", new Position(412_100.123, 6_534_600.456, 21.5), "peg"),
                new NamedPoint("flat", new Position(412_200, 6_534_700, Double.NaN), "")));
    Item two =
        Item.points("Two", List.of(new NamedPoint("C", new Position(411_900, 6_534_400, -3), "x")));
    List<Parcel.Piece> pieces =
        List.of(one, two).stream()
            .map(i -> Packing.loosePiece(ids, ItemId.of("s", i), i, IfcSchema.IFC4X3, "f"))
            .toList();
    return new Parcel("p", new PointListFormat(), FRAME, unit, ids, pieces, Control.NONE);
  }

  @Test
  void pointsArriveInEveryUnitWithTheirPositionBeside() throws IOException {
    for (LinearUnit unit : List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE, LinearUnit.FOOT)) {
      Path target = dir.resolve("points-" + unit.symbol() + ".csv");
      DeliveryRun.Outcome o =
          DeliveryRun.run("points", parcel(unit), target, Clock.systemUTC(), Progress.NONE);
      assertThat(o.receipt().proof().findings()).isEmpty();
      assertThat(o.receipt().proof().pass()).isTrue();
      assertThat(o.receipt().proof().maxDeviation()).isLessThan(2e-6);
      assertThat(o.receipt().files()).hasSize(3);
      JsonNode n =
          new ObjectMapper()
              .readTree(
                  Files.readString(dir.resolve("points-" + unit.symbol() + ".position.json")));
      assertThat(FrameJson.read(n.path("frame")).unit()).isEqualTo(unit);
      assertThat(Files.readString(dir.resolve("points-" + unit.symbol() + ".position.txt")))
          .contains("EPSG:25832")
          .contains(unit.title());
    }
    assertThat(Files.readString(dir.resolve("points-mm.csv")))
        .startsWith("id,easting,northing,height,code\r\n\"A, \"\"quoted\"\"\",");
  }

  @Test
  void theFileHoldsLocalCoordinates() throws IOException {
    Path target = dir.resolve("p.csv");
    DeliveryRun.run("points", parcel(LinearUnit.METRE), target, Clock.systemUTC(), Progress.NONE);
    Position local = FRAME.toLocal(new Position(411_900, 6_534_400, -3));
    assertThat(Files.readString(target))
        .contains(
            String.format(
                java.util.Locale.ROOT,
                "C,%.6f,%.6f,%.6f,x",
                local.east(),
                local.north(),
                local.level()));
  }
}
