package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.geom.Box;
import wellspan.core.receive.Received;

/** Things that stand along a line, by files written by hand; places as computed by hand. */
class LinearPlacementTest {
  @TempDir Path dir;

  /** 50 m to the east from (100, 200), then half a circle of 40 m to the left. */
  private static final String CURVE =
      "#100=IFCCARTESIANPOINT((100.,200.));\n#101=IFCCARTESIANPOINT((150.,200.));\n#102=IFCPOLYLINE((#100,#101));\n"
          + "#103=IFCCARTESIANPOINT((150.,240.));\n#104=IFCDIRECTION((0.,-1.));\n#105=IFCAXIS2PLACEMENT2D(#103,#104);\n#106=IFCCIRCLE(#105,40.);\n"
          + "#107=IFCTRIMMEDCURVE(#106,(IFCPARAMETERVALUE(0.)),(IFCPARAMETERVALUE(3.14159265358979)),.T.,.PARAMETER.);\n"
          + "#108=IFCCOMPOSITECURVESEGMENT(.CONTINUOUS.,.T.,#102);\n#109=IFCCOMPOSITECURVESEGMENT(.CONTINUOUS.,.T.,#107);\n#110=IFCCOMPOSITECURVE((#108,#109),.F.);\n";

  private static final double QUARTER = 50 + 20 * Math.PI;

  private Received stands(String curve, String place, String cartesian) throws IOException {
    return new HandMadeModel(dir)
        .read(
            "IFC4X3_ADD2",
            HandMadeModel.HEAD
                + curve
                + place
                + "#24=IFCLINEARPLACEMENT($,#121,"
                + cartesian
                + ");\n"
                + HandMadeModel.WALL
                + HandMadeModel.BOX);
  }

  private static String at(double distance, double left, double up, String axis) {
    return "#120=IFCPOINTBYDISTANCEEXPRESSION(IFCLENGTHMEASURE("
        + distance
        + "),"
        + left
        + ","
        + up
        + ",$,#110);\n#121=IFCAXIS2PLACEMENTLINEAR(#120,"
        + axis
        + ",$);\n";
  }

  private static Box box(Received r) {
    assertThat(r.findings()).as(r.findings().toString()).noneMatch(f -> f.isError());
    return r.items().getFirst().bounds();
  }

  @Test
  void withoutCoordinatesItStandsByItsDistance() throws IOException {
    Box b = box(stands(CURVE, at(QUARTER, 3, 2, "$"), "$"));
    // a quarter of the circle on the line runs north, so left is west and the wall lies across
    assertThat(b.minE()).isCloseTo(190 - 3 - 1, within(1e-3));
    assertThat(b.maxE()).isCloseTo(190 - 3 + 1, within(1e-3));
    assertThat(b.minN()).isCloseTo(240 - 2, within(1e-3));
    assertThat(b.maxN()).isCloseTo(240 + 2, within(1e-3));
    assertThat(b.minH()).isCloseTo(2, within(1e-9));
    assertThat(b.maxH()).isCloseTo(5, within(1e-9));
  }

  /** Elements that end where they begin, or nearly, have no direction that could be taken. */
  @Test
  void atTheVeryEndItStandsAsTheLineRunsThere() throws IOException {
    String stub =
        "#111=IFCCARTESIANPOINT((150.0000000002,279.9999999999));\n#112=IFCCARTESIANPOINT((150.,280.));\n#113=IFCPOLYLINE((#111,#112));\n#114=IFCCOMPOSITECURVESEGMENT(.CONTINUOUS.,.T.,#113);\n";
    String curve = CURVE.replace("(#108,#109)", "(#108,#109,#114)") + stub;
    Box b = box(stands(curve, at(50 + 40 * Math.PI, 3, 2, "$"), "$"));
    // half a circle on the line runs west, so left is south
    assertThat(b.minN()).isCloseTo(280 - 3 - 1, within(1e-2));
    assertThat(b.maxN()).isCloseTo(280 - 3 + 1, within(1e-2));
    assertThat(b.minE()).isCloseTo(150 - 2, within(1e-2));
  }

  /** 50 m to the east from (100, 200), then half a circle of 12 m to the right, run backwards. */
  private static final String LAID =
      "#100=IFCCARTESIANPOINT((100.,200.));\n#101=IFCDIRECTION((1.,0.));\n#102=IFCAXIS2PLACEMENT2D(#100,#101);\n#103=IFCCARTESIANPOINT((0.,0.));\n"
          + "#104=IFCVECTOR(#101,1.);\n#105=IFCLINE(#103,#104);\n#106=IFCCURVESEGMENT(.CONTINUOUS.,#102,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(50.),#105);\n"
          + "#107=IFCCARTESIANPOINT((150.,200.));\n#108=IFCAXIS2PLACEMENT2D(#107,#101);\n#109=IFCAXIS2PLACEMENT2D(#103,#101);\n#111=IFCCIRCLE(#109,12.);\n"
          + "#112=IFCCURVESEGMENT(.CONTINUOUS.,#108,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(-37.69911184307752),#111);\n#110=IFCCOMPOSITECURVE((#106,#112),.F.);\n";

