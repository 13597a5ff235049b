package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.function.UnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Holder;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.Condition;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruling;
import wellspan.core.rulebook.Subject;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.Shape;
import wellspan.core.unit.LinearUnit;
import wellspan.exchange.ifc.read.IfcReader;

/** Where in the structure things stand: by road, as received, by a rule; through every schema. */
class StructureTravelsTest extends DeliveredInTest {
  private static Mesh block(double east) {
    double e = 412_150 + east, n = 6_534_650, h = 12;
    return new Mesh(
        new double[] {e, n, h, e + 2, n, h, e, n + 2, h, e, n, h + 2},
        new int[] {0, 2, 1, 0, 1, 3, 0, 3, 2, 1, 2, 3});
  }

  private static Item course(String name, double east, String road) {
    return Item.of(name, Kind.of("course"), new Shape.Faces(block(east))).on(road);
  }

  private static Parcel parcel(
      IfcSchema schema, ProjectInfo info, Rulebook book, List<Item> items) {
    Ruling ruling = new Ruling(book, schema);
    return Packing.loose(
        "p",
        info,
        new IfcFormat(schema),
        FRAME,
        LinearUnit.METRE,
        IDS,
        items.stream()
            .map(
                i ->
                    Packing.loosePiece(
                        IDS,
                        ItemId.of("s", i),
                        i,
                        new IfcFormat(schema),
                        "f.xml",
                        book,
                        ruling.of(Subject.of(i, "f.xml"))))
            .toList());
  }

  /** The names of the levels, outermost first. */
  private String levels(Received r, String item) {
    return String.join(
        " / ",
        r.items().stream()
            .filter(i -> i.name().equals(item))
            .findFirst()
            .orElseThrow()
            .said()
            .structure()
            .stream()
            .map(Holder::toString)
            .toList());
  }

