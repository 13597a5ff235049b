package wellspan.exchange.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.deliver.Parcel;
import wellspan.core.progress.Progress;
import wellspan.core.proof.Prover;
import wellspan.core.receive.Received;
import wellspan.core.schema.IfcSchema;
import wellspan.exchange.ifc.read.IfcReader;

/** A model of several sites keeps them, and what stands in each, through every schema. */
class SitesTravelTest extends DeliveredInTest {
  private static final String MODEL =
      """
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
      #7=IFCSITE(ID(S1),$,'North shore',$,$,#24,$,$,$,$,$,$,'Lot 1',$);
      #8=IFCSITE(ID(S2),$,'South shore','with the slip',$,#24,$,'Southern half',.COMPLEX.,$,$,$,'Lot 2',$);
      #9=IFCBUILDING(ID(B1),$,'Pump house',$,$,#24,$,$,$,$,$,$);
      #10=IFCBUILDING(ID(B2),$,'Pump house',$,$,#24,$,$,$,$,$,$);
      #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)));
      #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
      #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
      #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
      #24=IFCLOCALPLACEMENT($,#2);
      #30=IFCWALL(ID(W1),$,'North wall',$,$,#24,#23,$,$);
      #31=IFCWALL(ID(W2),$,'South wall',$,$,#24,#23,$,$);
      #32=IFCPUMP(ID(P2),$,'South pump',$,$,#24,#23,$,$);
      #40=IFCRELAGGREGATES(ID(r1),$,$,$,#6,(#7,#8));
      #41=IFCRELAGGREGATES(ID(r2),$,$,$,#7,(#9));
      #42=IFCRELAGGREGATES(ID(r3),$,$,$,#8,(#10));
      #43=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r4),$,$,$,(#30),#9);
      #44=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r5),$,$,$,(#31),#8);
      #45=IFCRELCONTAINEDINSPATIALSTRUCTURE(ID(r6),$,$,$,(#32),#10);
      #60=IFCPROPERTYSINGLEVALUE('Owner',$,IFCLABEL('Port'),$);
      #61=IFCPROPERTYSET(ID(e1),$,'Client',$,(#60));
      #62=IFCRELDEFINESBYPROPERTIES(ID(e2),$,$,$,(#8),#61);
      ENDSEC;
      END-ISO-10303-21;
      """
          .replaceAll("ID\\((..)\\)", "'00000000000000000000$1'");

  private Received received() throws IOException {
    return IfcReader.read(Files.writeString(dir.resolve("b.ifc"), MODEL), Progress.NONE);
  }

  private static List<String> standsIn(Received r, String name) {
    return item(r, name).said().structure().stream().map(h -> h.globalId().substring(20)).toList();
  }

  @ParameterizedTest
  @EnumSource
  void everySiteKeepsWhatStandsInIt(IfcSchema schema) throws IOException {
    Received first = received();
    assertThat(run(onward(first, schema)).receipt().proof().differences()).isEmpty();
    Received there = IfcReader.read(dir.resolve("a.ifc"), Progress.NONE);
    for (Received r : List.of(first, there)) {
      ModelRoot root = r.root().orElseThrow();
      assertThat(root.site().map(Holder::globalId).orElseThrow()).endsWith("S1");
      assertThat(root.site().orElseThrow().attributes().get("LandTitleNumber").show())
          .isEqualTo("Lot 1");
      assertThat(standsIn(r, "North wall")).containsExactly("B1");
      assertThat(standsIn(r, "South wall")).containsExactly("S2");
      assertThat(standsIn(r, "South pump")).containsExactly("S2", "B2");
      Holder south = item(r, "South wall").said().structure().getFirst();
      assertThat(south.entityClass().entity()).isEqualTo("IfcSite");
      assertThat(south.attributes().get("LongName").show()).isEqualTo("Southern half");
      assertThat(south.attributes().get("LandTitleNumber").show()).isEqualTo("Lot 2");
      assertThat(south.attributes().get("CompositionType").show()).isEqualTo("COMPLEX");
      assertThat(south.propertySets().getFirst().values().get("Owner").show()).isEqualTo("Port");
    }
    assertThat(Files.readString(dir.resolve("a.ifc")).split("=IFCSITE\\(", -1)).hasSize(3);
  }

  @ParameterizedTest
  @CsvSource({
    "'Lot 1','Lot 9'",
    "'Lot 2','Lot 9'",
    "'South shore','South bank'",
    "'Southern half','Half'",
    "'Port','Quay'"
  })
  void theProofFailsWhenASiteIsAltered(String whole, String broken) throws IOException {
    Parcel p = onward(received(), IfcSchema.IFC4);
    run(p);
    Path f = dir.resolve("a.ifc");
    String text = Files.readString(f);
    assertThat(text).contains("'" + whole + "'");
    Files.writeString(f, text.replace("'" + whole + "'", "'" + broken + "'"));
    assertThat(Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE).differences())
        .isNotEmpty();
  }

  @ParameterizedTest
  @EnumSource
  void theProofFailsWhenThingsAreInTheOtherSite(IfcSchema schema) throws IOException {
    Parcel p = onward(received(), schema);
    run(p);
    Path f = dir.resolve("a.ifc");
    String text = Files.readString(f);
    String north = number(text, "North shore");
    String south = number(text, "South shore");
    String moved = text.replaceAll("(IFCREL[^\n]*),#" + south + "\\);", "$1,#" + north + ");");
    assertThat(moved).isNotEqualTo(text);
    Files.writeString(f, moved);
    assertThat(Prover.compare(p, IfcReader.read(f, Progress.NONE), Progress.NONE).differences())
        .isNotEmpty();
  }

  private static String number(String text, String site) {
    return text.replaceAll("(?s).*\n#([0-9]+)=IFCSITE\\([^\n]*'" + site + "'.*", "$1");
  }
}
