package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.LandXmlFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.landxml.read.LandXmlReader;

/** Roads go as cross sections, pipes and chambers as networks, and arrive as what they were. */
class DesignsAsLandXmlTest {
  private static final Frame SHARED = Frame.of("EPSG:25832", "NN2000", new Position(0, 0, 0), 0);
  private static final Frame SITE =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 11), 33);

  private static final String NETWORKS =
      """
      <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
      <Units><Metric linearUnit="meter" diameterUnit="millimeter" widthUnit="millimeter" heightUnit="millimeter"/></Units>
      <PipeNetworks><PipeNetwork name="Storm" pipeNetType="storm"><Structs>
      <Struct name="A" elevRim="12" elevSump="9"><Center>6534500 412000</Center><CircStruct diameter="1000" thickness="150" material="concrete"/>
        <Invert elev="9.3" flowDir="out" refPipe="p1"/><Feature name="Client"><Property label="Asset" value="ä 7"/></Feature></Struct>
      <Struct name="B" elevRim="11.8"><Center>6534530 412010</Center><RectStruct length="1500" width="1000" lengthDir="0.4"/>
        <Invert elev="9.1" flowDir="in" refPipe="p1"/><Invert elev="9.05" flowDir="out" refPipe="p2"/><Invert elev="9.4" flowDir="out" refPipe="p4"/></Struct>
      <Struct name="C"><Center>6534560 412030</Center><Connection/><Invert elev="8.9" flowDir="in" refPipe="p2"/><Invert elev="8.9" flowDir="out" refPipe="p3"/></Struct>
      <Struct name="G" elevRim="11.7"><Center>6534530 412020</Center><InletStruct/><Invert elev="9.35" flowDir="in" refPipe="p4"/></Struct>
      <Struct name="O" elevRim="10"><Center>6534600 412030</Center><OutletStruct/><Invert elev="8.6" flowDir="in" refPipe="p3"/></Struct>
      </Structs><Pipes>
      <Pipe name="p1" refStart="A" refEnd="B"><CircPipe diameter="300" thickness="40" material="PVC" mannings="0.013"/></Pipe>
      <Pipe name="p2" refStart="B" refEnd="C"><EggPipe height="900" span="600"/></Pipe>
      <Pipe name="p3" refStart="C" refEnd="O" slope="0.75"><Channel height="400" widthTop="900" widthBottom="500"/></Pipe>
      <Pipe name="p4" refStart="B" refEnd="G"><RectPipe height="200" width="250" thickness="30"/></Pipe>
      </Pipes></PipeNetwork>
      <PipeNetwork name="Foul" pipeNetType="sanitary"><Structs>
      <Struct name="A" elevRim="12.5" elevSump="8"><Center>6534500 412008</Center><CircStruct diameter="1200"/><Invert elev="8.2" flowDir="out" refPipe="p1"/></Struct>
      <Struct name="Z" elevRim="12.5" elevSump="7.5"><Center>6534480 412050</Center><CircStruct diameter="1200"/><Invert elev="7.9" flowDir="in" refPipe="p1"/></Struct>
      </Structs><Pipes><Pipe name="p1" refStart="A" refEnd="Z"><ElliPipe height="400" span="600"/></Pipe></Pipes></PipeNetwork>
      </PipeNetworks></LandXML>
      """;

  @TempDir Path dir;

  private static Parcel parcel(List<Item> items, Frame frame, LinearUnit unit) {
    GlobalIds ids = new GlobalIds(new UUID(5, 6));
    LandXmlFormat format = new LandXmlFormat();
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      pieces.add(Packing.loosePiece(ids, ItemId.of("s", i), i, format, "f"));
    }
    return Packing.loose("p", format, frame, unit, ids, pieces);
  }

  private Proof deliver(List<Item> items, Frame frame, LinearUnit unit) throws IOException {
    Path file = dir.resolve("out.xml");
    Proof proof =
        DeliveryRun.run("d", parcel(items, frame, unit), file, Clock.systemUTC(), Progress.NONE)
            .receipt()
            .proof();
    if (proof.pass()) {
      LandXmlStructure.check(file);
    }
    return proof;
  }

  private static void whole(Proof proof, int items, Object seed) {
    assertThat(proof.findings().stream().filter(Finding::isError).map(Finding::message))
        .as("%s", seed)
        .isEmpty();
    assertThat(proof.arrived()).as("%s", seed).isEqualTo(items);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void anyRoadArrivesAsItWas(long seed) throws IOException {
    Random random = new Random(seed);
    Alignment axis = RandomDesigns.alignment(random);
    List<Item> parts = RandomDesigns.road(axis, random);
    List<Item> sent = new ArrayList<>(parts);
    sent.add(Item.alignment("Any", axis));
    Frame frame = seed % 2 == 0 ? SITE : SHARED;
    whole(
        deliver(sent, frame, seed % 3 == 0 ? LinearUnit.FOOT : LinearUnit.METRE),
        sent.size(),
        seed);
    if (!parts.isEmpty()) { // one of them alone, whose alignment goes for its sections only
      Item one = parts.get(random.nextInt(parts.size()));
      whole(deliver(List.of(one), frame, LinearUnit.METRE), 1, seed);
    }
  }

  /** Courses on both sides of two roads share their names, in the file and when it is sent on. */
  @Test
  void coursesKeepTheNamesThatTheyShare() throws IOException {
    StringBuilder design =
        new StringBuilder(
            "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><Metric linearUnit=\"meter\"/></Units><Alignments>");
    for (String road : List.of("First", "Second")) {
      design.append(
          "<Alignment name=\""
              + road
              + "\" length=\"50\" staStart=\"0\"><CoordGeom><Line><Start>0 0</Start><End>0 50</End></Line></CoordGeom><CrossSects>");
      for (int sta : new int[] {0, 50}) {
        design.append("<CrossSect sta=\"" + sta + "\">");
        for (int side : new int[] {-1, 1}) {
          design.append(
              "<DesignCrossSectSurf name=\"Base\" side=\""
                  + (side < 0 ? "left" : "right")
                  + "\" closedArea=\"true\"><CrossSectPnt>0 10</CrossSectPnt><CrossSectPnt>"
                  + 3 * side
                  + " 9.9</CrossSectPnt><CrossSectPnt>"
                  + 3 * side
                  + " 9.7</CrossSectPnt><CrossSectPnt>0 9.8</CrossSectPnt></DesignCrossSectSurf>");
        }
        design.append("</CrossSect>");
      }
      design.append("</CrossSects></Alignment>");
    }
    Path file = Files.writeString(dir.resolve("two.xml"), design + "</Alignments></LandXML>");
    List<Item> items = LandXmlReader.read(file, Progress.NONE).items();
    assertThat(items).extracting(Item::name).contains("Base", "Base (2)", "Base (3)", "Base (4)");
    whole(deliver(items, SHARED, LinearUnit.METRE), 6, "two");
    assertThat(Files.readString(dir.resolve("out.xml"))).doesNotContain("Base (2)");
    List<Item> some =
        items.stream().filter(i -> !i.name().equals("Base") && !i.name().equals("First")).toList();
    whole(deliver(some, SITE, LinearUnit.METRE), 4, "some"); // numbers have no first one there
  }

  private List<Item> networks() throws IOException {
    Path file = Files.writeString(dir.resolve("networks.xml"), NETWORKS);
    return LandXmlReader.read(file, Progress.NONE).items();
  }

  @ParameterizedTest
  @CsvSource({"false, METRE", "true, METRE", "false, MILLIMETRE", "true, FOOT"})
  void networksArriveAsTheyWere(boolean site, LinearUnit unit) throws IOException {
    List<Item> all = networks();
    assertThat(all).hasSize(11);
    whole(deliver(all, site ? SITE : SHARED, unit), 11, unit);
    assertThat(Files.readString(dir.resolve("out.xml")))
        .contains(
            "mannings=\"0.013\"", "value=\"ä 7\"", "<EggPipe", "<OutletStruct", "<Connection");
  }

  @Test
  void pipesTakeTheirChambersAlongAndChambersGoWithoutPipes() throws IOException {
    for (Item i : networks()) {
      whole(deliver(List.of(i), SITE, LinearUnit.METRE), 1, i.name());
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "sta=\"([\\d.]+)",
        "<CrossSectPnt[^>]*>(-?[\\d.]+)",
        "<CrossSectPnt[^>]*>-?[\\d.]+ (-?[\\d.]+)",
        "Surf name=\"([^\"]*)",
        "closedArea=\"(true)",
        "value=\"(AC[^\"]*)",
        "elevRim=\"([\\d.]+)",
        "<Center>([\\d.]+)",
        "diameter=\"([\\d.]+)",
        "lengthDir=\"([\\d.]+)",
        "elev=\"([\\d.]+)",
        "refPipe=\"([^\"]*)",
        "refEnd=\"([^\"]*)",
        "thickness=\"([\\d.]+)",
        "span=\"([\\d.]+)",
        "diameterUnit=\"(meter)",
        "mannings=\"([\\d.]+)",
        "<Struct name=\"([^\"]*)"
      })
  void whatIsDamagedIsSeen(String where) throws IOException {
    Random random = new Random(where.hashCode());
    Alignment axis = RandomDesigns.alignment(new Random(4));
    List<Item> items = new ArrayList<>(RandomDesigns.road(axis, new Random(4)));
    items.add(Item.alignment("Any", axis));
    items.addAll(networks());
    Parcel p = parcel(items, SHARED, LinearUnit.METRE);
    Carrier carrier = Carriers.of(p.format());
    Path file = dir.resolve("good.xml");
    carrier.write(p, Map.of(), file, "good.xml", Clock.systemUTC(), Progress.NONE);
    String position = PositionBeside.json(p, "good");
    String text = Files.readString(file);
    List<int[]> places = new ArrayList<>();
    Matcher m = Pattern.compile(where).matcher(text);
    while (m.find()) {
      places.add(new int[] {m.start(1), m.end(1)});
    }
    assertThat(places).isNotEmpty();
    for (int k = 0; k < 12; k++) {
      int[] at = places.get(random.nextInt(places.size()));
      String was = text.substring(at[0], at[1]);
      String other =
          was.equals("true")
              ? "false"
              : was.equals("meter")
                  ? "millimeter"
                  : was.matches("-?[\\d.]+")
                      ? Double.toString(Double.parseDouble(was) + 0.002 + random.nextDouble())
                      : was + "x";
      Path bad = dir.resolve("bad.xml");
      Files.writeString(
          bad, text.substring(0, at[0]) + other + text.substring(at[1]), StandardCharsets.UTF_8);
      Received arrived = carrier.readBack(p, bad, position, Progress.NONE);
      assertThat(Prover.compare(p, arrived, Progress.NONE).pass())
          .as("%s at %d instead of %s", other, at[0], was)
          .isFalse();
    }
  }
}
