package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.entry;
import static org.assertj.core.api.Assertions.within;

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
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Proof;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/**
 * What a model has besides its items goes on with it through every schema, with name, identity and
 * what is said of it; what is altered on the way is found.
 */
class HoldersTravelTest extends DeliveredInTest {
  /** Ids are "0…" with two letters that say what it is, so that they are easy to alter. */
  private static String id(String two) {
    return "'00000000000000000000" + two + "'";
  }

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
        #6=IFCPROJECT(ID(PR),$,'Harbour works',$,$,$,'tender',(#3),#5);
        #7=IFCSITE(ID(SI),$,'North shore',$,$,$,$,'The shore in the north',$,$,$,$,$,$);
        #8=IFCBUILDING(ID(BU),$,'Pump house',$,$,$,$,$,$,$,$,$);
        #9=IFCBUILDINGSTOREY(ID(ST),$,'Ground floor',$,$,$,$,$,$,3.2);
        #10=IFCBUILDINGSTOREY(ID(SE),$,'Loft',$,$,$,$,$,$,6.4);
        #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)));
        #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
        #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
        #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
        #24=IFCLOCALPLACEMENT($,#2);
        #25=IFCCARTESIANPOINT((1.,2.,3.));
        #26=IFCAXIS2PLACEMENT3D(#25,$,$);
        #27=IFCLOCALPLACEMENT(#24,#26);
        #30=IFCPIPESEGMENT(ID(P1),$,'Pipe 1','of concrete',$,#24,#23,'T-100',$);
        #31=IFCPIPESEGMENT(ID(P2),$,'Pipe 2',$,$,#24,#23,$,$);
        #32=IFCMEMBER(ID(M1),$,'Truss bar',$,$,#24,#23,$,$);
        #33=IFCELEMENTASSEMBLY(ID(AS),$,'Truss',$,$,#24,$,$,$,.TRUSS.);
        #34=IFCELEMENTASSEMBLY(ID(AO),$,'Roof',$,$,#24,$,$,$,$);
        #35=IFCDISTRIBUTIONPORT(ID(D1),$,'out of 1','with a seal',$,#27,$,.SOURCE.,.PIPE.,.STORMWATER.);
        #36=IFCDISTRIBUTIONPORT(ID(D2),$,'into 2',$,$,#27,$,.SINK.,.PIPE.,.STORMWATER.);
        #37=IFCDISTRIBUTIONPORT(ID(D3),$,'open end',$,$,#27,$,.SOURCEANDSINK.,.PIPE.,.STORMWATER.);
        #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7));
        #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#8));
        #42=IFCRELAGGREGATES(ID(r3),$,$,$,#8,(#9,#10));
        #43=IFCRELAGGREGATES(ID(r4),$,$,$,#34,(#33));
        #44=IFCRELAGGREGATES(ID(r5),$,$,$,#33,(#32));
        #45=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r6),$,$,$,(#30,#31,#34),#9);
        #46=IFCRELNESTS(ID(r7),$,$,$,#30,(#35));
        #47=IFCRELNESTS(ID(r8),$,$,$,#31,(#36,#37));
        #48=IFCRELCONNECTSPORTS(ID(r9),$,$,$,#35,#36,$);
        #50=IFCDISTRIBUTIONSYSTEM(ID(SY),$,'Storm drain',$,$,$,.STORMWATER.);
        #51=IFCGROUP(ID(GR),$,'Phase one',$,$);
        #52=IFCRELASSIGNSTOGROUP(ID(s1),$,$,$,(#30,#31),$,#50);
        #53=IFCRELASSIGNSTOGROUP(ID(s2),$,$,$,(#31,#32),$,#51);
        #54=IFCPIPESEGMENTTYPE(ID(TY),$,'Concrete 300','as cast',$,$,$,'T-1',$,.RIGIDSEGMENT.);
        #55=IFCRELDEFINESBYTYPE(ID(s3),$,$,$,(#30,#31),#54);
        #60=IFCPROPERTYSINGLEVALUE('Owner',$,IFCLABEL('Port of Brindle'),$);
        #61=IFCPROPERTYSET(ID(e1),$,'Client_Asset',$,(#60));
        #62=IFCRELDEFINESBYPROPERTIES(ID(e2),$,$,$,(#6,#7),#61);
        #63=IFCPROPERTYSINGLEVALUE('Storey',$,IFCINTEGER(1),$);
        #64=IFCPROPERTYSET(ID(e3),$,'Client_Level',$,(#63));
        #65=IFCRELDEFINESBYPROPERTIES(ID(e4),$,$,$,(#9),#64);
        #66=IFCPROPERTYSINGLEVALUE('Span',$,IFCLENGTHMEASURE(12.5),$);
        #67=IFCPROPERTYSET(ID(e5),$,'Client_Truss',$,(#66));
        #68=IFCRELDEFINESBYPROPERTIES(ID(e6),$,$,$,(#33,#50,#36),#67);
        ENDSEC;
        END-ISO-10303-21;
        """
        .replaceAll("ID\\((..)\\)", "'00000000000000000000$1'");
  }

  private Received received() throws IOException {
    return IfcReader.read(Files.writeString(dir.resolve("b.ifc"), model()), Progress.NONE);
  }

  private static String value(List<Holder> holders, String of, String set, String property) {
    return holders.stream()
        .filter(h -> h.name().equals(of))
        .flatMap(h -> h.propertySets().stream())
        .filter(s -> s.name().equals(set))
        .map(s -> s.values().get(property).show())
        .findFirst()
        .orElse("");
  }

  private static List<String> ids(List<Holder> holders) {
    return holders.stream().map(h -> h.globalId().substring(20)).toList();
  }

  @ParameterizedTest
  @EnumSource
  void allOfItStaysThroughEverySchemaAndBack(IfcSchema schema) throws IOException {
    Received first = received();
    DeliveryRun.Outcome there = run(onward(first, schema));
    assertThat(there.receipt().proof().findings()).noneMatch(f -> f.isError());
    Received between = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(run(onward(between, IfcSchema.IFC4)).receipt().proof().pass()).isTrue();
    Received back = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    for (Received r : List.of(first, between, back)) {
      ModelRoot root = r.root().orElseThrow();
      assertThat(root.project().name()).isEqualTo("Harbour works");
      assertThat(root.phase()).isEqualTo("tender");
      assertThat(ids(List.of(root.project(), root.site().orElseThrow())))
          .containsExactly("PR", "SI");
      assertThat(root.site().orElseThrow().name()).isEqualTo("North shore");
      assertThat(value(List.of(root.project()), "Harbour works", "Client_Asset", "Owner"))
          .isEqualTo("Port of Brindle");
      assertThat(value(List.of(root.site().get()), "North shore", "Client_Asset", "Owner"))
          .isEqualTo("Port of Brindle");

      assertThat(root.levels()).extracting(l -> l.getLast().name()).contains("Loft");
      assertThat(root.site().get().attributes().get("LongName").show())
          .isEqualTo("The shore in the north");

      Description bar = item(r, "Truss bar").said();
      assertThat(bar.structure().get(1).attributes().get("Elevation"))
          .isEqualTo(new PropertyValue.Length(3.2));
      assertThat(ids(bar.structure())).containsExactly("BU", "ST", "AO", "AS");
      assertThat(value(bar.structure(), "Ground floor", "Client_Level", "Storey")).isEqualTo("1");
      assertThat(value(bar.structure(), "Truss", "Client_Truss", "Span")).startsWith("12.5");
      assertThat(bar.structure().getLast().entityClass().type()).isEqualTo("TRUSS");
      assertThat(ids(bar.groups())).containsExactly("GR");

      assertThat(item(r, "Pipe 1").said().attributes())
          .containsOnly(
              entry("Description", new PropertyValue.Label("of concrete")),
              entry("Tag", new PropertyValue.Label("T-100")));
      Item two = item(r, "Pipe 2");
      assertThat(ids(two.said().groups())).containsExactlyInAnyOrder("SY", "GR");
      assertThat(value(two.said().groups(), "Storm drain", "Client_Truss", "Span"))
          .startsWith("12.5");
      Holder type = two.said().type().orElseThrow();
      assertThat(type.name()).isEqualTo("Concrete 300");
      assertThat(ids(List.of(type))).containsExactly("TY");
      assertThat(type.attributes().get("Tag").show()).isEqualTo("T-1");
      assertThat(two.said().entityClass().type()).isEqualTo("RIGIDSEGMENT");

      Connection c = two.attributes().connection().orElseThrow();
      assertThat(c.network()).isEqualTo("Storm drain");
      assertThat(c.ports())
          .extracting(p -> p.received().orElseThrow().name())
          .containsExactly("into 2", "open end");
      assertThat(ids(c.ports().stream().map(p -> p.received().orElseThrow()).toList()))
          .containsExactly("D2", "D3");
      assertThat(c.ports())
          .extracting(Connection.Port::flow)
          .containsExactly(Connection.Flow.IN, Connection.Flow.BOTH);
      assertThat(
              value(
                  List.of(c.ports().getFirst().received().orElseThrow()),
                  "into 2",
                  "Client_Truss",
                  "Span"))
          .startsWith("12.5");
      assertThat(c.ports().getFirst().at().east()).isCloseTo(1, within(1e-6));
      assertThat(c.ports().getFirst().at().level()).isCloseTo(3, within(1e-6));
      assertThat(c.ports().getFirst().link())
          .isEqualTo(
              item(r, "Pipe 1").attributes().connection().orElseThrow().ports().getFirst().link());
    }
  }

  private Proof altered(UnaryOperator<String> damage) throws IOException {
    Parcel p = onward(received(), IfcSchema.IFC4);
    run(p);
    Path f = dir.resolve("a.ifc");
    String whole = Files.readString(f);
    String broken = damage.apply(whole);
    assertThat(broken).isNotEqualTo(whole);
    return Prover.compare(
        p, IfcReader.read(Files.writeString(f, broken), Progress.NONE), Progress.NONE);
  }

  static Stream<Arguments> damages() {
    return Stream.of(
        Arguments.of(id("PR"), id("XX"), Difference.What.ID),
        Arguments.of(id("SI"), id("XX"), Difference.What.ID),
        Arguments.of(id("ST"), id("XX"), Difference.What.ID),
        Arguments.of(id("AO"), id("XX"), Difference.What.ID),
        Arguments.of(id("AS"), id("XX"), Difference.What.ID),
        Arguments.of(id("SY"), id("XX"), Difference.What.ID),
        Arguments.of(id("TY"), id("XX"), Difference.What.ID),
        Arguments.of(id("D2"), id("XX"), Difference.What.ID),
        Arguments.of("'Harbour works'", "'Other works'", Difference.What.NAME),
        Arguments.of("'North shore'", "'South shore'", Difference.What.NAME),
        Arguments.of("'Truss',", "'Tross',", Difference.What.STRUCTURE),
        Arguments.of("'Phase one'", "'Phase two'", Difference.What.STRUCTURE),
        Arguments.of("'Storm drain'", "'Foul drain'", Difference.What.STRUCTURE),
        Arguments.of("'Concrete 300'", "'Concrete 400'", Difference.What.TYPE),
        Arguments.of("'Port of Brindle'", "'Port of Elsewhere'", Difference.What.PROPERTY),
        Arguments.of("IFCINTEGER(1)", "IFCINTEGER(2)", Difference.What.PROPERTY),
        Arguments.of("IFCLENGTHMEASURE(12.5)", "IFCLENGTHMEASURE(12.6)", Difference.What.PROPERTY),
        Arguments.of("'Client_Truss'", "'Client_Tross'", Difference.What.PROPERTY),
        Arguments.of("'of concrete'", "'of clay'", Difference.What.PROPERTY),
        Arguments.of("'T-100'", "'T-101'", Difference.What.PROPERTY),
        Arguments.of("'The shore in the north'", "$", Difference.What.PROPERTY),
        Arguments.of(",3.2)", ",3.3)", Difference.What.PROPERTY),
        Arguments.of("'Loft'", "'Cellar'", Difference.What.STRUCTURE),
        Arguments.of("'as cast'", "'as laid'", Difference.What.PROPERTY),
        Arguments.of("'with a seal'", "'without'", Difference.What.PROPERTY),
        Arguments.of(".SINK.,.PIPE.", ".SINK.,.DUCT.", Difference.What.TYPE),
        Arguments.of(
            ".SOURCE.,.PIPE.,.STORMWATER.", ".SOURCE.,.PIPE.,.SEWAGE.", Difference.What.TYPE),
        Arguments.of(".SOURCEANDSINK.", ".SINK.", Difference.What.RELATION));
  }

  @ParameterizedTest
  @MethodSource("damages")
  void whatIsAlteredIsFound(String from, String to, Difference.What what) throws IOException {
    Proof proof = altered(s -> s.replace(from, to));
    assertThat(proof.differences()).extracting(Difference::what).contains(what);
    assertThat(proof.pass()).isFalse();
  }

  @Test
  void whatSomethingElseIsCalledByIsNotTaken() throws IOException {
    Received r =
        IfcReader.read(
            Files.writeString(
                dir.resolve("b.ifc"),
                model().replace(id("ST"), id("BU")).replace(id("AS"), "'not one'")),
            Progress.NONE);
    assertThat(run(onward(r, IfcSchema.IFC4X3)).receipt().proof().differences()).isEmpty();
    assertThat(guids(dir.resolve("a.ifc")))
        .doesNotHaveDuplicates()
        .contains(id("BU").replace("'", ""));
  }

  @Test
  void assembliesOfOneNameInTwoStoreysKeepIt() throws IOException {
    String two =
        model()
            .replace(
                "#34=IFC",
                """
                #71=IFCELEMENTASSEMBLY(%s,$,'Roof',$,$,#24,$,$,$,$);
                #72=IFCMEMBER(%s,$,'Purlin',$,$,#24,#23,$,$);
                #73=IFCRELAGGREGATES(%s,$,$,$,#71,(#72));
                #74=IFCRELCONTAINEDINSPATIALSTRUCTURE(%s,$,$,$,(#71),#10);
                #34=IFC"""
                    .formatted(id("R2"), id("PU"), id("t1"), id("t2")));
    Received r = IfcReader.read(Files.writeString(dir.resolve("t.ifc"), two), Progress.NONE);
    assertThat(run(onward(r, IfcSchema.IFC4X3)).receipt().proof().pass()).isTrue();
    Received back = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(back.items())
        .filteredOn(i -> List.of("Purlin", "Truss bar").contains(i.name()))
        .extracting(i -> String.join("/", i.said().structure().stream().map(Holder::name).toList()))
        .containsExactlyInAnyOrder("Pump house/Loft/Roof", "Pump house/Ground floor/Roof/Truss");
  }

  @Test
  void aTypeOfPortThatASchemaDoesNotHaveIsNotDefinedThere() throws IOException {
    String later =
        model()
            .replace("FILE_SCHEMA(('IFC4'))", "FILE_SCHEMA(('IFC4X3_ADD2'))")
            .replace("(0.,0.,1.)));", "(0.,0.,1.)),$);")
            .replace(".PIPE.,.STORMWATER.", ".WIRELESS.,.FIXEDTRANSMISSIONNETWORK.");
    Received r = IfcReader.read(Files.writeString(dir.resolve("w.ifc"), later), Progress.NONE);
    assertThat(run(onward(r, IfcSchema.IFC4X3)).receipt().proof().pass()).isTrue();
    assertThat(Files.readString(dir.resolve("a.ifc")))
        .contains(".WIRELESS.,.FIXEDTRANSMISSIONNETWORK.");
    assertThat(run(onward(r, IfcSchema.IFC4)).receipt().proof().pass()).isTrue();
    assertThat(Files.readString(dir.resolve("a.ifc")))
        .contains(".SOURCE.,.NOTDEFINED.,.NOTDEFINED.");
  }

  @Test
  void twoTypesOfOneNameStayTwo() throws IOException {
    String two =
        model()
            .replace("(#30,#31),#54);", "(#30),#54);")
            .replace(
                "#60=IFC",
                "#75=IFCPIPESEGMENTTYPE(%s,$,'Concrete 300',$,$,$,$,$,$,.RIGIDSEGMENT.);\n#76=IFCRELDEFINESBYTYPE(%s,$,$,$,(#31),#75);\n#60=IFC"
                    .formatted(id("T2"), id("t3")));
    Received r = IfcReader.read(Files.writeString(dir.resolve("t.ifc"), two), Progress.NONE);
    assertThat(run(onward(r, IfcSchema.IFC4)).receipt().proof().pass()).isTrue();
    Received back = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(ids(List.of(item(back, "Pipe 2").said().type().orElseThrow())))
        .containsExactly("T2");
  }

  @Test
  void whatIsNotKeptIsCounted() throws IOException {
    String nested =
        model()
            .replace("(#31,#32),$,#51", "(#31,#32,#50),$,#51")
            .replace("'open end',$,$,#27", "'open end',$,$,$")
            .replace(
                "#34=IFC",
                "#70=IFCSENSOR(" + id("SE") + ",$,'Level gauge',$,$,#24,$,$,$);\n#34=IFC");
    Received r = IfcReader.read(Files.writeString(dir.resolve("n.ifc"), nested), Progress.NONE);
    assertThat(r.findings())
        .extracting(f -> f.message())
        .anyMatch(m -> m.startsWith("1 × group as a member of another one"))
        .anyMatch(m -> m.startsWith("1 × port without a place"))
        .anyMatch(m -> m.startsWith("1 × IfcSensor without a shape"));
  }

  @Test
  void whatHasNoPlaceInAnotherClassIsTold() throws IOException {
    String door =
        model()
            .replace("IFCMEMBER(" + id("M1"), "IFCDOOR(" + id("M1"))
            .replace("'Truss bar',$,$,#24,#23,$,$)", "'Truss bar',$,$,#24,#23,$,2.1,0.9,$,$,$)")
            .replace("(#30,#31),#54)", "(#30,#31,#32),#54)");
    Received r = IfcReader.read(Files.writeString(dir.resolve("d.ifc"), door), Progress.NONE);
    Item bar = item(r, "Truss bar");
    assertThat(bar.said().attributes().get("OverallHeight"))
        .isEqualTo(new PropertyValue.Length(2.1));
    Parcel.Piece proxy = Packing.loosePiece(IDS, ItemId.of("s", bar), bar, IfcSchema.IFC4, "d.ifc");
    Description d = proxy.description();
    Parcel p =
        loose(
            proxy.with(
                new Description(
                        new EntityClass("IfcBuildingElementProxy", ""),
                        d.globalId(),
                        d.propertySets(),
                        d.finish(),
                        d.closed())
                    .heldBy(List.of(), d.type())));
    assertThat(run(p).receipt().proof().findings())
        .extracting(f -> f.message())
        .anyMatch(m -> m.contains("Truss bar goes without OverallHeight, OverallWidth"));
  }

  @Test
  void aBrokenLevelOrTypeIsNamedAndTheRestRead() throws IOException {
    String broken =
        model()
            .replace("'Ground floor',$,$,$,$,$,$,3.2)", "'Ground floor',$,$,$,$)")
            .replace("'T-1',$,.RIGIDSEGMENT.)", "'T-1',.RIGIDSEGMENT.)");
    Received r = IfcReader.read(Files.writeString(dir.resolve("x.ifc"), broken), Progress.NONE);
    assertThat(r.items()).hasSize(3);
    assertThat(r.findings())
        .filteredOn(f -> f.code().equals("ifc.holder"))
        .extracting(f -> f.item())
        .containsExactlyInAnyOrder("Ground floor", "Concrete 300");
    assertThat(item(r, "Pipe 1").said().type()).isEmpty();
  }
}
