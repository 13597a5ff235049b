package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/**
 * What entities say in words of a list: how a door opens, where a truss is put together; and types
 * that IFC2x3 has under other names.
 */
class LiteralsTravelTest extends DeliveredInTest {
  private static final String HEAD =
      """
      ISO-10303-21;
      HEADER;
      FILE_DESCRIPTION((''),'2;1');
      FILE_NAME('b.ifc','2026-11-20T10:00:00',(''),(''),'','','');
      FILE_SCHEMA(('%s'));
      ENDSEC;
      DATA;
      #1=IFCCARTESIANPOINT((0.,0.,0.));
      #2=IFCAXIS2PLACEMENT3D(#1,$,$);
      #3=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-6,#2,$);
      #4=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
      #9=IFCSIUNIT(*,.AREAUNIT.,$,.SQUARE_METRE.);
      #5=IFCUNITASSIGNMENT((#4,#9));
      #6=IFCPROJECT(ID(PR),$,'Harbour works',$,$,$,$,(#3),#5);
      #7=IFCSITE(ID(SI),$,'North shore',$,$,#24,$,$,$,$,$,$,$,$);
      #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
      #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
      #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
      #24=IFCLOCALPLACEMENT($,#2);
      """;

  private static final String CORNERS = "((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.))";

  private static final String HOUSE =
      HEAD.formatted("IFC4")
          + """
          #20=IFCCARTESIANPOINTLIST3D(CORNERS);
          #8=IFCBUILDING(ID(BU),$,'Pump house',$,$,#24,$,$,.COMPLEX.,$,$,$);
          #10=IFCBUILDINGSTOREY(ID(ST),$,'Ground floor',$,$,#24,$,$,.PARTIAL.,$);
          #30=IFCSTAIR(ID(E1),$,'Stair',$,$,#24,#23,$,.SPIRAL_STAIR.);
          #31=IFCROOF(ID(E2),$,'Roof',$,'Sawtooth',#24,#23,$,.USERDEFINED.);
          #32=IFCRAMP(ID(E3),$,'Ramp',$,$,#24,#23,$,$);
          #33=IFCREINFORCINGBAR(ID(E4),$,'Bar',$,$,#24,#23,$,'B500',0.016,0.000201,0.5,.SHEAR.,.TEXTURED.);
          #34=IFCREINFORCINGBAR(ID(E5),$,'Thin bar',$,$,#24,#23,$,$,$,$,$,.MAIN.,$);
          #35=IFCELEMENTASSEMBLY(ID(E6),$,'Truss',$,$,#24,#23,$,.FACTORY.,.TRUSS.);
          #36=IFCPILE(ID(E7),$,'Pile',$,$,#24,#23,$,.FRICTION.,.CAST_IN_PLACE.);
          #37=IFCTRANSPORTELEMENT(ID(E8),$,'Lift',$,$,#24,#23,$,.ELEVATOR.);
          #38=IFCDOOR(ID(E9),$,'Gate',$,$,#24,#23,$,2.1,0.9,.GATE.,.SINGLE_SWING_LEFT.,$);
          #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7));
          #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#8));
          #42=IFCRELAGGREGATES(ID(r3),$,$,$,#8,(#10));
          #43=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r4),$,$,$,(#30,#31,#32,#33,#34,#35,#36,#37,#38),#10);
          ENDSEC;
          END-ISO-10303-21;
          """;

  private static final String ROAD =
      HEAD.formatted("IFC4X3_ADD2")
          + """
          #20=IFCCARTESIANPOINTLIST3D(CORNERS,$);
          #8=IFCROAD(ID(RO),$,'Quay Road',$,$,#24,$,$,$,$);
          #10=IFCROADPART(ID(RP),$,'North',$,$,#24,$,$,$,.REGION.,.ROADSEGMENT.);
          #11=IFCROADPART(ID(RQ),$,'South',$,$,#24,$,$,$,.LONGITUDINAL.,.ROADSEGMENT.);
          #30=IFCKERB(ID(E1),$,'Kerb N',$,$,#24,#23,$,$);
          #31=IFCKERB(ID(E2),$,'Kerb S',$,$,#24,#23,$,$);
          #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7));
          #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#8));
          #42=IFCRELAGGREGATES(ID(r3),$,$,$,#8,(#10,#11));
          #43=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r4),$,$,$,(#30),#10);
          #44=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r5),$,$,$,(#31),#11);
          ENDSEC;
          END-ISO-10303-21;
          """;

