package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.attribute.Attributes;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.network.PipeBody;
import wellspan.core.network.PipeSection;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.recipe.Sweep;
import wellspan.core.road.CrossSection;
import wellspan.core.road.DesignArea;
import wellspan.core.road.RoadItem;
import wellspan.core.road.RoadPart;
import wellspan.core.road.RoadParts;
import wellspan.core.road.SectionPoint;
import wellspan.core.road.SectionedBody;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.CarriedBody;
import wellspan.core.shape.Shape;
import wellspan.core.solid.Prism;
import wellspan.core.sweep.SectionShape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.landxml.read.LandXmlReader;

/** Bodies that go as outline and line arrive as what they are, and not where one is altered. */
class SweptBodiesTest {
  private static final IfcFormat SWEPT = new IfcFormat(IfcSchema.IFC4X3, true);
  private static final Frame SITE =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 11), 33);

  @TempDir Path dir;

  private static Parcel parcel(List<Item> items, LinearUnit unit) {
    return parcel(items, unit, SWEPT);
  }

  private static Parcel parcel(List<Item> items, LinearUnit unit, IfcFormat format) {
    GlobalIds ids = new GlobalIds(new UUID(5, 6));
    List<Parcel.Piece> pieces = new ArrayList<>();
    for (Item i : items) {
      pieces.add(Packing.loosePiece(ids, ItemId.of("s", i), i, format, "f"));
    }
    return Packing.loose("p", format, SITE, unit, ids, pieces);
  }

  private Path file() {
    return dir.resolve("out.ifc");
  }

  private Proof deliver(Parcel p) throws IOException {
    return DeliveryRun.run("d", p, file(), Clock.systemUTC(), Progress.NONE).receipt().proof();
  }

  private static List<String> errors(Proof proof) {
    return proof.findings().stream().filter(Finding::isError).map(Finding::message).toList();
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12, 13, 14, 15, 16, 17, 18, 19, 20})
  void anyRoadArrivesAsItWas(long seed) throws IOException {
    Random random = new Random(seed);
    Alignment axis = RandomDesigns.alignment(random);
    List<Item> sent = new ArrayList<>(RandomDesigns.road(axis, random));
    long swept = sent.stream().filter(i -> SWEPT.carried(i, SITE).isPresent()).count();
    if (random.nextBoolean()) { // before what is carried along it, behind it, or not at all
      sent.add(random.nextInt(sent.size() + 1), Item.alignment("Any", axis));
    }
    LinearUnit unit =
        List.of(LinearUnit.METRE, LinearUnit.MILLIMETRE, LinearUnit.FOOT).get((int) (seed % 3));
    Proof proof = deliver(parcel(sent, unit));
    assertThat(errors(proof)).as("%s", seed).isEmpty();
    assertThat(proof.arrived()).isEqualTo(sent.size());
    assertThat(count("IFCSECTIONEDSOLIDHORIZONTAL")).isEqualTo(swept);
  }

  @ParameterizedTest
  @ValueSource(longs = {1, 7, 13})
  void asTrianglesItArrivesInEverySchema(long seed) throws IOException {
    Random random = new Random(seed);
    Alignment axis = RandomDesigns.alignment(random);
    List<Item> sent = new ArrayList<>(RandomDesigns.road(axis, random));
    sent.add(Item.alignment("Any", axis));
    for (IfcSchema schema : IfcSchema.values()) {
      Proof proof = deliver(parcel(sent, LinearUnit.METRE, new IfcFormat(schema)));
      assertThat(errors(proof)).as("%s %s", schema, seed).isEmpty();
    }
  }

  private long count(String entity) throws IOException {
    return Pattern.compile("=" + entity + "\\(")
        .matcher(Files.readString(file()))
        .results()
        .count();
  }

  /** A lopsided kerb round a bend of twelve metres over a crest, with sections 10 m apart. */
  private static Item kerb(boolean profile) {
    PlanElement line = new PlanElement.Line(new PlanPoint(412_100, 6_534_600, 1.1), 20);
    PlanElement bend = new PlanElement.Arc(line.end(), 30, -12);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Alignment axis =
        new Alignment(
            "Return",
            List.of(line, bend),
            new Chainages(0, List.of()),
            profile
                ? Optional.of(
                    Profile.through(
                        "p",
                        List.of(
                            new Pvi(0, 14, none),
                            new Pvi(25, 15.5, new Pvi.Rounding.Parabola(10, 10)),
                            new Pvi(50, 14.2, none))))
                : Optional.empty());
    List<CrossSection> sections = new ArrayList<>();
    for (int d = 0; d <= 50; d += 10) {
      double z = profile ? axis.at(d).level() : 14;
      List<SectionPoint> outline =
          List.of(
              new SectionPoint(3, z, ""),
              new SectionPoint(3.3, z + 0.02, ""),
              new SectionPoint(3.3 + d * d / 50_000.0, z - 0.4, ""),
              new SectionPoint(3, z - 0.3, ""));
      DesignArea area =
          new DesignArea("Kerb", "right", "granite", "", DesignArea.Form.AREA, 0, outline);
      sections.add(new CrossSection(d, 0, List.of(area)));
    }
    List<Finding> findings = new ArrayList<>();
    RoadPart part = RoadParts.of(axis, sections, findings).getFirst();
    return RoadItem.of("Return", axis, part, "Kerb", Stop.RECEIVE, findings).orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({"true, METRE", "false, METRE", "true, MILLIMETRE", "false, FOOT"})
  void theBodyThatArrivesEnclosesTheExactVolume(boolean profile, LinearUnit unit)
      throws IOException {
    Item kerb = kerb(profile);
    CarriedBody body = SWEPT.carried(kerb, SITE).orElseThrow();
    assertThat(body).isInstanceOf(SectionedBody.class);
    Parcel p = parcel(List.of(kerb), unit);
    assertThat(errors(deliver(p))).isEmpty();
    Mesh arrived = readBack(p).items().getFirst().triangles().orElseThrow();
    assertThat(arrived.isClosed()).isTrue();
    assertThat(arrived.volume() / body.volume() - 1).isBetween(-1e-3, 1e-3);
  }

  /** One section all along a crest and a bend of forty metres, leaning, on either side. */
  @ParameterizedTest
  @EnumSource
  void aSectionSweptAlongAnAlignmentArrivesAsOutlinesToo(SectionShape section) throws IOException {
    PlanElement line = new PlanElement.Line(new PlanPoint(412_100, 6_534_600, 1.1), 20);
    PlanElement bend = new PlanElement.Arc(line.end(), 50, -40);
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile crest =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 14, none),
                new Pvi(30, 16, new Pvi.Rounding.Parabola(20, 20)),
                new Pvi(70, 13, none)));
    Item axis =
        Item.alignment(
            "A",
            new Alignment(
                "A", List.of(line, bend), new Chainages(500, List.of()), Optional.of(crest)));
    double side = section.ordinal() % 2 == 0 ? 4 : -4;
    ItemId no = new ItemId("");
    Item swept =
        new Sweep("S", ItemId.of("s", axis), section, no, side, 0.1, 2.5, 505, 562, no, 0, 0, "")
            .make(id -> axis, Progress.NONE)
            .items()
            .getFirst();
    LinearUnit unit = section.ordinal() % 3 == 0 ? LinearUnit.FOOT : LinearUnit.METRE;
    Parcel p = parcel(List.of(axis, swept), unit);
    assertThat(errors(deliver(p))).isEmpty();
    assertThat(count("IFCSECTIONEDSOLIDHORIZONTAL")).isEqualTo(1);
    Mesh arrived = readBack(p).items().get(1).triangles().orElseThrow();
    double made = swept.shape().within(1e-4).triangles().orElseThrow().volume();
    assertThat(arrived.isClosed()).isTrue();
    assertThat(arrived.volume() / made - 1).isBetween(-1e-3, 1e-3);
  }

  private Item pipe(double rise) throws IOException {
    String design =
        """
        <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
        <Units><Metric linearUnit="meter" diameterUnit="meter"/></Units>
        <PipeNetworks><PipeNetwork name="Storm" pipeNetType="storm"><Structs>
        <Struct name="A" elevRim="30" elevSump="7"><Center>6534520 412010</Center><CircStruct diameter="1"/>
          <Invert elev="8" flowDir="out" refPipe="p1"/></Struct>
        <Struct name="B" elevRim="30" elevSump="7"><Center>6534560 412040</Center><CircStruct diameter="1"/>
          <Invert elev="%s" flowDir="in" refPipe="p1"/></Struct></Structs>
        <Pipes><Pipe name="p1" refStart="A" refEnd="B"><CircPipe diameter="0.3" thickness="0.04"/></Pipe></Pipes>
        </PipeNetwork></PipeNetworks></LandXML>
        """
            .formatted(8 + rise);
    return LandXmlReader.read(Files.writeString(dir.resolve("pipe.xml"), design), Progress.NONE)
        .items()
        .stream()
        .filter(i -> i.kind().is(Kind.of("pipe")))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @ValueSource(doubles = {0, -0.4, 12})
  void aRoundPipeIsAHollowCircleAlongItsAxis(double rise) throws IOException {
    Proof proof = deliver(parcel(List.of(pipe(rise)), LinearUnit.MILLIMETRE));
    assertThat(errors(proof)).isEmpty();
    assertThat(count("IFCCIRCLEHOLLOWPROFILEDEF")).isEqualTo(1);
    assertThat(proof.maxDeviation()).isLessThan(1e-6);
  }

  /** A court with a yard in it, 400 m² less 36 m², raised by 2.5 m. */
  private static Item block() {
    double e = 412_030, n = 6_534_560, h = 12.25;
    double[] outer = {e, n, h, e + 20, n, h, e + 20, n + 20, h, e, n + 20, h};
    double[] yard = {e + 5, n + 5, h, e + 5, n + 11, h, e + 11, n + 11, h, e + 11, n + 5, h};
    return new Item(
        "Court",
        Kind.of("block"),
        Shape.Faces.of(new Prism(List.of(outer, yard), 2.5), 0.01),
        Attributes.ofMaterial("concrete"));
  }

  @ParameterizedTest
  @EnumSource(
      value = LinearUnit.class,
      names = {"METRE", "MILLIMETRE", "FOOT"})
  void aFootprintIsRaisedWithItsYard(LinearUnit unit) throws IOException {
    Parcel p = parcel(List.of(block()), unit);
    assertThat(errors(deliver(p))).isEmpty();
    assertThat(count("IFCARBITRARYPROFILEDEFWITHVOIDS")).isEqualTo(1);
    assertThat(count("IFCTRIANGULATEDFACESET")).isZero();
    Mesh arrived = readBack(p).items().getFirst().triangles().orElseThrow();
    assertThat(arrived.isClosed()).isTrue();
    assertThat(arrived.volume()).isCloseTo(364 * 2.5, within(1e-4));
    assertThat(arrived.bounds().minH()).isCloseTo(12.25, within(1e-6));
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "IFCEXTRUDEDAREASOLID\\(#\\d+,#\\d+,#\\d+,([0-9.]+)\\); 0.01",
        "IFCCARTESIANPOINT\\(\\(([0-9]+\\.[0-9]+),; 0.01",
        "IFCCARTESIANPOINT\\(\\(0\\.,0\\.,([0-9.]+)\\); 0.01"
      })
  void aRaisedFootprintWithOneNumberAlteredFailsTheProof(String pattern, double by)
      throws IOException {
    Parcel p = parcel(List.of(block()), LinearUnit.METRE);
    deliver(p);
    alter(pattern, by);
    assertThat(errors(prove(p))).isNotEmpty();
  }

  private void alter(String pattern, double by) throws IOException {
    String text = Files.readString(file());
    MatchResult at = Pattern.compile(pattern).matcher(text).results().findFirst().orElseThrow();
    double changed = Double.parseDouble(at.group(1)) + by;
    Files.writeString(file(), text.substring(0, at.start(1)) + changed + text.substring(at.end(1)));
  }

  /** Each of these is one number of the file, changed by so much. */
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      value = {
        "IFCCARTESIANPOINT\\(\\((-3\\.[0-9]+),; 0.003; corner",
        "IFCPOINTBYDISTANCEEXPRESSION\\(IFCLENGTHMEASURE\\((10\\.)\\); 0.05; corner",
        "IFCPOINTBYDISTANCEEXPRESSION\\(IFCLENGTHMEASURE\\((50\\.)\\); -0.05; corner",
        "IFCCIRCLE\\(#\\d+,([0-9.]+)\\); 0.01; corner"
      })
  void oneNumberAlteredFailsTheProof(String pattern, double by, String told) throws IOException {
    Parcel p = parcel(List.of(kerb(true)), LinearUnit.METRE);
    assertThat(errors(deliver(p))).isEmpty();
    alter(pattern, by);
    assertThat(errors(prove(p))).anySatisfy(m -> assertThat(m).contains(told));
  }

  @Test
  void aSectionLeftOutFailsTheProof() throws IOException {
    Parcel p = parcel(List.of(kerb(true)), LinearUnit.METRE);
    deliver(p);
    String text = Files.readString(file());
    MatchResult solid =
        Pattern.compile("IFCSECTIONEDSOLIDHORIZONTAL\\((#\\d+),\\(([^)]*)\\),\\(([^)]*)\\)\\)")
            .matcher(text)
            .results()
            .findFirst()
            .orElseThrow();
    String without =
        "IFCSECTIONEDSOLIDHORIZONTAL("
            + solid.group(1)
            + ",("
            + fewer(solid.group(2))
            + "),("
            + fewer(solid.group(3))
            + "))";
    Files.writeString(file(), text.replace(solid.group(), without));
    // its reader takes a twisted stretch in steps, and three corners lie straight between their
    // neighbours: only the fourth tells
    assertThat(errors(prove(p)))
        .anySatisfy(m -> assertThat(m).contains("1 corners of its outlines did not arrive"));
  }

  /** A list without its fourth entry. */
  private static String fewer(String list) {
    List<String> all = new ArrayList<>(List.of(list.split(",")));
    all.remove(3);
    return String.join(",", all);
  }

  private Proof prove(Parcel p) throws IOException {
    return Prover.compare(p, readBack(p), Progress.NONE);
  }

  private Received readBack(Parcel p) throws IOException {
    return Carriers.of(SWEPT).readBack(p, file(), "", Progress.NONE);
  }

  @ParameterizedTest
  @CsvSource({"0.19,0.195", "0.04,0.045"})
  void aPipeOfOtherMeasuresFailsTheProof(String written, String altered) throws IOException {
    Parcel p = parcel(List.of(pipe(-0.4)), LinearUnit.METRE);
    deliver(p);
    String text = Files.readString(file());
    String profile =
        text.lines().filter(l -> l.contains("IFCCIRCLEHOLLOWPROFILEDEF")).findFirst().orElseThrow();
    assertThat(profile).contains(written);
    Files.writeString(file(), text.replace(profile, profile.replace(written, altered)));
    assertThat(errors(prove(p))).isNotEmpty();
  }

  @Test
  void whatHasNoOutlineAlongALineGoesAsTriangles() {
    Item box = Item.alignment("Any", RandomDesigns.alignment(new Random(3)));
    assertThat(SWEPT.carried(box, SITE)).isEmpty();
    assertThat(new IfcFormat(IfcSchema.IFC4X3).carried(kerb(true), SITE)).isEmpty();
    Position top = new Position(412_010, 6_534_520, 9);
    Position foot = new Position(412_010, 6_534_520, 4);
    assertThat(new PipeBody(new PipeSection.Circle(0.3), 0.04, top, foot, 0).isRound()).isFalse();
  }
}
