package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** What decides where or what an element is must be read whole, or the element is left out. */
class StrictReadingTest {
  @TempDir Path dir;

  private static final String SOUND =
      HandMadeModel.HEAD + HandMadeModel.PLACEMENT + HandMadeModel.WALL + HandMadeModel.BOX;

  private Received read(String data) throws IOException {
    return new HandMadeModel(dir).read("IFC4", data);
  }

  @Test
  void theSoundModelIsReadWhereItIs() throws IOException {
    Received r = read(SOUND);
    assertThat(r.items())
        .singleElement()
        .satisfies(
            i -> {
              assertThat(i.bounds().minE()).isCloseTo(8.5, within(1e-12));
              assertThat(i.bounds().minN()).isCloseTo(17.25, within(1e-12));
              assertThat(i.bounds().minH()).isCloseTo(3, within(1e-12));
            });
    assertThat(r.hasErrors()).isFalse();
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      quoteCharacter = '"',
      value = {
        "(10.5,18.25,3.)|(10,5,18.25,3.)",
        "(10.5,18.25,3.)|(10.5,18,25,3,0)",
        "(10.5,18.25,3.)|(10.5,18.25)",
        "(10.5,18.25,3.)|(10.5,$,3.)",
        "(10.5,18.25,3.)|('10.5',18.25,3.)",
        "(10.5,18.25,3.)|()",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT($,#20)",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT($,$)",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT(#23,#23)",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT(#24,#23)",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT($,#99)",
        "#24=IFCLOCALPLACEMENT($,#23)|#24=IFCLOCALPLACEMENT(#23)",
        "#23=IFCAXIS2PLACEMENT3D(#20,#8,#9)|#23=IFCAXIS2PLACEMENT3D(#20,#8,#8)",
        "#23=IFCAXIS2PLACEMENT3D(#20,#8,#9)|#23=IFCAXIS2PLACEMENT3D(#8,#8,#9)",
        "#23=IFCAXIS2PLACEMENT3D(#20,#8,#9)|#23=IFCAXIS2PLACEMENT3D(#11,#8,#9)",
        "$,#24,#31,|$,$,#31,",
        "$,#24,#31,|$,#23,#31,",
        "$,#24,#31,|$,#31,#24,",
        "IFCDIRECTION((0.,0.,1.))|IFCDIRECTION((0.,0.,0.))",
        "#12,4.,2.|#12,4.,$",
        "#12,4.,2.|#12,4.,-2.",
        "#12,4.,2.|#12,4,0,2.",
        "#12,4.,2.|#6,4.,2.",
        "(#49,#6,#8,3.)|(#49,#6,#8,'3.')",
        "(#49,#6,#8,3.)|(#49,#8,#8,3.)",
        "(#49,#6,#8,3.)|(#49,#6,#8)",
        "(.AREA.,$,#12|(.SOLID.,$,#12"
      })
  void whatCannotBeReadWholeIsLeftOutAndNamed(String sound, String broken) throws IOException {
    assertThat(SOUND).contains(sound);
    Received r =
        read(
            SOUND.replaceFirst(
                java.util.regex.Pattern.quote(sound),
                java.util.regex.Matcher.quoteReplacement(broken)));
    assertThat(r.items()).isEmpty();
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .anySatisfy(
            f -> assertThat(f.message()).contains("Wall").contains("#30").contains("left out"));
  }

  @Test
  void aMissingPlacementBelowLeavesOutEverythingThatStandsOnIt() throws IOException {
    String two =
        SOUND
            + "#60=IFCLOCALPLACEMENT(#24,#23);\n#61=IFCSLAB('0000000000000000000003',$,'Slab',$,$,#60,#31,$,$);\n"
            + "#62=IFCLOCALPLACEMENT($,#6);\n#63=IFCSLAB('0000000000000000000004',$,'Other',$,$,#62,#31,$,$);\n";
    assertThat(read(two).items()).hasSize(3);
    assertThat(read(two.replace("(10.5,18.25,3.)", "(10,5,18,25,3.)")).items())
        .extracting(Item::name)
        .containsExactly("Other");
  }

  @Test
  void numbersWithoutAPointAreTakenAndSaid() throws IOException {
    Received r = read(SOUND.replace("(10.5,18.25,3.)", "(10.5,18.25,3)"));
    assertThat(r.items()).hasSize(1);
    assertThat(r.hasErrors()).isFalse();
    assertThat(r.findings()).extracting(Finding::code).contains("ifc.real");
  }

  private static final String SET =
      "#70=IFCPROPERTYSET('0000000000000000000005',$,'Client',$,(#71,#72));\n#71=IFCPROPERTYSINGLEVALUE('A',$,IFCREAL(2.5),$);\n"
          + "#72=IFCPROPERTYSINGLEVALUE('B',$,IFCLABEL('b'),$);\n#73=IFCRELDEFINESBYPROPERTIES('0000000000000000000006',$,$,$,(#30),#70);\n";

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "IFCREAL(2.5)|2.5",
        "IFCREAL(2.5)|IFCREAL('2.5')",
        "IFCREAL(2.5)|IFCNOSUCHMEASURE(2.5)",
        "'B'|'A'",
        "(#30),#70|(#30),#71",
        "(#30),#70|(#99),#70",
        "IFCLABEL('b')|IFCBOOLEAN('b')"
      })
  void propertiesThatAreNotWhatTheySayAreNamed(String sound, String broken) throws IOException {
    assertThat(read(SOUND + SET).hasErrors()).isFalse();
    Received r = read(SOUND + SET.replace(sound, broken));
    assertThat(r.items()).hasSize(1);
    assertThat(r.hasErrors()).isTrue();
  }

  @Test
  void twoProductsWithOneIdAreNamed() throws IOException {
    Received r = read(SOUND + "#61=IFCSLAB('0000000000000000000002',$,'Slab',$,$,#24,#31,$,$);\n");
    assertThat(r.items()).hasSize(2);
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(
            f -> assertThat(f.message()).contains("Wall").contains("Slab").contains("GlobalId"));
  }

  @Test
  void aMapConversionInDoubtDoesNotCount() throws IOException {
    String map =
        "#80=IFCMAPCONVERSION(#4,#81,412000.,6534500.,10.,1.,0.,1.);\n#81=IFCPROJECTEDCRS('EPSG:25832',$,$,$,$,$,$);\n";
    assertThat(read(SOUND + map).bounds().minE()).isCloseTo(412_008.5, within(1e-9));
    for (String broken : List.of("412000,0,6534500.", "412000.,$", "'412000.',6534500.")) {
      Received r = read(SOUND + map.replace("412000.,6534500.", broken));
      assertThat(r.frame()).isEmpty();
      assertThat(r.findings()).extracting(Finding::code).contains("ifc.georeference");
      assertThat(r.hasErrors()).isTrue();
    }
  }

  @Test
  void aBodyThatIsNotReadDoesNotBecomeItsAxis() throws IOException {
    String axis =
        SOUND.replace("(#32))", "(#33,#32))")
            + "#33=IFCSHAPEREPRESENTATION(#4,'Axis','Curve2D',(#34));\n#34=IFCPOLYLINE((#11,#35));\n#35=IFCCARTESIANPOINT((4.,0.));\n";
    assertThat(read(axis).items())
        .singleElement()
        .extracting(i -> i.kind().title())
        .isEqualTo("body");
    Received r =
        read(
            axis.replace(
                "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.)", "#50=IFCBOUNDINGBOX(#5,4.,2.,3.)"));
    assertThat(r.items()).isEmpty();
    assertThat(r.hasErrors()).isTrue();
  }

  @Test
  void textsAreReadAsNamedPoints() throws IOException {
    String note =
        "#90=IFCANNOTATION('0000000000000000000007',$,'Note',$,$,#24,#91);\n#91=IFCPRODUCTDEFINITIONSHAPE($,$,(#92));\n"
            + "#92=IFCSHAPEREPRESENTATION(#4,'Annotation','Annotation2D',(#93));\n#93=IFCTEXTLITERAL('Culvert 7',#6,.RIGHT.);\n";
    Received r = read(SOUND + note);
    assertThat(r.hasErrors()).isFalse();
    Shape.Points g =
        (Shape.Points)
            r.items().stream()
                .filter(i -> i.shape() instanceof Shape.Points)
                .findFirst()
                .orElseThrow()
                .shape();
    assertThat(g.points().getFirst().name()).isEqualTo("Culvert 7");
    assertThat(g.points().getFirst().position().east()).isEqualTo(10.5);
    assertThat(r.findings()).extracting(Finding::code).contains("ifc.text");
  }

  @Test
  void anAlignmentWithAJumpIsNamed() throws IOException {
    String line =
        "#60=IFCALIGNMENT('0000000000000000000007',$,'Axis',$,$,#24,$,$);\n#61=IFCALIGNMENTHORIZONTAL('0000000000000000000008',$,$,$,$,#24,$);\n"
            + "#63=IFCRELNESTS('0000000000000000000010',$,$,$,#60,(#61));\n#64=IFCRELNESTS('0000000000000000000011',$,$,$,#61,(#70,#71));\n"
            + "#70=IFCALIGNMENTSEGMENT('0000000000000000000013',$,$,$,$,#24,$,#73);\n#71=IFCALIGNMENTSEGMENT('0000000000000000000014',$,$,$,$,#24,$,#74);\n"
            + "#73=IFCALIGNMENTHORIZONTALSEGMENT($,$,#76,0.,0.,0.,50.,$,.LINE.);\n#74=IFCALIGNMENTHORIZONTALSEGMENT($,$,#77,0.,0.,0.,50.,$,.LINE.);\n"
            + "#76=IFCCARTESIANPOINT((0.,0.));\n#77=IFCCARTESIANPOINT((50.,0.));\n";
    HandMadeModel model = new HandMadeModel(dir);
    String head = HandMadeModel.HEAD + HandMadeModel.PLACEMENT;
    assertThat(model.read("IFC4X3_ADD2", head + line).hasErrors()).isFalse();
    assertThat(model.read("IFC4X3_ADD2", head + line.replace("(50.,0.)", "(50.2,0.)")).findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("jump").contains("0.2000 m"));
  }
}
