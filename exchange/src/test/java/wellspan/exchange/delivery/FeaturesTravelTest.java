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
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.RelationType;
import wellspan.core.deliver.Parcel;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Difference;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/** Markings go on with the course that they are on, and what was added to a wall with the wall. */
class FeaturesTravelTest extends DeliveredInTest {
  private Received received() throws IOException {
    String model =
        """
        ISO-10303-21;
        HEADER;
        FILE_DESCRIPTION((''),'2;1');
        FILE_NAME('b.ifc','2026-11-20T10:00:00',(''),(''),'','','');
        FILE_SCHEMA(('IFC4X3_ADD2'));
        ENDSEC;
        DATA;
        #1=IFCCARTESIANPOINT((0.,0.,0.));
        #2=IFCAXIS2PLACEMENT3D(#1,$,$);
        #3=IFCGEOMETRICREPRESENTATIONCONTEXT($,'Model',3,1.E-6,#2,$);
        #4=IFCSIUNIT(*,.LENGTHUNIT.,$,.METRE.);
        #5=IFCUNITASSIGNMENT((#4));
        #6=IFCPROJECT(ID(PR),$,'Harbour works',$,$,$,$,(#3),#5);
        #7=IFCSITE(ID(SI),$,'North shore',$,$,#24,$,$,$,$,$,$,$,$);
        #8=IFCROAD(ID(RO),$,'Quay Road',$,$,#24,$,$,$,$);
        #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)),$);
        #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
        #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
        #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
        #24=IFCLOCALPLACEMENT($,#2);
        #30=IFCCOURSE(ID(C1),$,'Wearing',$,$,#24,#23,$,.PAVEMENT.);
        #31=IFCWALL(ID(W1),$,'Wall',$,$,#24,#23,$,$);
        #32=IFCSURFACEFEATURE(ID(M1),$,'Edge line',$,$,#24,#23,'T1',.LINEMARKING.);
        #33=IFCSURFACEFEATURE(ID(M2),$,'Arrow',$,$,#24,#23,$,.SYMBOLMARKING.);
        #34=IFCPROJECTIONELEMENT(ID(L1),$,'Ledge',$,$,#24,#23,$,.NOTDEFINED.);
        #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7));
        #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#8));
        #42=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r3),$,$,$,(#30,#31),#8);
        #43=IFCRELADHERESTOELEMENT(ID(r4),$,$,$,#30,(#32,#33));
        #44=IFCRELPROJECTSELEMENT(ID(r5),$,$,$,#31,#34);
        ENDSEC;
        END-ISO-10303-21;
        """;
    Path f = dir.resolve("b.ifc");
    Files.writeString(f, model.replaceAll("ID\\((..)\\)", "'00000000000000000000$1'"));
    return IfcReader.read(f, Progress.NONE);
  }

  private static List<String> on(Received r, String feature) {
    return item(r, feature).attributes().references().stream()
        .filter(x -> x.type() == RelationType.FEATURE_OF)
        .map(x -> x.name())
        .toList();
  }

  @ParameterizedTest
  @CsvSource({
    "IFC4X3, IfcSurfaceFeature, LINEMARKING, ''",
    "IFC4, IfcBuildingElementProxy, USERDEFINED, LINEMARKING",
    "IFC2X3, IfcBuildingElementProxy, '', LINEMARKING"
  })
  void featuresStayByTheirElements(IfcSchema schema, String entity, String type, String word)
      throws IOException {
    DeliveryRun.Outcome o = run(onward(received(), schema));
    assertThat(o.receipt().proof().differences()).isEmpty();
    assertThat(o.receipt().proof().pass()).isTrue();
    Received there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(item(there, "Edge line").said().entityClass())
        .isEqualTo(new EntityClass(entity, type, word));
    assertThat(on(there, "Edge line"))
        .isEqualTo(schema == IfcSchema.IFC4X3 ? List.of("Wearing") : List.of());
    assertThat(item(there, "Ledge").said().entityClass().entity())
        .isEqualTo("IfcProjectionElement");
    assertThat(on(there, "Ledge")).containsExactly("Wall");
    assertThat(there.items())
        .extracting(i -> i.said().structure().getFirst().name())
        .as("all stand in the road")
        .containsOnly("Quay Road");
  }

  @Test
  void aFeatureWhoseElementIsNotSentStandsAlone() throws IOException {
    Received r = received();
    List<Item> without = r.items().stream().filter(i -> !i.name().equals("Wearing")).toList();
    Parcel all = onward(r, IfcSchema.IFC4X3);
    Parcel p = settled(IfcSchema.IFC4X3, without.toArray(Item[]::new));
    assertThat(p.pieces()).hasSize(all.pieces().size() - 1);
    assertThat(run(p).receipt().proof().differences()).isEmpty();
    Received there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    assertThat(item(there, "Arrow").said().entityClass())
        .isEqualTo(new EntityClass("IfcBuildingElementProxy", "USERDEFINED", "SYMBOLMARKING"));
    assertThat(item(there, "Ledge").said().entityClass().entity())
        .isEqualTo("IfcProjectionElement");
  }

  @Test
  void aWallThatIsAPartOfItsOwnFeatureEndsNothing() throws IOException {
    received();
    Path f = dir.resolve("b.ifc");
    Files.writeString(
        f,
        Files.readString(f)
            .replace(
                "ENDSEC;\nEND-ISO",
                "#50=IFCRELAGGREGATES('0000000000000000000098',$,$,$,#34,(#31));\nENDSEC;\nEND-ISO"));
    Received r = IfcReader.read(f, Progress.NONE);
    run(onward(r, IfcSchema.IFC4X3));
    assertThat(IfcReader.read(dir.resolve("a.ifc"), Progress.NONE).items())
        .hasSameSizeAs(r.items());
  }

  static Stream<Arguments> damages() {
    return Stream.of(
        damage("its type", t -> t.replace(".SYMBOLMARKING.", ".LINEMARKING.")),
        damage("not on it", t -> t.replaceFirst("#[0-9]+=IFCRELPROJECTSELEMENT[^\n]*\n", "")),
        damage("one less", t -> t.replaceFirst("(IFCRELADHERES[^\n]*),#[0-9]+\\)\\);", "$1));")));
  }

  private static Arguments damage(String what, UnaryOperator<String> d) {
    return Arguments.of(what, d);
  }

  @ParameterizedTest(name = "{0}")
  @MethodSource("damages")
  void theProofFailsWhenAFeatureIsAltered(String what, UnaryOperator<String> damage)
      throws IOException {
    Parcel p = onward(received(), IfcSchema.IFC4X3);
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
