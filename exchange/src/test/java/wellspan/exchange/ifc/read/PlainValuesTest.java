package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.model.ModelObject;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/** What an object says of itself wrongly is left out and named; the object itself is read. */
class PlainValuesTest {
  @TempDir Path dir;

  private static final String SOUND =
      HandMadeModel.HEAD + HandMadeModel.PLACEMENT + HandMadeModel.WALL + HandMadeModel.BOX;

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#31,$,$)|#31,$,.NOSUCHTYPE.)|PredefinedType is .NOSUCHTYPE.",
        "#31,$,$)|#31,$,'SHEAR')|PredefinedType is 'SHEAR'",
        "#31,$,$)|#31,17,$)|Tag is 17",
        "'Wall',$,$,|'Wall',4.5,$,|Description is 4.5",
        "'Wall',$,$,|'Wall',$,#5,|ObjectType is #5",
        "'Wall',$,$,|'Wall',$,.NONE.,|ObjectType is .NONE.",
        "'Wall',$,$,|12,$,$,|Name is 12"
      })
  void theObjectIsReadWithoutIt(String sound, String wrong, String said) throws IOException {
    Received whole = new HandMadeModel(dir).read("IFC4", SOUND);
    Received r = new HandMadeModel(dir).read("IFC4", changed(sound, wrong));
    assertThat(r.items())
        .singleElement()
        .satisfies(i -> assertThat(i.bounds()).isEqualTo(whole.items().getFirst().bounds()));
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f -> assertThat(f.message()).contains(said).contains("#30").contains("left out"));
  }

  private static String changed(String sound, String wrong) {
    assertThat(SOUND).contains(sound);
    return SOUND.replace(sound, wrong);
  }

  @Test
  void manyOfOneFaultAreOneFinding() throws IOException {
    String doors =
        IntStream.range(100, 140)
            .mapToObj(
                n ->
                    "#"
                        + n
                        + "=IFCDOOR('0000000000000000000"
                        + n
                        + "',$,'Door',$,$,#24,#31,$,-1.,0.9,.TURNSTILE.,$,$);\n")
            .collect(Collectors.joining());
    Received r = new HandMadeModel(dir).read("IFC4", SOUND + doors);
    assertThat(r.items()).hasSize(41);
    assertThat(r.findings().stream().filter(Finding::isError).map(Finding::message))
        .hasSize(2)
        .allSatisfy(m -> assertThat(m).startsWith("40 × IfcDoor (#100 first)"))
        .anySatisfy(m -> assertThat(m).contains("OverallHeight is -1.0"))
        .anySatisfy(m -> assertThat(m).contains(".TURNSTILE."));
  }

  @Test
  void manyValuesOfOneAttributeAreOneFinding() throws IOException {
    String walls =
        IntStream.range(100, 130)
            .mapToObj(
                n ->
                    "#"
                        + n
                        + "=IFCWALL('0000000000000000000"
                        + n
                        + "',$,'Wall',$,$,#24,#31,"
                        + n
                        + ",$);\n")
            .collect(Collectors.joining());
    Received r = new HandMadeModel(dir).read("IFC4", SOUND + walls);
    assertThat(r.items()).hasSize(31);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .startsWith("30 × IfcWall (#100 first): Tag is 100")
                    .contains("first of 30 such values"));
  }

  /** In IFC4 a type of slabs must say of which kind it is; exporters leave it out. */
  @ParameterizedTest
  @CsvSource({"$,ifc.value.missing,false", ".PAVING.,ifc.value,true"})
  void aTypeKeepsWhatItSaysElse(String word, String code, boolean error) throws IOException {
    String slab =
        SOUND
            + "#60=IFCSLAB('0000000000000000000003',$,'Slab',$,$,#24,#31,$,$);\n"
            + "#61=IFCSLABTYPE('0000000000000000000004',$,'T',$,$,(#63),$,$,$,"
            + word
            + ");\n#62=IFCRELDEFINESBYTYPE('0000000000000000000005',$,$,$,(#60),#61);\n"
            + "#63=IFCPROPERTYSET('0000000000000000000006',$,'Client',$,(#64));\n"
            + "#64=IFCPROPERTYSINGLEVALUE('Lot',$,IFCLABEL('7'),$);\n";
    Received r = new HandMadeModel(dir).read("IFC4", slab);
    assertThat(r.items())
        .filteredOn(i -> i.name().equals("Slab"))
        .singleElement()
        .satisfies(
            i ->
                assertThat(i.attributes().said().propertySets().toString())
                    .contains("Client", "Lot", "7"));
    assertThat(r.findings()).extracting(Finding::code).contains(code);
    assertThat(r.hasErrors()).isEqualTo(error);
    assertThat(ModelReader.read(new HandMadeModel(dir).file("IFC4", slab), Progress.NONE).objects())
        .extracting(ModelObject::name)
        .contains("Wall", "Slab", "T");
  }

  @Test
  void describeNamesItToo() throws IOException {
    Path file = new HandMadeModel(dir).file("IFC4", changed("#31,$,$)", "#31,$,.NOSUCHTYPE.)"));
    List<Finding> said = ModelReader.read(file, Progress.NONE).findings();
    assertThat(said).singleElement().extracting(Finding::code).isEqualTo("ifc.value");
  }
}
