package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** {@code describe --against}: what becomes of objects and properties in another schema or file. */
class SchemaComparisonTest extends CommandFixture {
  private static final String MODEL =
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
      #6=IFCPROJECT('0000000000000000000001',$,'P',$,$,$,$,(#3),#5);
      #7=IFCSITE('0000000000000000000002',$,'S',$,$,$,$,$,$,$,$,$,$,$);
      #8=IFCRELAGGREGATES('0000000000000000000003',$,$,$,#6,(#7));
      #20=IFCCARTESIANPOINTLIST3D(((0.,0.,0.),(1.,0.,0.),(0.,1.,0.),(0.,0.,1.)),$);
      #21=IFCTRIANGULATEDFACESET(#20,$,.T.,((1,3,2),(1,2,4),(1,4,3),(2,3,4)),$);
      #22=IFCSHAPEREPRESENTATION(#3,'Body','Tessellation',(#21));
      #23=IFCPRODUCTDEFINITIONSHAPE($,$,(#22));
      #24=IFCLOCALPLACEMENT($,#2);
      #30=IFCSIGN('0000000000000000000011',$,'Sign 1',$,$,#24,#23,$,.MIRROR.);
      #31=IFCSIGN('0000000000000000000012',$,'Sign 2',$,$,#24,#23,$,.MIRROR.);
      #32=IFCRAILING('0000000000000000000013',$,'Rail',$,$,#24,#23,$,.GUARDRAIL.);
      #40=IFCPROPERTYSINGLEVALUE('Owner',$,IFCLABEL('Port'),$);
      #41=IFCPROPERTYSET('0000000000000000000021',$,'Client',$,(#40));
      #42=IFCRELDEFINESBYPROPERTIES('0000000000000000000022',$,$,$,(#30,#31),#41);
      #43=IFCRELCONTAINEDINSPATIALSTRUCTURE('0000000000000000000023',$,$,$,(#30,#31,#32),#7);
      ENDSEC;
      END-ISO-10303-21;
      """;

  private int call(Object... args) {
    return run(Stream.of(args).map(Object::toString).toArray(String[]::new));
  }

  private Path model() throws IOException {
    return Files.writeString(dir.resolve("a.ifc"), MODEL);
  }

  private List<String> changes(Object... words) throws IOException {
    assertThat(call(words)).as(err.toString()).isZero();
    List<String> found = new ArrayList<>();
    for (JsonNode c : new ObjectMapper().readTree(out.toString()).path("changes")) {
      List<String> names = new ArrayList<>();
      c.path("objects").forEach(o -> names.add(o.path("name").asText()));
      found.add(
          String.join(
              "|",
              c.path("what").asText(),
              c.path("from").asText(),
              c.path("to").asText(),
              String.join(",", names)));
    }
    return found;
  }

  @Test
  void whatHasNoClassStandsForAnything() throws IOException {
    assertThat(changes("describe", model(), "--against", "IFC2X3", "--json"))
        .contains("proxy|IfcSign|IfcBuildingElementProxy|Sign 1,Sign 2")
        .noneMatch(c -> c.contains("Rail"));
    assertThat(call("describe", model(), "--against", "IFC4")).isZero();
    assertThat(out.toString())
        .contains("2 became proxies: IfcSign → IfcBuildingElementProxy  (Sign 1, Sign 2)");
  }

  @Test
  void twoFilesOfAModelAreCompared() throws IOException {
    Path other =
        Files.writeString(
            dir.resolve("b.ifc"),
            MODEL
                .replace("IFCSIGN('0000000000000000000011'", "IFCCOURSE('0000000000000000000011'")
                .replace(",(#30,#31),#41)", ",(#31),#41)")
                .replace(".GUARDRAIL.", ".HANDRAIL.")
                .replace("0000000000000000000012", "0000000000000000000099")
                .replaceAll("\\.MIRROR\\.\\);\\n#31", "\\$);\n#31"));
    assertThat(changes("describe", model(), "--against", other, "--json"))
        .containsExactly(
            "class|IfcSign|IfcCourse|Sign 1",
            "predefined type|IfcRailing GUARDRAIL|IfcRailing HANDRAIL|Rail",
            "missing|IfcSign||Sign 2",
            "extra||IfcSign|Sign 2",
            "property lost|Client.Owner||Sign 1");
  }

  @Test
  void aPropertyThatStandsElsewhereOrSaysOtherIsTold() throws IOException {
    Path other =
        Files.writeString(
            dir.resolve("b.ifc"), MODEL.replace("'Client',$,(#40)", "'Own_Client',$,(#40)"));
    assertThat(changes("describe", model(), "--against", other, "--json"))
        .containsExactly("property moved|Client.Owner|Own_Client.Owner|Sign 1,Sign 2");
    Path third =
        Files.writeString(dir.resolve("c.ifc"), MODEL.replace("IFCLABEL('Port')", "IFCLABEL('X')"));
    assertThat(changes("describe", model(), "--against", third, "--json"))
        .containsExactly("value|Client.Owner|Client.Owner|Sign 1,Sign 2");
    assertThat(changes("describe", model(), "--against", model(), "--json")).isEmpty();
  }

  @Test
  void aTypeThatIsNotKnownIsNoOtherThanNone() throws IOException {
    Path unknown =
        Files.writeString(dir.resolve("u.ifc"), MODEL.replace(".GUARDRAIL.", ".NOTDEFINED."));
    Path none = Files.writeString(dir.resolve("n.ifc"), MODEL.replace(".GUARDRAIL.", "$"));
    assertThat(changes("describe", unknown, "--against", none, "--json")).isEmpty();
    assertThat(changes("describe", model(), "--against", unknown, "--json"))
        .containsExactly("predefined type|IfcRailing GUARDRAIL|IfcRailing|Rail");
  }

  @Test
  void aWrongCallSaysWhatIsWanted() throws IOException {
    assertThat(call("describe", model(), "--against", "IFC5")).isEqualTo(2);
    assertThat(err.toString()).contains("IFC5 is neither IFC4X3, IFC4 nor IFC2X3, nor a file.");
  }
}