  private Received delivered(Parcel p) throws IOException {
    DeliveryRun.Outcome o = run(p);
    assertThat(o.receipt().proof().differences()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    return IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
  }

  private static List<Item> twoRoads() {
    Item road = DeliveredItems.road();
    return List.of(
        road,
        DeliveredItems.road().named("Link"),
        course("Base", 0, road.name()),
        course("Link base", 10, "Link"),
        course("Apron", 20, "elsewhere"),
        DeliveredItems.ground());
  }

  @Test
  void eachRoadIsASegmentOfItsOwn() throws IOException {
    Received r = delivered(parcel(IfcSchema.IFC4X3, ProjectInfo.NONE, Rulebook.NONE, twoRoads()));
    assertThat(levels(r, "Base"))
        .isEqualTo(
            "Road (IfcRoad) / Road segment (IfcRoadPart ROADSEGMENT) / Road carriageway (IfcRoadPart CARRIAGEWAY) / Road pavement (IfcPavement NOTDEFINED)");
    assertThat(levels(r, "Link base"))
        .isEqualTo(
            "Road (IfcRoad) / Link segment (IfcRoadPart ROADSEGMENT) / Link carriageway (IfcRoadPart CARRIAGEWAY) / Link pavement (IfcPavement NOTDEFINED)");
    assertThat(levels(r, "Apron"))
        .as("of no road that is known")
        .isEqualTo(
            "Road (IfcRoad) / Road segment (IfcRoadPart ROADSEGMENT) / elsewhere pavement (IfcPavement NOTDEFINED)");
    assertThat(levels(r, DeliveredItems.ground().name())).isEmpty();
  }

  @Test
  void roadsArePartsOfAWorkThatIsNamed() throws IOException {
    ProjectInfo info = new ProjectInfo("", "", "", "", "", "Harbour access");
    Received r = delivered(parcel(IfcSchema.IFC4X3, info, Rulebook.NONE, twoRoads()));
    assertThat(levels(r, "Link base"))
        .isEqualTo(
            "Harbour access (IfcRoad) / Link segment (IfcRoadPart ROADSEGMENT) / Link carriageway (IfcRoadPart CARRIAGEWAY) / Link pavement (IfcPavement NOTDEFINED)");
    assertThat(levels(r, "Apron"))
        .isEqualTo(
            "Harbour access (IfcRoad) / Road segment (IfcRoadPart ROADSEGMENT) / elsewhere pavement (IfcPavement NOTDEFINED)");
  }

  @ParameterizedTest
  @EnumSource
  void earlierSchemasKeepAllOfItInTheSite(IfcSchema schema) throws IOException {
    Received r = delivered(parcel(schema, ProjectInfo.NONE, Rulebook.NONE, twoRoads()));
    assertThat(levels(r, "Base").isEmpty()).isEqualTo(schema != IfcSchema.IFC4X3);
  }

  @ParameterizedTest
  @CsvSource({
    "IFC4X3, Road (IfcRoad) / Link segment (IfcRoadPart ROADSEGMENT) / Footways (IfcRoadPart SIDEWALK) / Link pavement (IfcPavement NOTDEFINED)",
    "IFC4, Link segment (IfcBuilding) / Footways (IfcBuildingStorey (SIDEWALK))",
    "IFC2X3, Link segment (IfcBuilding) / Footways (IfcBuildingStorey (SIDEWALK))"
  })
  void aRulePlacesThingsInAPartOfTheirOwnRoad(IfcSchema schema, String expected)
      throws IOException {
    ClassRule rule =
        new ClassRule(
            "footways",
            List.of(Condition.fact("name", List.of("Link base"))),
            Map.of(),
            new ClassRule.PartOf("", "", "Footways", "SIDEWALK"),
            false,
            false);
    Received r =
        delivered(
            parcel(schema, ProjectInfo.NONE, Rulebook.NONE.withClasses(List.of(rule)), twoRoads()));
    assertThat(levels(r, "Link base")).isEqualTo(expected);
  }

  @Test
  void aRuleMayNameTheWorkAndATypeOfItsOwn() throws IOException {
    ClassRule rule =
        new ClassRule(
            "quay",
            List.of(Condition.fact("name", List.of("Apron"))),
            Map.of(),
            new ClassRule.PartOf("North quay", "IfcMarineFacility", "Apron", "QUAYAPRON"),
            false,
            false);
    Rulebook book = Rulebook.NONE.withClasses(List.of(rule));
    assertThat(
            levels(
                delivered(parcel(IfcSchema.IFC4X3, ProjectInfo.NONE, book, twoRoads())), "Apron"))
        .isEqualTo(
            "North quay (IfcMarineFacility) / Apron (IfcMarinePart USERDEFINED (QUAYAPRON)) / elsewhere pavement (IfcPavement NOTDEFINED)");
  }

  /** Two storeys of one name in two buildings, one of them with a part of a whole. */
  private static String building() {
    return """
        ISO-10303-21;
        HEADER;
        FILE_DESCRIPTION((''),'2;1');
        FILE_NAME('b.ifc','2026-11-20T10:00:00',(''),(''),'','','');
        FILE_SCHEMA(('IFC4'));
        ENDSEC;
        DATA;
        #1=IFCCARTESIANPOINT((0.,0.,0.));
        #2=IFCAXIS2PLACEMENT3D(#1,$,$);
        #3=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-6,#2,$);
        #4=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
        #5=IFCUNITASSIGNMENT((#4));
        #6=IFCPROJECT('0000000000000000000001',$,'P',$,$,$,$,(#3),#5);
        #7=IFCSITE('0000000000000000000002',$,'S',$,$,$,$,$,$,$,$,$,$,$);
        #8=IFCBUILDING('0000000000000000000003',$,'Pump house',$,$,$,$,$,$,$,$,$);
        #9=IFCBUILDING('0000000000000000000004',$,'Gatehouse',$,$,$,$,$,$,$,$,$);
        #10=IFCBUILDINGSTOREY('0000000000000000000005',$,'Ground floor',$,$,$,$,$,$,0.);
        #11=IFCBUILDINGSTOREY('0000000000000000000006',$,'Ground floor',$,$,$,$,$,$,0.);
        #12=IFCSPACE('0000000000000000000007',$,$,$,$,$,$,$,$,$,$);
        #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)));
        #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
        #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
        #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
        #24=IFCLOCALPLACEMENT($,#2);
        #30=IFCWALL('0000000000000000000011',$,'Wall A',$,$,#24,#23,$,$);
        #31=IFCWALL('0000000000000000000012',$,'Wall B',$,$,#24,#23,$,$);
        #32=IFCSTAIR('0000000000000000000013',$,'Stair',$,$,#24,$,$,$);
        #33=IFCRAILING('0000000000000000000014',$,'Handrail',$,$,#24,#23,$,$);
        #34=IFCFURNITURE('0000000000000000000015',$,'Bench',$,$,#24,#23,$,$);
        #40=IFCRELAGGREGATES('0000000000000000000021',$,$,$,#6,(#7));
        #41=IFCRELAGGREGATES('0000000000000000000022',$,$,$,#7,(#8,#9));
        #42=IFCRELAGGREGATES('0000000000000000000023',$,$,$,#8,(#10));
        #43=IFCRELAGGREGATES('0000000000000000000024',$,$,$,#9,(#11));
        #44=IFCRELAGGREGATES('0000000000000000000025',$,$,$,#11,(#12));
        #45=IFCRELAGGREGATES('0000000000000000000026',$,$,$,#32,(#33));
        #46=IFCRELCONTAINEDINSPATIALSTRUCTURE('0000000000000000000027',$,$,$,(#30),#10);
        #47=IFCRELCONTAINEDINSPATIALSTRUCTURE('0000000000000000000028',$,$,$,(#31,#32),#11);
        #48=IFCRELCONTAINEDINSPATIALSTRUCTURE('0000000000000000000029',$,$,$,(#34),#12);
        ENDSEC;
        END-ISO-10303-21;
        """;
  }

  @ParameterizedTest
  @EnumSource
  void buildingsAndStoreysTravelAsReceived(IfcSchema schema) throws IOException {
    Path file = Files.writeString(dir.resolve("b.ifc"), building());
    Received read = IfcReader.read(file, Progress.NONE);
    Received r = delivered(parcel(schema, ProjectInfo.NONE, Rulebook.NONE, read.items()));
    for (Received some : List.of(read, r)) {
      assertThat(levels(some, "Wall A"))
          .isEqualTo("Pump house (IfcBuilding) / Ground floor (IfcBuildingStorey)");
      assertThat(levels(some, "Wall B"))
          .isEqualTo("Gatehouse (IfcBuilding) / Ground floor (IfcBuildingStorey)");
      assertThat(levels(some, "Handrail"))
          .as("in the stair, which has no shape of its own")
          .startsWith("Gatehouse (IfcBuilding) / Ground floor (IfcBuildingStorey) / Stair (")
          .containsAnyOf("(IfcStair)", "(IfcElementAssembly USERDEFINED (Stair))");
      assertThat(levels(some, "Bench"))
          .isEqualTo(
              "Gatehouse (IfcBuilding) / Ground floor (IfcBuildingStorey) / Space #12 (IfcSpace)");
    }
  }

  @Test
  void aCircleInTheStructureEnds() throws IOException {
    String circle =
        building()
            .replace(
                "$,$,$,#6,(#7));",
                "$,$,$,#6,(#7));\n#50=IFCRELAGGREGATES('0000000000000000000031',$,$,$,#12,(#9));");
    Received read = IfcReader.read(Files.writeString(dir.resolve("c.ifc"), circle), Progress.NONE);
    assertThat(levels(read, "Wall A")).startsWith("Pump house");
    assertThat(levels(read, "Bench")).contains("Space #12");
  }

  private Proof damaged(Parcel p, UnaryOperator<String> damage) throws IOException {
    run(p);
    Path f = dir.resolve("a.ifc");
    String whole = Files.readString(f);
    String broken = damage.apply(whole);
    assertThat(broken).isNotEqualTo(whole);
    return Prover.compare(
        p, IfcReader.read(Files.writeString(f, broken), Progress.NONE), Progress.NONE);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "(IFCROADPART\\([^;]*)'Link segment'|$1'Lank'",
        "\\.ROADSEGMENT\\.|.CARRIAGEWAY.",
        "(IFCRELCONTAINEDINSPATIALSTRUCTURE[^;]*),#\\d+\\)|$1,#1)",
        "IFCROADPART\\(|IFCBRIDGEPART("
      })
  void whatStandsElsewhereInTheFileIsADifference(String from, String to) throws IOException {
    Parcel p = parcel(IfcSchema.IFC4X3, ProjectInfo.NONE, Rulebook.NONE, twoRoads());
    Proof proof = damaged(p, s -> s.replaceAll(from, to));
    assertThat(proof.pass()).isFalse();
    assertThat(proof.differences()).anyMatch(d -> d.what() == Difference.What.STRUCTURE);
  }
}
