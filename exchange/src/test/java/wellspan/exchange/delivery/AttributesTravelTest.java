package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Content;
import wellspan.core.deliver.Coverage;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.DxfFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.intake.Intake;

/** What a received item says of itself arrives in every format that can carry it. */
class AttributesTravelTest {
  private static final String ID = "0abcdefghijklmnopqrs01";
  private static final Frame FRAME =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 0);

  @TempDir Path dir;

  /** A file with one thing and what it says. */
  private enum From {
    IFC {
      @Override
      Path write(Path dir) throws IOException {
        double[] xyz = new double[24];
        for (int v = 0; v < 8; v++) {
          xyz[3 * v] = 412_010 + 4 * (v % 2);
          xyz[3 * v + 1] = 6_534_510 + 2.0 * (v / 2 % 2);
          xyz[3 * v + 2] = 1 + v / 4;
        }
        int[] t = {
          0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6,
          1, 3, 5, 3, 7, 5
        };
        Item kerb =
            Item.body("Kerb", new Mesh(xyz, t), Band.EDGES)
                .on("kerbs")
                .saying(
                    new Description(
                        new EntityClass("IfcKerb", "NOTDEFINED"),
                        ID,
                        List.of(set("Client")),
                        java.util.Optional.of(new Finish("granite", 0x8090A0))));
        Path f = dir.resolve("kerb.ifc");
        deliver(List.of(kerb), new IfcFormat(IfcSchema.IFC4X3), f);
        return f;
      }
    },
    DXF {
      @Override
      Path write(Path dir) throws IOException {
        String[] groups = {
          "0|SECTION",
          "2|HEADER",
          "9|$ACADVER",
          "1|AC1015",
          "9|$INSUNITS",
          "70|6",
          "0|ENDSEC",
          "0|SECTION",
          "2|BLOCKS",
          "0|BLOCK",
          "8|0",
          "2|KERB",
          "70|2",
          "10|0",
          "20|0",
          "0|LINE",
          "8|0",
          "10|0",
          "20|0",
          "30|0",
          "11|5",
          "21|0",
          "31|0",
          "0|ENDBLK",
          "8|0",
          "0|ENDSEC",
          "0|SECTION",
          "2|ENTITIES",
          "0|INSERT",
          "8|kerbs",
          "2|KERB",
          "66|1",
          "10|412010",
          "20|6534510",
          "30|3",
          "0|ATTRIB",
          "8|kerbs",
          "2|Status",
          "1|new",
          "10|0",
          "20|0",
          "0|SEQEND",
          "0|ENDSEC",
          "0|EOF"
        };
        Path f = dir.resolve("kerb.dxf");
        Files.writeString(f, String.join("\n", groups).replace('|', '\n') + "\n");
        return f;
      }
    },
    FEATURES {
      @Override
      Path write(Path dir) throws IOException {
        Path f = dir.resolve("kerb.geojson");
        Files.writeString(
            f,
            """
            {"type":"FeatureCollection","crs":{"type":"name","properties":{"name":"urn:ogc:def:crs:EPSG::25832"}},
             "features":[{"type":"Feature","properties":{"name":"Kerb","Status":"new"},
             "geometry":{"type":"LineString","coordinates":[[412010,6534510,3],[412020,6534510,3]]}},
             {"type":"Feature","properties":{"name":"Other","Status":"old"},
             "geometry":{"type":"LineString","coordinates":[[412010,6534520,3],[412020,6534520,3]]}}]}
            """);
        return f;
      }
    };

    abstract Path write(Path dir) throws IOException;
  }

  private static PropertySet set(String name) {
    return new PropertySet(name, Map.of("Status", new PropertyValue.Label("new")));
  }

  static Stream<Arguments> pairs() {
    return Stream.of(From.values())
        .flatMap(f -> DeliveryFormat.all().stream().map(to -> Arguments.of(f, to)));
  }

  private static DeliveryRun.Outcome deliver(List<Item> items, DeliveryFormat to, Path file)
      throws IOException {
    GlobalIds ids = new GlobalIds(new UUID(1, 2));
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      if (to.carries(i)) {
        pieces.add(Packing.loosePiece(ids, ItemId.of("s", i), i, to, "f"));
      }
    }
    if (pieces.isEmpty()) {
      return null;
    }
    return DeliveryRun.run(
        "d",
        Packing.loose("p", to, FRAME, LinearUnit.METRE, ids, pieces),
        file,
        Clock.systemUTC(),
        Progress.NONE);
  }

  @ParameterizedTest
  @MethodSource("pairs")
  void whatIsSaidOfAnItemTravels(From from, DeliveryFormat to) throws IOException {
    Received sent = Intake.read(from.write(dir), Progress.NONE);
    assertThat(sent.items()).isNotEmpty();
    Path file = dir.resolve("out" + to.ending());
    DeliveryRun.Outcome o = deliver(sent.items(), to, file);
    if (o == null) {
      assertThat(sent.items()).noneMatch(to::carries);
      return;
    }
    assertThat(o.receipt().proof().pass()).as(o.receipt().proof().findings().toString()).isTrue();
    Received arrived = Intake.read(file, Progress.NONE);
    Coverage c = Coverage.of(to.id());
    boolean plain = Stream.of(Content.PROPERTIES, Content.LAYERS, Content.IDS).noneMatch(c::proves);
    for (Item item : plain ? List.<Item>of() : sent.items()) {
      if (!to.carries(item)) {
        continue;
      }
      Item there = there(arrived, item, to);
      if (c.proves(Content.PROPERTIES)) {
        assertThat(statuses(there)).as(to.id()).isEqualTo(statuses(item)).isNotEmpty();
      }
      if (c.proves(Content.LAYERS) && !item.layer().isEmpty()) {
        assertThat(there.layer().toLowerCase(Locale.ROOT)).isEqualTo(item.layer());
      }
      if (c.proves(Content.IDS) && !item.said().globalId().isEmpty()) {
        assertThat(there.said().globalId()).isEqualTo(ID);
      }
      if (c.proves(Content.MATERIALS) && item.said().finish().isPresent()) {
        assertThat(there.attributes().material()).isEqualTo("granite");
      }
      if (to.id().equals("IFC4X3") && from == From.IFC) {
        assertThat(there.said().entityClass().entity()).isEqualTo("IfcKerb");
      }
    }
  }

  /** The arrived item that stands for a sent one. */
  private static Item there(Received arrived, Item sent, DeliveryFormat to) {
    boolean drawing = to instanceof DxfFormat;
    return arrived.items().stream()
        .filter(i -> i.shape().getClass().equals(sent.shape().getClass()))
        .filter(
            i ->
                drawing
                    ? sent.layer().isEmpty() || i.layer().equalsIgnoreCase(sent.layer())
                    : i.name().equals(sent.name()))
        .findFirst()
        .orElseThrow();
  }

  private static List<String> statuses(Item item) {
    return item.said().propertySets().stream()
        .flatMap(s -> s.values().entrySet().stream())
        .filter(e -> e.getKey().equals("Status"))
        .map(e -> e.getValue().show())
        .toList();
  }
}
