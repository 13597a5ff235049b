package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static wellspan.exchange.ifc.read.HandMadeModel.BOX;
import static wellspan.exchange.ifc.read.HandMadeModel.HEAD;
import static wellspan.exchange.ifc.read.HandMadeModel.PLACEMENT;
import static wellspan.exchange.ifc.read.HandMadeModel.WALL;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.ReadException;

/** Models with something wrong in them: what is sound is read, what is not is named. */
class BrokenModelTest {
  /** A second wall beside the first, which has nothing to do with what is broken. */
  private static final String SOUND =
      "#230=IFCWALL('0000000000000000000003',$,'Sound',$,$,#24,#231,$,$);\n"
          + "#231=IFCPRODUCTDEFINITIONSHAPE($,$,(#232));\n#232=IFCSHAPEREPRESENTATION(#4,'Body','x',(#250));\n"
          + "#250=IFCBLOCK(#6,1.,1.,1.);\n";

  private static final String GOOD = HEAD + PLACEMENT + WALL + BOX + SOUND;

  @TempDir Path dir;

  private Received read(String data) throws IOException {
    return new HandMadeModel(dir).read("IFC4", data);
  }

  private static List<String> names(Received r) {
    return r.items().stream().map(Item::name).toList();
  }

  @Test
  void theUnbrokenModelHasBoth() throws IOException {
    Received r = read(GOOD);
    assertThat(names(r)).containsExactly("Wall", "Sound");
    assertThat(r.findings()).noneMatch(Finding::isError);
  }

