package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.deliver.Parcel;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/**
 * Rooms and zones with a shape are things to be seen and levels that others stand in, both at once,
 * through every schema.
 */
class RoomsTravelTest extends DeliveredInTest {
  private static String model() {
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
        #6=IFCPROJECT(ID(PR),$,'Harbour works',$,$,$,$,(#3),#5);
        #7=IFCSITE(ID(SI),$,'North shore',$,$,#24,$,$,$,$,$,$,$,$);
        #8=IFCBUILDING(ID(BU),$,'Pump house',$,$,#24,$,$,$,$,$,$);
        #9=IFCBUILDINGSTOREY(ID(ST),$,'Ground floor',$,$,#24,$,$,$,$);
        #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)));
        #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
        #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
        #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
        #24=IFCLOCALPLACEMENT($,#2);
        #30=IFCSPACE(ID(R1),$,'Room','with a drain',$,#24,#23,'Pump room',$,.INTERNAL.,0.15);
        #31=IFCSPACE(ID(R2),$,'Room',$,$,#24,#23,'Store',$,.EXTERNAL.,$);
        #32=IFCSPACE(ID(R3),$,'Sump',$,'Pit',#24,#23,$,$,.USERDEFINED.,$);
        #33=IFCSPACE(ID(R4),$,'Void',$,$,#24,$,$,$,$,$);
        #34=IFCSPATIALZONE(ID(Z1),$,'Fire zone',$,$,#24,#23,'A',.FIRESAFETY.);
        #35=IFCFURNISHINGELEMENT(ID(D1),$,'Desk 1',$,$,#24,#23,$);
        #36=IFCFURNISHINGELEMENT(ID(D2),$,'Desk 2',$,$,#24,#23,$);
        #37=IFCPUMP(ID(PU),$,'Pump',$,$,#24,#23,$,$);
        #38=IFCALARM(ID(AL),$,'Bell',$,$,#24,#23,$,.BELL.);
        #39=IFCFOOTING(ID(FO),$,'Pad',$,$,#24,#23,$,$);
        #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7));
        #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#8));
        #42=IFCRELAGGREGATES(ID(r3),$,$,$,#8,(#9,#34));
        #43=IFCRELAGGREGATES(ID(r4),$,$,$,#9,(#30,#31));
        #44=IFCRELAGGREGATES(ID(r5),$,$,$,#30,(#32,#33));
        #45=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r6),$,$,$,(#35),#30);
        #46=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r7),$,$,$,(#36),#31);
        #47=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r8),$,$,$,(#37),#32);
        #48=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r9),$,$,$,(#38),#34);
        #49=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(ra),$,$,$,(#39),#9);
        #50=IFCSPACETYPE(ID(TY),$,'Wet room',$,$,$,$,$,$,.INTERNAL.,$);
        #51=IFCRELDEFINESBYTYPE(ID(s1),$,$,$,(#30),#50);
        #52=IFCZONE(ID(ZO),$,'Wet rooms',$,$,$);
        #53=IFCRELASSIGNSTOGROUP(ID(s2),$,$,$,(#30,#32),$,#52);
        #60=IFCPROPERTYSINGLEVALUE('Reference',$,IFCIDENTIFIER('P-01'),$);
        #61=IFCPROPERTYSET(ID(e1),$,'Pset_SpaceCommon',$,(#60));
        #62=IFCRELDEFINESBYPROPERTIES(ID(e2),$,$,$,(#30),#61);
        ENDSEC;
        END-ISO-10303-21;
        """
        .replaceAll("ID\\((..)\\)", "'00000000000000000000$1'");
  }

  private Received received() throws IOException {
    return IfcReader.read(Files.writeString(dir.resolve("b.ifc"), model()), Progress.NONE);
  }

  private Received sent(Received r, IfcSchema schema) throws IOException {
    DeliveryRun.Outcome there = run(onward(r, schema));
    assertThat(there.receipt().proof().differences()).isEmpty();
    assertThat(there.receipt().proof().findings()).noneMatch(Finding::isError);
    return IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
  }

  /** Ends of the GlobalIds of what a thing stands in, outermost first. */
  private static List<String> standsIn(Received r, String id) {
    return item(r, id).said().structure().stream().map(h -> h.globalId().substring(20)).toList();
  }

  private static Item byId(Received r, String end) {
    return r.items().stream()
        .filter(i -> i.said().globalId().endsWith(end))
        .findFirst()
        .orElseThrow();
  }

  @ParameterizedTest
  @EnumSource
  void roomsStayRoomsThroughEverySchemaAndBack(IfcSchema schema) throws IOException {
    Received first = received();
    Received there = sent(first, schema);
    Received back = sent(there, IfcSchema.IFC4);
    for (Received r : List.of(first, there, back)) {
      assertThat(r.items()).hasSize(first.items().size());
      for (String room : List.of("R1", "R2", "R3")) {
        assertThat(byId(r, room).said().entityClass().entity()).isEqualTo("IfcSpace");
      }
      assertThat(standsIn(r, "Desk 1")).containsExactly("BU", "ST", "R1");
      assertThat(standsIn(r, "Desk 2")).containsExactly("BU", "ST", "R2");
      assertThat(standsIn(r, "Pump")).containsExactly("BU", "ST", "R1", "R3");
      assertThat(byId(r, "R3").said().structure()).extracting(Holder::globalId).hasSize(3);
      assertThat(byId(r, "R1").said().groups())
          .extracting(Holder::name)
          .containsExactly("Wet rooms");
      assertThat(byId(r, "R1").said().attributes().get("LongName").show()).isEqualTo("Pump room");
      assertThat(byId(r, "R1").said().propertySets())
          .filteredOn(s -> s.name().equals("Pset_SpaceCommon"))
          .singleElement()
          .satisfies(s -> assertThat(s.values().get("Reference").show()).isEqualTo("P-01"));
      assertThat(r.root().orElseThrow().levels())
          .as("a room without a shape stays in the one around it")
          .anySatisfy(
              path ->
                  assertThat(path.stream().map(h -> h.globalId().substring(20)))
                      .containsExactly("BU", "ST", "R1", "R4"));
    }
    assertThat(byId(there, "R1").said().entityClass().type()).isEqualTo("INTERNAL");
    assertThat(byId(there, "R2").said().entityClass().type()).isEqualTo("EXTERNAL");
    assertThat(byId(back, "R2").said().entityClass())
        .isEqualTo(new EntityClass("IfcSpace", "EXTERNAL"));
  }

  @ParameterizedTest
  @EnumSource(names = {"IFC4", "IFC4X3"})
  void zonesStayWhereASchemaHasThem(IfcSchema schema) throws IOException {
    Received there = sent(received(), schema);
    assertThat(item(there, "Fire zone").said().entityClass())
        .isEqualTo(new EntityClass("IfcSpatialZone", "FIRESAFETY"));
    assertThat(standsIn(there, "Bell")).containsExactly("BU", "Z1");
  }

  @Test
  void aSchemaWithoutZonesHasThemAsTheirOwnWord() throws IOException {
    DeliveryRun.Outcome out = run(onward(received(), IfcSchema.IFC2X3));
    Received there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(item(there, "Fire zone").said().entityClass())
        .isEqualTo(new EntityClass("IfcBuildingElementProxy", "", "FIRESAFETY"));
    assertThat(out.receipt().proof().findings())
        .anyMatch(f -> f.message().contains("Fire zone was received as IfcSpatialZone"))
        .anyMatch(f -> f.message().contains("Bell stands in Fire zone"));
    assertThat(item(there, "Pad").said().entityClass())
        .as("where the type of a class has to be said")
        .isEqualTo(new EntityClass("IfcFooting", "NOTDEFINED"));
  }

  @Test
  void aTypeThatIsNotNamedIsNone() throws IOException {
    Path f = Files.writeString(dir.resolve("c.ifc"), model().replace("$,'Pit',#24", "$,$,#24"));
    Received r = IfcReader.read(f, Progress.NONE);
    assertThat(r.findings()).extracting(Finding::code).contains("ifc.type.wordless");
    assertThat(byId(sent(r, IfcSchema.IFC4), "R3").said().entityClass())
        .isEqualTo(new EntityClass("IfcSpace", "NOTDEFINED"));
  }

  @Test
  void aTypeThatItsTypeObjectNamesIsThatOne() throws IOException {
    String worded =
        model()
            .replace("$,'Pit',#24", "$,$,#24")
            .replace("(#30),#50)", "(#32),#50)")
            .replace("$,$,$,$,$,$,.INTERNAL.,$)", "$,$,$,$,$,'Shaft',.USERDEFINED.,$)");
    Received r = IfcReader.read(Files.writeString(dir.resolve("c.ifc"), worded), Progress.NONE);
    assertThat(byId(sent(r, IfcSchema.IFC4), "R3").said().entityClass())
        .isEqualTo(new EntityClass("IfcSpace", "USERDEFINED", "Shaft"));
  }

  @Test
  void roomsThatAreInEachOtherEndNothing() throws IOException {
    String circle =
        model()
            .replace("(#30,#31))", "(#31))")
            .replace("(#32,#33))", "(#32,#33)),!")
            .replace(",!;", ";\n#70=IFCRELAGGREGATES('0000000000000000000097',$,$,$,#32,(#30));");
    Received r = IfcReader.read(Files.writeString(dir.resolve("c.ifc"), circle), Progress.NONE);
    assertThat(run(onward(r, IfcSchema.IFC4)).receipt().proof().sent()).isEqualTo(r.items().size());
  }

  @ParameterizedTest
  @EnumSource
  void buildingsAndSitesWithAShapeAreThingsToo(IfcSchema schema) throws IOException {
    String shapes =
        model()
            .replace("'North shore',$,$,#24,$,", "'North shore',$,$,#24,#23,")
            .replace("'Pump house',$,$,#24,$,", "'Pump house',$,$,#24,#23,");
    Received r = IfcReader.read(Files.writeString(dir.resolve("c.ifc"), shapes), Progress.NONE);
    assertThat(item(r, "North shore").kind().surface()).as("a block is no ground").isFalse();
    Received there = sent(r, schema);
    assertThat(item(there, "Pump house").said().entityClass().entity()).isEqualTo("IfcBuilding");
    assertThat(item(there, "North shore").said().entityClass().entity())
        .isEqualTo(schema == IfcSchema.IFC2X3 ? "IfcBuildingElementProxy" : "IfcGeographicElement");
    assertThat(standsIn(there, "Desk 1")).containsExactly("BU", "ST", "R1");
    assertThat(item(there, "Pad").said().structure().getFirst().globalId()).endsWith("BU");
  }

  static Stream<Arguments> damages() {
    return Stream.of(
        damage("a desk in another room", t -> swapped(t, "IFCRELCONTAINEDINSPATIALSTRUCTURE")),
        damage("its number", t -> t.replace("'Pump room'", "'Pump hall'")),
        damage("its type", t -> t.replace(".EXTERNAL.", ".INTERNAL.")),
        damage("its name", t -> t.replace("'Sump'", "'Sumpf'")),
        damage(
            "its place",
            t -> t.replaceFirst("(?s)(.*IFCRELAGGREGATES\\([^\n]*),#[0-9]+\\)\\);", "$1));")),
        damage("what is said of it", t -> t.replace("'P-01'", "'P-02'")));
  }

  private static Arguments damage(String what, UnaryOperator<String> d) {
    return Arguments.of(what, d);
  }

  /** The first two relations of a kind, each with what the other relates. */
  private static String swapped(String t, String relation) {
    List<String> ends =
        java.util.regex.Pattern.compile(relation + "\\([^\n]*\\),(#[0-9]+)\\);")
            .matcher(t)
            .results()
            .map(m -> m.group(1))
            .toList();
    String a = ends.get(1);
    String b = ends.get(2);
    return t.replaceFirst("(" + relation + "\\([^\n]*\\)),(" + a + ")\\);", "$1,!);")
        .replaceFirst("(" + relation + "\\([^\n]*\\)),(" + b + ")\\);", "$1," + a + ");")
        .replace(",!);", "," + b + ");");
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("damages")
  void theProofFailsWhenARoomIsAltered(String what, UnaryOperator<String> damage)
      throws IOException {
    Parcel p = onward(received(), IfcSchema.IFC4);
    run(p);
    Path f = dir.resolve("a.ifc");
    String whole = Files.readString(f);
    String broken = damage.apply(whole);
    assertThat(broken).isNotEqualTo(whole);
    Files.writeString(f, broken);
    List<Difference> found =
        Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE).differences();
    assertThat(found).as(what).isNotEmpty();
  }
}