  @Test
  void theCurveOfAnAlignmentIsFollowedAsItIsDefined() throws IOException {
    Box b = box(stands(LAID, at(50 + 6 * Math.PI, 3, 2, "$"), "$"));
    // a quarter of the circle on the line runs south, so left is east
    assertThat(b.minE()).isCloseTo(162 + 3 - 1, within(1e-9));
    assertThat(b.maxE()).isCloseTo(162 + 3 + 1, within(1e-9));
    assertThat(b.minN()).isCloseTo(188 - 2, within(1e-9));
    assertThat(b.maxN()).isCloseTo(188 + 2, within(1e-9));
    Box end = box(stands(LAID, at(50 + 12 * Math.PI, 0, 2, "$"), "$"));
    assertThat(end.minN()).isCloseTo(176 - 1, within(1e-9));
    assertThat(end.minE()).isCloseTo(150 - 2, within(1e-9));
  }

  /** The segments of such a curve say cants, not where the line runs. */
  @Test
  void alongACurveOfCantsNothingIsPlacedByGuess() throws IOException {
    String canted =
        LAID.replace(
                "#110=IFCCOMPOSITECURVE((#106,#112),.F.)",
                "#113=IFCCOMPOSITECURVE((#106,#112),.F.)")
            + "#110=IFCSEGMENTEDREFERENCECURVE((#106,#112),.F.,#113,$);\n";
    Received r = stands(canted, at(60, 0, 0, "$"), "$");
    assertThat(r.items()).isEmpty();
    assertThat(r.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("IfcSegmentedReferenceCurve"));
  }

  /** 30 m on and 40 m up for 50 m of a line in space. */
  private static final String STEEP =
      "#100=IFCCARTESIANPOINT((100.,200.,0.));\n#101=IFCCARTESIANPOINT((160.,200.,80.));\n#110=IFCPOLYLINE((#100,#101));\n";

  @Test
  void itIsSquareToItsLineUnlessItIsToldToStandUpright() throws IOException {
    Box upright = box(stands(STEEP, at(50, 0, 0, "#8"), "$"));
    assertThat(upright.minE()).isCloseTo(130 - 2, within(1e-9));
    assertThat(upright.minH()).isCloseTo(40, within(1e-9));
    assertThat(upright.maxH()).isCloseTo(43, within(1e-9));
    Box square = box(stands(STEEP, at(50, 0, 0, "$"), "$"));
    // corners at ±2 along (0.6, 0.8) and up to 3 along (-0.8, 0.6)
    assertThat(square.minE()).isCloseTo(130 - 2 * 0.6 - 3 * 0.8, within(1e-9));
    assertThat(square.maxE()).isCloseTo(130 + 2 * 0.6, within(1e-9));
    assertThat(square.minH()).isCloseTo(40 - 2 * 0.8, within(1e-9));
    assertThat(square.maxH()).isCloseTo(40 + 2 * 0.8 + 3 * 0.6, within(1e-9));
  }

  @Test
  void twoPlacesOfOneThingAreSaid() throws IOException {
    String there =
        "#130=IFCCARTESIANPOINT((187.,240.,2.));\n#131=IFCAXIS2PLACEMENT3D(#130,#8,#10);\n";
    Received same = stands(CURVE + there, at(QUARTER, 3, 2, "$"), "#131");
    assertThat(box(same).minE()).isCloseTo(186, within(1e-9));
    Received other = stands(CURVE + there, at(QUARTER, 3.5, 2, "$"), "#131");
    assertThat(other.findings())
        .filteredOn(f -> f.code().equals("ifc.placement.two"))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("#24").contains("0.500 m"));
    assertThat(other.items().getFirst().bounds().minE()).isCloseTo(186, within(1e-9));
  }

  @Test
  void leaningAndUprightAreBothTakenForTheSamePlace() throws IOException {
    for (String point : new String[] {"130.,200.,42.", "128.4,200.,41.2"}) { // 2 m up, or square
      String there =
          "#130=IFCCARTESIANPOINT((" + point + "));\n#131=IFCAXIS2PLACEMENT3D(#130,#8,#9);\n";
      assertThat(stands(STEEP + there, at(50, 0, 2, "$"), "#131").findings())
          .as(point)
          .noneMatch(f -> f.code().equals("ifc.placement.two"));
    }
  }

  @Test
  void whatCannotBeFollowedIsNamedAndNotPlacedAnywhere() throws IOException {
    for (String place :
        new String[] {
          at(500, 0, 0, "$"),
          at(-20, 0, 0, "$"),
          at(10, 0, 0, "#9"),
          at(10, 0, 0, "$").replace("IFCLENGTHMEASURE", "IFCPARAMETERVALUE"),
          at(10, 0, 0, "$").replace("$,#110", "$,$"),
          at(10, 0, 0, "$")
              .replace("IFCAXIS2PLACEMENTLINEAR(#120,$,$)", "IFCAXIS2PLACEMENTLINEAR(#120,$,#9)")
        }) {
      Received r = stands(CURVE, place, "$");
      assertThat(r.items()).as(place).isEmpty();
      assertThat(r.findings()).as(place).anyMatch(f -> f.isError());
    }
  }
}