  /** Each breaks the first wall in one way; the second must be there whatever happens. */
  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#949,#6,#8,3.)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#49,#6,#8)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.,4.)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#49,#6,#8,'three')",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#49,#6,#8,$)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#49,#6,#8,0.)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCEXTRUDEDAREASOLID(#3,#6,#8,3.)",
        "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.) | #50=IFCNOSUCHSOLID(#49,#6,#8,3.)",
        "(.AREA.,$,#12,4.,2.) | (.AREA.,$,#12,4.,0.)",
        "(.AREA.,$,#12,4.,2.) | (.AREA.,$,#12,$,2.)",
        "(.AREA.,$,#12,4.,2.) | (.AREA.,$,#12,1.E400,2.)",
        "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32)) | #31=IFCPRODUCTDEFINITIONSHAPE($,$,(#932))",
        "#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50)) | #32=IFCSHAPEREPRESENTATION(#4,'Body','x',())",
        "#32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50)) | #32=IFCSHAPEREPRESENTATION(#4,'Body','x',(#30))"
      })
  void aBrokenBodyIsNamedAndTheRestIsRead(String good, String bad) throws IOException {
    String data = GOOD.replace(good, bad);
    assertThat(data).isNotEqualTo(GOOD);
    Received r = read(data);
    assertThat(names(r)).contains("Sound").doesNotContain("Wall");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .anySatisfy(f -> assertThat(f.message()).containsAnyOf("Wall", "#50", "#49", "#31", "#32"));
  }

  @Test
  void placementsThatStandOnEachOtherInACircleComeToAnEnd() throws IOException {
    String circle =
        GOOD.replace(
            "#24=IFCLOCALPLACEMENT($,#23)",
            "#25=IFCLOCALPLACEMENT(#26,#23);\n#26=IFCLOCALPLACEMENT(#25,#23);\n#24=IFCLOCALPLACEMENT($,#23)");
    String first = circle.replace("'Wall',$,$,#24", "'Wall',$,$,#25");
    Received r = Assertions.assertTimeoutPreemptively(Duration.ofSeconds(20), () -> read(first));
    assertThat(names(r)).containsExactly("Sound");
    assertThat(r.findings()).anyMatch(f -> f.isError() && f.message().contains("Wall"));
  }

  @Test
  void mapsOfThemselvesComeToAnEnd() throws IOException {
    String own =
        GOOD.replace(
            "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.)",
            "#51=IFCSHAPEREPRESENTATION(#4,'Body','x',(#50));\n#52=IFCREPRESENTATIONMAP(#6,#51);\n"
                + "#53=IFCCARTESIANTRANSFORMATIONOPERATOR3D($,$,#5,$,$);\n#50=IFCMAPPEDITEM(#52,#53)");
    Received r = Assertions.assertTimeoutPreemptively(Duration.ofSeconds(20), () -> read(own));
    assertThat(names(r)).containsExactly("Sound");
  }

  @Test
  void wholesThatArePartsOfEachOtherAreNoTrouble() throws IOException {
    Received r =
        read(
            GOOD
                + "#300=IFCRELAGGREGATES('0000000000000000000004',$,$,$,#30,(#230));\n"
                + "#301=IFCRELAGGREGATES('0000000000000000000005',$,$,$,#230,(#30));\n"
                + "#302=IFCRELAGGREGATES('0000000000000000000006',$,$,$,#30,(#30));\n");
    assertThat(names(r)).containsExactly("Wall", "Sound");
  }

  @Test
  void aNumberThatIsGivenTwiceIsNamed() throws IOException {
    Received r = read(GOOD + "#250=IFCBLOCK(#6,7.,7.,7.);\n");
    assertThat(r.findings()).anySatisfy(f -> assertThat(f.message()).contains("#250"));
  }

  @Test
  void aModelThatEndsInTheMiddleIsRefusedWithItsLine() throws IOException {
    Path f = dir.resolve("cut.ifc");
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n"
            + GOOD;
    Files.writeString(f, text.substring(0, text.length() - 25));
    assertThatThrownBy(() -> IfcReader.read(f, Progress.NONE))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("cut.ifc");
  }

  @ParameterizedTest
  @ValueSource(strings = {"IFC5", "AP214", "IFC2X2_FINAL"})
  void anUnknownSchemaIsNamedWithThoseThatAreRead(String schema) {
    assertThatThrownBy(() -> new HandMadeModel(dir).read(schema, GOOD))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("IFC4");
  }

  @Test
  void twoProductsOfOneNumberAreBothLeftOutAndNamed() throws IOException {
    Received r =
        read(GOOD + "#230=IFCWALL('0000000000000000000007',$,'Double',$,$,#24,#231,$,$);\n");
    assertThat(names(r)).containsExactly("Wall");
    assertThat(r.findings()).anyMatch(f -> f.isError() && f.message().contains("#230"));
  }

  @Test
  void aModelWithoutASchemaSaysSo() {
    assertThatThrownBy(() -> new HandMadeModel(dir).read("", GOOD))
        .isInstanceOf(ReadException.class)
        .hasMessageContaining("does not name its schema");
  }

  @Test
  void aTextOfTenMegabytesIsATextLikeOthers() throws IOException {
    String name = "x".repeat(10_000_000);
    Received r = read(GOOD.replace("'Sound'", "'" + name + "'"));
    assertThat(r.items()).hasSize(2);
    assertThat(r.items().get(1).name()).hasSize(name.length());
  }

  /** Whatever byte is changed: an answer, never a crash and never an endless loop. */
  @Test
  @Timeout(120)
  void anyChangedByteGivesAnAnswer() throws IOException {
    Random random = new Random(11);
    String text =
        "ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((''),'2;1');\nFILE_NAME('','',(''),(''),'','','');\nFILE_SCHEMA(('IFC4'));\nENDSEC;\nDATA;\n"
            + GOOD
            + "ENDSEC;\nEND-ISO-10303-21;\n";
    String signs = "#()=;,'.$*0123456789-EeT\\/ \n";
    Path f = dir.resolve("changed.ifc");
    int read = 0;
    for (int k = 0; k < 400; k++) {
      StringBuilder changed = new StringBuilder(text);
      for (int n = 0; n <= k % 3; n++) {
        int at = random.nextInt(text.length());
        changed.setCharAt(at, signs.charAt(random.nextInt(signs.length())));
      }
      Files.writeString(f, changed);
      try {
        assertThat(IfcReader.read(f, Progress.NONE).items().size()).isBetween(0, 3);
        read++;
      } catch (ReadException e) {
        assertThat(e.getMessage()).contains("changed.ifc");
      }
    }
    assertThat(read).isGreaterThan(100);
  }
}
