package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.progress.Progress;
import wellspan.exchange.ifc.read.IfcReader;

/** Two files compared, whatever their formats. */
class ProveCommandTest extends CommandFixture {
  private Path design;

  @BeforeEach
  void aDesign() throws IOException {
    design = dir.resolve("design.xml");
    Files.writeString(
        design,
        """
        <?xml version="1.0"?>
        <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
        <Units><Metric linearUnit="meter" areaUnit="squareMeter" volumeUnit="cubicMeter" angularUnit="decimal degrees"/></Units>
        <CoordinateSystem epsgCode="25832"/>
        <Surfaces><Surface name="Ground"><Definition surfType="TIN"><Pnts>
        <P id="1">5400000 500000 3</P><P id="2">5400000 500040 4</P><P id="3">5400030 500040 5.5</P>
        <P id="4">5400030 500000 3.25</P><P id="5">5400015 500020 6</P></Pnts>
        <Faces><F>1 5 2</F><F>2 5 3</F><F>3 5 4</F><F>4 5 1</F></Faces></Definition></Surface></Surfaces>
        </LandXML>
        """);
  }

  private Path converted(String name) {
    Path out = dir.resolve(name);
    assertThat(run("convert", design.toString(), out.toString())).as(err.toString()).isZero();
    return out;
  }

  private void change(Path file, String from, String to) throws IOException {
    String text = Files.readString(file, StandardCharsets.UTF_8);
    assertThat(text).contains(from);
    Files.writeString(file, text.replaceFirst(java.util.regex.Pattern.quote(from), to));
  }

  @ParameterizedTest
  @CsvSource({"xml,ifc", "ifc,xml", "xml,dxf", "dxf,ifc", "ifc,ifc"})
  void aFileOfAnotherFormatIsWholeWhenItHoldsTheSame(String sent, String arrived) {
    Path a = converted("a." + sent);
    Path b = converted("b." + arrived);
    assertThat(run("prove", a.toString(), b.toString())).as(out.toString()).isZero();
    assertThat(out.toString()).contains("whole").contains("1 of 1 items arrived");
  }

  @Test
  void aModelThatIsConvertedAgainIsTheSameModel() {
    Path first = converted("first.ifc");
    Path again = dir.resolve("again.ifc");
    assertThat(run("convert", first.toString(), again.toString())).as(err.toString()).isZero();
    assertThat(run("prove", first.toString(), again.toString())).as(out.toString()).isZero();
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC4X3", "IFC4", "IFC2X3"})
  void aModelThatIsConvertedStaysInItsProjectAndSite(String schema) throws IOException {
    Path first = dir.resolve("first.ifc");
    Path again = dir.resolve("again.ifc");
    run("convert", design.toString(), first.toString(), "--site", "Nordufer", "--phase", "tender");
    assertThat(run("convert", first.toString(), again.toString(), "--schema", schema))
        .as(err.toString())
        .isZero();
    ModelRoot here = IfcReader.read(first, Progress.NONE).root().orElseThrow();
    ModelRoot there = IfcReader.read(again, Progress.NONE).root().orElseThrow();
    assertThat(there.project()).isEqualTo(here.project());
    assertThat(there.site()).isEqualTo(here.site());
    assertThat(there.levels()).hasSameSizeAs(here.levels());
    assertThat(there.phase()).isEqualTo("tender");
    assertThat(there.site().orElseThrow().name()).isEqualTo("Nordufer");

    run("convert", first.toString(), again.toString(), "--site", "Südufer");
    Holder site = IfcReader.read(again, Progress.NONE).root().orElseThrow().site().orElseThrow();
    assertThat(site.name()).as("what is stated goes before what was received").isEqualTo("Südufer");
    assertThat(site.globalId()).isEqualTo(here.site().orElseThrow().globalId());
  }

  @Test
  void aLevelUnderAnotherGlobalIdIsADifference() throws IOException {
    Path first = converted("first.ifc");
    Path again = dir.resolve("again.ifc");
    run("convert", first.toString(), again.toString());
    String text = Files.readString(again);
    Matcher road = Pattern.compile("IFCROADPART\\('(.{22})'").matcher(text);
    assertThat(road.find()).isTrue();
    change(again, road.group(1), "3" + road.group(1).substring(1, 21) + "0");
    assertThat(run("prove", first.toString(), again.toString())).isEqualTo(1);
    assertThat(out.toString()).contains("was sent with the GlobalId " + road.group(1));
  }

  @Test
  void whatDiffersIsNamedWithItsFigureAndWhatWasNotComparedIsSaid() throws IOException {
    Path sent = converted("sent.xml");
    Path arrived = dir.resolve("arrived.xml");
    Files.copy(sent, arrived);
    change(arrived, "5400015.0 500020.0 6.0", "5400015.0 500020.0 6.125");
    assertThat(run("prove", sent.toString(), arrived.toString(), "--json")).isEqualTo(1);
    JsonNode p = json();
    assertThat(p.path("pass").asBoolean(true)).isFalse();
    assertThat(p.path("maxDeviation").asDouble()).isEqualTo(0.125);
    assertThat(p.path("differences")).hasSize(1);
    assertThat(p.path("differences").get(0).path("what").asText()).isEqualTo("level");
    assertThat(p.path("differences").get(0).path("item").asText()).isEqualTo("Ground");
    assertThat(p.path("differences").get(0).path("figure").asDouble()).isEqualTo(0.125);
    assertThat(p.path("notCompared")).isNotEmpty();
  }

  @Test
  void aDrawingThatLostItsPlaceIsComparedInTheFrameOfWhatWasSentAndThatIsSaid() throws IOException {
    Path sent = converted("sent.dxf");
    Path folder = Files.createDirectory(dir.resolve("back"));
    Path arrived = folder.resolve("from them.dxf");
    Files.copy(sent, arrived);
    assertThat(run("prove", sent.toString(), arrived.toString())).isZero();
    assertThat(out.toString())
        .contains("from them.dxf does not say where it lies")
        .contains("whole");
    run("prove", converted("sent.ifc").toString(), arrived.toString(), "--json");
    assertThat(json().path("maxDeviation").asDouble(1)).isLessThan(1e-4);
    assertThat(json().path("differences")).hasSize(1);
    assertThat(json().path("differences").get(0).path("what").asText())
        .as("a drawing without the colour that the model had")
        .isEqualTo("colour");
  }

  @Test
  void aFileElsewhereIsNotTakenForOneWithoutAPlace() throws IOException {
    Path sent = converted("sent.xml");
    Path arrived = dir.resolve("arrived.xml");
    Files.copy(sent, arrived);
    String moved =
        Files.readString(arrived).replace("5400", "5401").replace("epsgCode=\"25832\"", "");
    Files.writeString(arrived, moved);
    assertThat(run("prove", sent.toString(), arrived.toString())).isEqualTo(1);
    assertThat(out.toString()).contains("NOT WHOLE").contains("1000.0000 m to the north");
  }

  @Test
  void aFileThatCannotBeReadIsOneLine() throws IOException {
    Path broken = dir.resolve("broken.xml");
    Files.writeString(broken, "<LandXML");
    assertThat(run("prove", design.toString(), broken.toString())).isEqualTo(2);
    assertThat(err.toString().strip().lines()).hasSize(1);
    assertThat(err.toString()).contains("broken.xml");
    assertThat(out.toString()).isEmpty();
  }
}