  private Received received(String model) throws IOException {
    String text =
        model.replaceAll("ID\\((..)\\)", "'00000000000000000000$1'").replace("CORNERS", CORNERS);
    return IfcReader.read(Files.writeString(dir.resolve("b.ifc"), text), Progress.NONE);
  }

  private Received sent(Received r, IfcSchema schema) throws IOException {
    DeliveryRun.Outcome o = run(onward(r, schema));
    assertThat(o.receipt().proof().differences()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    return IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
  }

  private static String said(Received r, String item, String attribute) {
    PropertyValue v = item(r, item).said().attributes().get(attribute);
    return v == null ? "" : v.show();
  }

  @ParameterizedTest
  @CsvSource({
    "Stair, IfcStair, SPIRAL_STAIR, SPIRAL_STAIR",
    "Roof, IfcRoof, Sawtooth, NOTDEFINED",
    "Ramp, IfcRamp, '', NOTDEFINED",
    "Bar, IfcReinforcingBar, SHEAR, SHEAR",
    "Truss, IfcElementAssembly, TRUSS, TRUSS",
    "Pile, IfcPile, FRICTION, FRICTION",
    "Lift, IfcTransportElement, ELEVATOR, ELEVATOR"
  })
  void typesStayWhereverASchemaHasThem(String item, String entity, String type, String in2x3)
      throws IOException {
    Received house = received(HOUSE);
    for (IfcSchema s : IfcSchema.values()) {
      EntityClass c = item(sent(house, s), item).said().entityClass();
      assertThat(c.entity()).isEqualTo(entity);
      assertThat(c.type()).as(s.title()).isEqualTo(s == IfcSchema.IFC2X3 ? in2x3 : type);
    }
  }

  @Test
  void aClassThatAsksForMoreThanIsKnownIsAnother() throws IOException {
    Received there = sent(received(HOUSE), IfcSchema.IFC2X3);
    assertThat(item(there, "Thin bar").said().entityClass())
        .as("IFC2x3 asks for its diameter")
        .isEqualTo(new EntityClass("IfcBuildingElementProxy", "", "MAIN"));
    assertThat(item(there, "Roof").said().entityClass().objectType()).isEqualTo("Sawtooth");
  }

  @ParameterizedTest
  @EnumSource
  void wordsOfListsStayWhereverASchemaHasThem(IfcSchema schema) throws IOException {
    Received there = sent(received(HOUSE), schema);
    assertThat(said(there, "Truss", "AssemblyPlace")).isEqualTo("FACTORY");
    assertThat(said(there, "Pile", "ConstructionType")).isEqualTo("CAST_IN_PLACE");
    assertThat(said(there, "Bar", "BarSurface")).isEqualTo("TEXTURED");
    assertThat(said(there, "Gate", "OperationType"))
        .isEqualTo(schema == IfcSchema.IFC2X3 ? "" : "SINGLE_SWING_LEFT");
    assertThat(item(there, "Stair").said().structure())
        .extracting(h -> h.attributes().get("CompositionType").show())
        .containsExactly("COMPLEX", "PARTIAL");
  }

  @Test
  void howAPartDividesItsRoadStays() throws IOException {
    Received there = sent(received(ROAD), IfcSchema.IFC4X3);
    Holder north = item(there, "Kerb N").said().structure().getLast();
    Holder south = item(there, "Kerb S").said().structure().getLast();
    assertThat(north.attributes().get("UsageType").show()).isEqualTo("REGION");
    assertThat(south.attributes()).as("as segments usually do").isEmpty();
    assertThat(Files.readString(dir.resolve("a.ifc"))).contains(".REGION.", ".LONGITUDINAL.");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {"FACTORY>SITE", "SINGLE_SWING_LEFT>SINGLE_SWING_RIGHT", "PARTIAL>ELEMENT"})
  void theProofFailsWhenAWordIsAltered(String damage) throws IOException {
    Parcel p = onward(received(HOUSE), IfcSchema.IFC4);
    run(p);
    Path f = dir.resolve("a.ifc");
    String whole = Files.readString(f);
    String[] words = damage.split(">");
    assertThat(whole).contains("." + words[0] + ".");
    Files.writeString(f, whole.replace("." + words[0] + ".", "." + words[1] + "."));
    assertThat(Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE).pass()).isFalse();
  }
}
