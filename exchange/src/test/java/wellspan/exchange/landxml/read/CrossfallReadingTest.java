package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Finding;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** Superelevation and cant stay with their alignment, stations in metres. */
class CrossfallReadingTest {
  @TempDir Path dir;

  private Received read(String unit, String inside) throws IOException {
    Path file = dir.resolve("a.xml");
    Files.writeString(
        file,
        "<LandXML xmlns=\"http://www.landxml.org/schema/LandXML-1.2\" version=\"1.2\"><Units><"
            + (unit.equals("foot") ? "Imperial" : "Metric")
            + " linearUnit=\""
            + unit
            + "\"/></Units><Alignments><Alignment name=\"A\" length=\"1000\" staStart=\"0\"><CoordGeom><Line><Start>0 0</Start><End>1000 0</End></Line></CoordGeom>"
            + inside
            + "</Alignment></Alignments></LandXML>");
    return LandXmlReader.read(file, Progress.NONE);
  }

  private static Map<String, PropertyValue> set(Received r, String name) {
    return r.items().getFirst().said().propertySets().stream()
        .filter(s -> s.name().equals(name))
        .map(PropertySet::values)
        .findFirst()
        .orElseThrow();
  }

  @Test
  void superelevationIsKeptInMetresAndAsARatio() throws IOException {
    Received r =
        read(
            "foot",
            "<Superelevation staStart=\"0\" staEnd=\"100\"><BeginRunoutSta>10</BeginRunoutSta><FullSuperSta>20</FullSuperSta><FullSuperSta>40</FullSuperSta><FullSuperelev>6</FullSuperelev><AdverseSE>adverse</AdverseSE></Superelevation><Superelevation><FullSuperelev>-0.025</FullSuperelev></Superelevation>");
    assertThat(set(r, "Superelevation"))
        .containsEntry("EndStation", new PropertyValue.Length(30.48))
        .containsEntry("FullSuperSta 2", new PropertyValue.Length(40 * 0.3048))
        .containsEntry("FullSuperelev", new PropertyValue.Measure("IfcRatioMeasure", 0.06))
        .containsEntry("AdverseSE", new PropertyValue.Label("adverse"));
    assertThat(set(r, "Superelevation (2)"))
        .containsEntry("FullSuperelev", new PropertyValue.Measure("IfcRatioMeasure", -0.025));
    assertThat(r.findings()).noneMatch(Finding::isError);
    assertThat(r.findings()).extracting(Finding::code).contains("landxml.crossfall");
  }

  @Test
  void cantIsKeptByStation() throws IOException {
    Received r =
        read(
            "meter",
            "<Cant name=\"main\" gauge=\"1435\" equilibriumConstant=\"11.8\"><CantStation station=\"0\" appliedCant=\"0\" curvature=\"cw\"/><CantStation station=\"80\" appliedCant=\"110\" curvature=\"cw\" transitionType=\"clothoid\"/><SpeedStation station=\"0\" speed=\"80\"/></Cant>");
    assertThat(set(r, "Cant main"))
        .containsEntry("Gauge", new PropertyValue.Length(1.435))
        .containsEntry(
            "AppliedCant",
            new PropertyValue.Table(
                List.of(new PropertyValue.Length(0), new PropertyValue.Length(80)),
                List.of(new PropertyValue.Length(0), new PropertyValue.Length(0.11))));
    assertThat(r.findings()).noneMatch(Finding::isError);
  }

  @Test
  void whatIsUnknownInItIsNamed() throws IOException {
    Received r =
        read(
            "meter",
            "<Superelevation><Bank>3</Bank><FullSuperelev>4</FullSuperelev></Superelevation>");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("<Bank>");
  }

  @Test
  void aBrokenCantDoesNotTakeItsAlignmentAlong() throws IOException {
    Received r =
        read(
            "meter",
            "<Cant name=\"c\" gauge=\"wide\"><CantStation station=\"0\" appliedCant=\"0\"/></Cant><Superelevation><FullSuperelev>4</FullSuperelev></Superelevation>");
    assertThat(r.items()).hasSize(1);
    assertThat(set(r, "Superelevation")).containsKey("FullSuperelev");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .extracting(Finding::message)
        .singleElement()
        .asString()
        .contains("the Cant")
        .contains("wide");
  }
}
