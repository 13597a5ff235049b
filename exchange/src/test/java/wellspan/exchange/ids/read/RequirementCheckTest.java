package wellspan.exchange.ids.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvFileSource;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.progress.Progress;
import wellspan.core.requirement.RequirementCheck;
import wellspan.core.requirement.RequirementReport;
import wellspan.exchange.file.ReadException;
import wellspan.exchange.ifc.read.ModelReader;

/** Every facet, restriction and cardinality, each with models that pass and that fail. */
class RequirementCheckTest {
  private static final String HEAD =
      """
      <?xml version="1.0" encoding="UTF-8"?>
      <ids xmlns="http://standards.buildingsmart.org/IDS" xmlns:xs="http://www.w3.org/2001/XMLSchema">
      <info><title>Test</title></info><specifications>
      """;

  @TempDir Path dir;

  /**
   * A model in millimetres: rails, one of a type, in a building on a site, with sets, a material, a
   * code and a group.
   */
  private RequirementReport.Result run(String schema, String specification) throws IOException {
    boolean old = schema.equals("IFC2X3");
    String text;
    try (var in = RequirementCheckTest.class.getResourceAsStream("rails.ifc")) {
      text = new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
    }
    Path model =
        Files.writeString(
            dir.resolve("m.ifc"),
            text.replace("@SCHEMA@", schema)
                .replace("@BOUND@", old ? "" : ",$")
                .replace("@MATERIAL@", old ? "'Steel'" : "'Steel',$,'metal'")
                .replace("@SYSTEM@", old ? "" : ",$,$,$")
                .replace("@REFERENCE@", old ? "" : ",$,$")
                .replace("@QUANTITY@", old ? "" : ",$"));
    Path ids =
        Files.writeString(dir.resolve("r.ids"), HEAD + specification + "</specifications></ids>");
    return RequirementCheck.run(
            IdsReader.read(ids), ModelReader.read(model, Progress.NONE), Progress.NONE)
        .results()
        .getFirst();
  }

  private static String about(String name, String requirements) {
    return "<specification name=\"s\" ifcVersion=\"IFC2X3 IFC4 IFC4X3_ADD2\"><applicability minOccurs=\"1\" maxOccurs=\"unbounded\"><attribute><name><simpleValue>Name</simpleValue></name><value><simpleValue>"
        + name
        + "</simpleValue></value></attribute></applicability><requirements>"
        + requirements
        + "</requirements></specification>";
  }

  /** Short forms of what stands in the table: v(x) is a simple value, r{…} a restriction. */
  private static String expanded(String facet) {
    return facet
        .replaceAll("v\\(([^)]*)\\)", "<simpleValue>$1</simpleValue>")
        .replaceAll("(\\w+):\\[", "<$1>")
        .replaceAll("]:(\\w+)", "</$1>")
        .replaceAll("r\\{(\\w+) ", "<xs:restriction base=\"xs:$1\">")
        .replaceAll("}r", "</xs:restriction>")
        .replaceAll("(\\w+)=~([^~]*)~", "<xs:$1 value=\"$2\"/>");
  }

  @ParameterizedTest(name = "{0} {1} {2}")
  @CsvFileSource(resources = "facets.csv", delimiter = '|', quoteCharacter = '`')
  void facets(String object, boolean passes, String facet) throws IOException {
    for (String schema : List.of("IFC2X3", "IFC4", "IFC4X3_ADD2")) {
      RequirementReport.Result r = run(schema, about(object, expanded(facet)));
      assertThat(r.applicable()).as(schema).isEqualTo(1);
      assertThat(r.pass()).as(schema + " " + r.failures()).isEqualTo(passes);
    }
  }

  @ParameterizedTest
  @CsvSource({
    "1,unbounded,IFCRAILING,true,2",
    "1,unbounded,IFCWALL,false,0",
    "0,unbounded,IFCWALL,true,0",
    "0,0,IFCRAILING,false,2",
    "0,0,IFCWALL,true,0"
  })
  void occurrence(String min, String max, String entity, boolean passes, int applicable)
      throws IOException {
    RequirementReport.Result r =
        run(
            "IFC4",
            "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability minOccurs=\""
                + min
                + "\" maxOccurs=\""
                + max
                + "\"><entity><name><simpleValue>"
                + entity
                + "</simpleValue></name></entity></applicability></specification>");
    assertThat(r.pass()).isEqualTo(passes);
    assertThat(r.applicable()).isEqualTo(applicable);
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC2X3", "IFC4X3_ADD2"})
  void aSpecificationForAnotherSchemaIsSkipped(String version) throws IOException {
    RequirementReport.Result r =
        run("IFC4", about("Rail 1", "").replace("IFC2X3 IFC4 IFC4X3_ADD2", version));
    assertThat(r.skipped()).isTrue();
    assertThat(r.pass()).isTrue();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "<specification ifcVersion=\"IFC4\"><applicability/></specification>",
        "<specification name=\"s\"><applicability/></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC5\"><applicability/></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"/>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability><colour/></applicability></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability/><requirements><material cardinality=\"maybe\"/></requirements></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability/><requirements><classification/></requirements></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability/><requirements><material><value><xs:restriction base=\"xs:string\"><xs:pattern value=\"(\"/></xs:restriction></value></material></requirements></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability/><requirements><material><value><xs:restriction base=\"xs:double\"><xs:minInclusive value=\"1,5\"/></xs:restriction></value></material></requirements></specification>",
        "<specification name=\"s\" ifcVersion=\"IFC4\"><applicability/>",
      })
  void aBrokenFileIsRefusedInOneSentence(String body) {
    assertThatThrownBy(() -> run("IFC4", body))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("line ")
        .message()
        .doesNotContain("\n");
  }
}
