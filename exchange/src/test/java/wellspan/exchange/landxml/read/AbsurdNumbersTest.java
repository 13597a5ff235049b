package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** Numbers that no design holds: what has them is named, the rest is read, nothing takes long. */
class AbsurdNumbersTest {
  private static final Duration LONG = Duration.ofSeconds(30);

  private static final String DESIGN =
      """
      <LandXML xmlns="http://www.landxml.org/schema/LandXML-1.2" version="1.2">
      <Units><Metric linearUnit="meter" areaUnit="squareMeter" volumeUnit="cubicMeter"/></Units>
      <CgPoints><CgPoint name="P">6534600 412000 3</CgPoint></CgPoints>
      <Alignments><Alignment name="Road" length="100" staStart="0"><CoordGeom>
      <Line><Start>6534600 412000</Start><End>6534600 412050</End></Line>
      <Curve rot="ccw" radius="200"><Start>6534600 412050</Start><Center>6534800 412050</Center><End>6534606.218 412099.481</End></Curve>
      </CoordGeom></Alignment></Alignments>
      <Surfaces><Surface name="Ground"><Definition surfType="TIN"><Pnts>
      <P id="1">6534600 412000 1</P><P id="2">6534610 412000 1</P><P id="3">6534600 412010 1</P><P id="4">6534610 412010 2</P></Pnts>
      <Faces><F>1 3 2</F><F>2 3 4</F></Faces></Definition></Surface></Surfaces>
      </LandXML>
      """;

  @TempDir Path dir;

  private Received read(String text) {
    return Assertions.assertTimeoutPreemptively(
        LONG,
        () -> LandXmlReader.read(Files.writeString(dir.resolve("a.xml"), text), Progress.NONE));
  }

  @ParameterizedTest
  @CsvSource({
    "<End>6534600 412050</End>,<End>6534600 1e300</End>,is not a number",
    "<End>6534600 412050</End>,<End>6534600 -1e13</End>,is not a number",
    "radius=\"200\",radius=\"1e300\",is not a number",
    "<CgPoint name=\"P\">6534600 412000 3,<CgPoint name=\"P\">1e300 412000 3,is not a number",
    "412010 2</P>,1e300 2</P>,point 4 needs northing"
  })
  void whatHasThemIsNamed(String sound, String absurd, String said) {
    assertThat(read(DESIGN).findings()).filteredOn(Finding::isError).isEmpty();
    assertThat(DESIGN).contains(sound);
    Received r = read(DESIGN.replace(sound, absurd));
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .isNotEmpty()
        .anySatisfy(f -> assertThat(f.message()).contains(said));
    assertThat(r.items()).isNotEmpty();
  }
}
