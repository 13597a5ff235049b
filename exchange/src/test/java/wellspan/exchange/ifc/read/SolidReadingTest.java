package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.receive.Received;

/** Solids of every kind, with volumes by formula. */
class SolidReadingTest {
  private static final String PATH =
      "#40=IFCCARTESIANPOINT((0.,0.,0.));\n#41=IFCCARTESIANPOINT((10.,0.,0.));\n#42=IFCCARTESIANPOINT((10.,5.,0.));\n#43=IFCPOLYLINE((#40,#41,#42));\n";

  @TempDir Path dir;

  private Mesh mesh(String schema, String body) throws IOException {
    Received r = new HandMadeModel(dir).wall(schema, body);
    assertThat(r.findings()).filteredOn(Finding::isError).isEmpty();
    return r.items().getFirst().triangles().orElseThrow();
  }

  private void hasVolume(String schema, String body, double volume, Offset<Double> within)
      throws IOException {
    Mesh m = mesh(schema, body);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(volume, within);
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.)|8|0",
        "IFCROUNDEDRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.,0.5)|7.785398163|0.01",
        "IFCRECTANGLEHOLLOWPROFILEDEF(.AREA.,$,#12,4.,2.,0.1,$,$)|1.16|0",
        "IFCCIRCLEPROFILEDEF(.AREA.,$,#12,2.)|12.566370614|0.03",
        "IFCCIRCLEHOLLOWPROFILEDEF(.AREA.,$,#12,2.,0.5)|5.497787144|0.02",
        "IFCELLIPSEPROFILEDEF(.AREA.,$,#12,3.,1.)|9.424777961|0.02",
        "IFCTRAPEZIUMPROFILEDEF(.AREA.,$,#12,4.,2.,2.,0.5)|6|0",
        "IFCISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.3,$,$,$)|1.68|0",
        "IFCISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.3,0.1,$,$)|1.688584073|0.0005",
        "IFCLSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,$,$,$)|0.96|0",
        "IFCTSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.3,$,$,$,$,$)|1.14|0",
        "IFCUSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.3,$,$,$)|1.68|0",
        "IFCCSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.1,0.4,$)|0.74|0",
        "IFCZSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.3,$,$)|1.68|0",
        "IFCASYMMETRICISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.3,$,1.,0.4,$,$,$,$,$)|1.46|0",
        // faces that rise by a tenth of their run
        "IFCISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.3,$,$,0.09966865249116204)|1.662|0",
        "IFCUSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.3,$,$,0.09966865249116204)|1.644|0",
        "IFCLSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,$,$,0.09966865249116204)|0.904671717|0",
        "IFCTSHAPEPROFILEDEF(.AREA.,$,#12,3.,2.,0.2,0.3,$,$,$,0.01999733397315053,0.09966865249116204)|1.1129659|0.0000002",
        "IFCASYMMETRICISHAPEPROFILEDEF(.AREA.,$,#12,2.,3.,0.2,0.3,$,2.,0.3,$,$,0.09966865249116204,$,0.09966865249116204)|1.662|0"
      })
  void profiles(String profile, double area, double off) throws IOException {
    hasVolume(
        "IFC4",
        "#49=" + profile + ";\n#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,10.);\n",
        10 * area,
        within(10 * off + 1e-8));
  }

  @Test
  void profilesMadeOfOthers() throws IOException {
    String rect = "#48=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n";
    String far =
        "#45=IFCCARTESIANPOINT((10.,0.));\n#46=IFCCARTESIANTRANSFORMATIONOPERATOR2D($,$,#45,0.5);\n#47=IFCDERIVEDPROFILEDEF(.AREA.,$,#48,#46,$);\n";
    String solid = "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,10.);\n";
    hasVolume(
        "IFC4",
        rect + far + "#49=IFCCOMPOSITEPROFILEDEF(.AREA.,$,(#48,#47),$);\n" + solid,
        80 + 20,
        within(1e-8));
    hasVolume(
        "IFC4",
        "#43=IFCCARTESIANPOINT((0.,0.));\n#44=IFCCARTESIANPOINT((4.,0.));\n#45=IFCCARTESIANPOINT((4.,3.));\n#46=IFCPOLYLINE((#43,#44,#45));\n#49=IFCCENTERLINEPROFILEDEF(.CURVE.,$,#46,0.2);\n"
            + solid,
        10 * 7 * 0.2,
        within(1e-8));
  }

  @Test
  void roundOutlines() throws IOException {
    String half =
        "#44=IFCCARTESIANPOINTLIST2D(((0.,0.),(2.,0.),(2.,2.),(1.,3.),(0.,2.)));\n#45=IFCINDEXEDPOLYCURVE(#44,(IFCLINEINDEX((1,2,3)),IFCARCINDEX((3,4,5)),IFCLINEINDEX((5,1))),.F.);\n#49=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#45);\n";
    hasVolume(
        "IFC4",
        half + "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,10.);\n",
        10 * (4 + Math.PI / 2),
        within(0.03));
    String composite =
        "#40=IFCCARTESIANPOINT((1.,0.));\n#41=IFCCARTESIANPOINT((-1.,0.));\n#42=IFCPOLYLINE((#41,#40));\n#43=IFCCIRCLE(#12,1.);\n#44=IFCTRIMMEDCURVE(#43,(#40),(#41),.T.,.CARTESIAN.);\n"
            + "#45=IFCCOMPOSITECURVESEGMENT(.CONTINUOUS.,.T.,#42);\n#46=IFCCOMPOSITECURVESEGMENT(.CONTINUOUS.,.T.,#44);\n#47=IFCCOMPOSITECURVE((#45,#46),.F.);\n#49=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#47);\n";
    hasVolume(
        "IFC4",
        composite + "#50=IFCEXTRUDEDAREASOLID(#49,#6,#8,10.);\n",
        10 * Math.PI / 2,
        within(0.03));
  }

  @Test
  void revolutions() throws IOException {
    String axis =
        "#44=IFCCARTESIANPOINT((-5.,0.,0.));\n#45=IFCAXIS1PLACEMENT(#44,#10);\n#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n";
    hasVolume(
        "IFC4",
        axis + "#50=IFCREVOLVEDAREASOLID(#49,#6,#45,1.5707963267948966);\n",
        8 * 5 * Math.PI / 2,
        within(0.06));
    hasVolume(
        "IFC4",
        axis + "#50=IFCREVOLVEDAREASOLID(#49,#6,#45,6.283185307179586);\n",
        8 * 5 * 2 * Math.PI,
        within(0.2));
    hasVolume(
        "IFC4", // a disk: the rectangle touches its axis
        axis.replace("(-5.,0.,0.)", "(-2.,0.,0.)")
            + "#50=IFCREVOLVEDAREASOLID(#49,#6,#45,6.283185307179586);\n",
        Math.PI * 16 * 2,
        within(0.2));
  }

  @Test
  void tubesKeepTheirSectionRoundCorners() throws IOException {
    hasVolume(
        "IFC4",
        PATH + "#50=IFCSWEPTDISKSOLID(#43,0.5,$,$,$);\n",
        Math.PI * 0.25 * 15,
        within(0.03));
    hasVolume(
        "IFC4",
        PATH + "#50=IFCSWEPTDISKSOLID(#43,0.5,0.4,$,$);\n",
        Math.PI * (0.25 - 0.16) * 15,
        within(0.02));
    hasVolume(
        "IFC4",
        "#43=IFCCIRCLE(#6,5.);\n#50=IFCSWEPTDISKSOLID(#43,0.5,$,$,$);\n",
        Math.PI * 0.25 * 2 * Math.PI * 5,
        within(0.1));
  }

  @ParameterizedTest
  @CsvSource({
    "6, a piece is too short", // twice six on a piece of ten and one of five
    "5.1, a piece is too short"
  })
  void cornersRounderThanTheirPiecesAreLongAreNamed(double radius, String why) throws IOException {
    Received r =
        new HandMadeModel(dir)
            .wall("IFC4", PATH + "#50=IFCSWEPTDISKSOLIDPOLYGONAL(#43,0.5,$,$,$," + radius + ");\n");
    assertThat(r.items()).isEmpty();
    assertThat(r.findings()).anyMatch(f -> f.isError() && f.message().contains(why));
  }

  @Test
  void largePrimitivesAreRoundWithinTheTolerance() throws IOException {
    double r = 40; // with 64 corners its sides would lie 48 mm inside
    Mesh tank = mesh("IFC4", "#50=IFCRIGHTCIRCULARCYLINDER(#6,1.," + r + ");\n");
    Mesh ball = mesh("IFC4", "#50=IFCSPHERE(#6," + r + ");\n");
    assertThat(tank.volume()).isCloseTo(Math.PI * r * r, within(2 * Math.PI * r * 0.01));
    assertThat(ball.volume())
        .isCloseTo(4 * Math.PI * r * r * r / 3, within(2 * 4 * Math.PI * r * r * 0.01));
  }

  @Test
  void primitivesAndTheirDifferences() throws IOException {
    hasVolume("IFC4", "#50=IFCBLOCK(#6,2.,3.,4.);\n", 24, within(1e-9));
    hasVolume("IFC4", "#50=IFCRECTANGULARPYRAMID(#6,2.,3.,4.);\n", 8, within(1e-9));
    hasVolume("IFC4", "#50=IFCRIGHTCIRCULARCONE(#6,3.,1.);\n", Math.PI, within(0.01));
    hasVolume("IFC4", "#50=IFCSPHERE(#6,1.);\n", 4 * Math.PI / 3, within(0.02));
    hasVolume(
        "IFC4",
        "#47=IFCBLOCK(#6,2.,3.,4.);\n#48=IFCRIGHTCIRCULARCYLINDER(#6,4.,0.5);\n#49=IFCBOOLEANRESULT(.DIFFERENCE.,#47,#48);\n#50=IFCCSGSOLID(#49);\n",
        24 - Math.PI * 0.25 * 4 / 4,
        within(0.01));
  }

  private static final String CLIPPED =
      "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#48=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.);\n#45=IFCCARTESIANPOINT((0.,0.,2.));\n";

  @Test
  void clippingByHalfSpaces() throws IOException {
    String level =
        CLIPPED
            + "#46=IFCAXIS2PLACEMENT3D(#45,#8,#9);\n#47=IFCPLANE(#46);\n#44=IFCHALFSPACESOLID(#47,.F.);\n#50=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#48,#44);\n";
    hasVolume("IFC4", level, 16, within(1e-9));
    assertThat(mesh("IFC4", level).bounds().maxH()).isCloseTo(5, within(1e-9));
    hasVolume("IFC4", level.replace("#47,.F.", "#47,.T."), 8, within(1e-9));
    String slope =
        level.replace("(#45,#8,#9)", "(#45,#43,#9)") + "#43=IFCDIRECTION((0.,0.5,1.));\n";
    hasVolume("IFC4", slope, 16, within(1e-9)); // tilted about its middle
    String bounded =
        CLIPPED
            + "#46=IFCAXIS2PLACEMENT3D(#45,#8,#9);\n#47=IFCPLANE(#46);\n#40=IFCCARTESIANPOINT((0.,-9.));\n#41=IFCCARTESIANPOINT((9.,-9.));\n#42=IFCCARTESIANPOINT((9.,9.));\n#43=IFCCARTESIANPOINT((0.,9.));\n"
            + "#39=IFCPOLYLINE((#40,#41,#42,#43,#40));\n#44=IFCPOLYGONALBOUNDEDHALFSPACE(#47,.F.,#6,#39);\n#50=IFCBOOLEANCLIPPINGRESULT(.DIFFERENCE.,#48,#44);\n";
    hasVolume("IFC4", bounded, 24 - 4, within(1e-9));
  }

  @Test
  void sectionsAlongALine() throws IOException {
    String section =
        "#40=IFCCARTESIANPOINT((0.,0.,0.));\n#41=IFCCARTESIANPOINT((10.,0.,1.));\n#43=IFCPOLYLINE((#40,#41));\n#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#48=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,2.,2.);\n"
            + "#44=IFCPOINTBYDISTANCEEXPRESSION(IFCLENGTHMEASURE(0.),$,$,$,#43);\n#45=IFCPOINTBYDISTANCEEXPRESSION(IFCLENGTHMEASURE(10.04987562112089),$,$,$,#43);\n"
            + "#46=IFCAXIS2PLACEMENTLINEAR(#44,$,$);\n#47=IFCAXIS2PLACEMENTLINEAR(#45,$,$);\n#50=IFCSECTIONEDSOLIDHORIZONTAL(#43,(#49,#48),(#46,#47));\n";
    hasVolume("IFC4X3_ADD2", section, 10 * 2 * 3, within(1e-6));
    assertThat(mesh("IFC4X3_ADD2", section).bounds().maxE()).isCloseTo(20.5, within(1e-6));
    String surface =
        section.replaceAll("#4[89]=[^\n]*\n", "").replaceAll("#50=[^\n]*\n", "")
            + "#48=IFCOPENCROSSPROFILEDEF(.CURVE.,$,.T.,(3.,3.),(0.02,-0.02),$,$);\n#50=IFCSECTIONEDSURFACE(#43,(#46,#47),(#48,#48));\n";
    Mesh sheet = mesh("IFC4X3_ADD2", surface);
    assertThat(sheet.planArea()).isCloseTo(60, within(1e-6));
    assertThat(sheet.bounds().maxH()).isCloseTo(3 + 1 + 3 * Math.tan(0.02), within(1e-9));
  }

  /** One side thins from 0.3 to 0.02 over a hundred metres: its lower face is twisted. */
  @Test
  void aBodyThatThinsToOneSideKeepsItsVolume() throws IOException {
    String profiles =
        "#51=IFCCARTESIANPOINT((-2.,0.));\n#52=IFCCARTESIANPOINT((2.,0.));\n#53=IFCCARTESIANPOINT((2.,-0.3));\n#54=IFCCARTESIANPOINT((-2.,-0.3));\n#55=IFCCARTESIANPOINT((-2.,-0.02));\n"
            + "#56=IFCPOLYLINE((#51,#52,#53,#54,#51));\n#57=IFCPOLYLINE((#51,#52,#53,#55,#51));\n"
            + "#58=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#56);\n#59=IFCARBITRARYCLOSEDPROFILEDEF(.AREA.,$,#57);\n";
    double exact = 100 * (4 * 0.3 + 4 * 0.16) / 2;
    String sectioned =
        profiles
            + "#40=IFCCARTESIANPOINT((0.,0.,0.));\n#41=IFCCARTESIANPOINT((100.,0.,0.));\n#43=IFCPOLYLINE((#40,#41));\n"
            + "#44=IFCPOINTBYDISTANCEEXPRESSION(IFCLENGTHMEASURE(0.),$,$,$,#43);\n#45=IFCPOINTBYDISTANCEEXPRESSION(IFCLENGTHMEASURE(100.),$,$,$,#43);\n"
            + "#46=IFCAXIS2PLACEMENTLINEAR(#44,$,$);\n#47=IFCAXIS2PLACEMENTLINEAR(#45,$,$);\n#50=IFCSECTIONEDSOLIDHORIZONTAL(#43,(#58,#59),(#46,#47));\n";
    hasVolume("IFC4X3_ADD2", sectioned, exact, within(1e-4 * exact));
    String drawnOut = profiles + "#50=IFCEXTRUDEDAREASOLIDTAPERED(#58,$,#8,100.,#59);\n";
    hasVolume("IFC4", drawnOut, exact, within(1e-4 * exact));
    hasVolume("IFC4X3_ADD2", drawnOut, exact, within(1e-4 * exact));
  }

  @Test
  void openingsAreCutOut() throws IOException {
    String hole =
        HandMadeModel.BOX
            + "#60=IFCOPENINGELEMENT('0000000000000000000008',$,'Hole',$,$,#61,#62,$,.OPENING.);\n#61=IFCLOCALPLACEMENT(#24,#6);\n#62=IFCPRODUCTDEFINITIONSHAPE($,$,(#63));\n#63=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#64));\n"
            + "#64=IFCEXTRUDEDAREASOLID(#65,#6,#8,1.);\n#65=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,1.,5.);\n#66=IFCRELVOIDSELEMENT('0000000000000000000009',$,$,$,#30,#60);\n";
    Received r = new HandMadeModel(dir).wall("IFC4", hole);
    assertThat(r.hasErrors()).isFalse();
    assertThat(r.items()).singleElement().extracting(i -> i.kind().title()).isEqualTo("body");
    Mesh m = r.items().getFirst().triangles().orElseThrow();
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(24 - 2, within(1e-9));
    Received kept =
        new HandMadeModel(dir).wall("IFC4", hole.replace("#65,#6,#8,1.", "#65,#6,#8,$"));
    assertThat(kept.items()).hasSize(1);
    assertThat(kept.findings())
        .filteredOn(Finding::isError)
        .anySatisfy(f -> assertThat(f.message()).contains("Hole").contains("not cut out"));
  }

  @Test
  void mirroredCopiesStayTurnedOutwards() throws IOException {
    String copy =
        "#49=IFCRECTANGLEPROFILEDEF(.AREA.,$,#12,4.,2.);\n#48=IFCEXTRUDEDAREASOLID(#49,#6,#8,3.);\n#47=IFCSHAPEREPRESENTATION(#4,'Body','SweptSolid',(#48));\n#46=IFCREPRESENTATIONMAP(#6,#47);\n"
            + "#45=IFCDIRECTION((0.,-1.,0.));\n#44=IFCCARTESIANTRANSFORMATIONOPERATOR3D(#9,#45,#5,$,#8);\n#50=IFCMAPPEDITEM(#46,#44);\n";
    hasVolume("IFC4", copy, 24, within(1e-9));
  }
}
