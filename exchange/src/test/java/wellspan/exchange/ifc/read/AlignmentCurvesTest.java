package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Finding;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Alignments without layouts of their own, by files written by hand. */
class AlignmentCurvesTest {
  @TempDir Path dir;

  private static final String POINTS =
      "#100=IFCCARTESIANPOINT((0.,0.));\n#101=IFCDIRECTION((1.,0.));\n#102=IFCVECTOR(#101,1.);\n#103=IFCLINE(#100,#102);\n#104=IFCAXIS2PLACEMENT2D(#100,#101);\n#26=IFCLOCALPLACEMENT($,#6);\n";

  /** 100 m to the east; to the right by a clothoid of 60 m that ends at 200 m, 80 m of that arc. */
  private static final String PLAN =
      POINTS
          + "#105=IFCCURVESEGMENT(.CONTSAMEGRADIENT.,#104,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(100.),#103);\n"
          + "#106=IFCCLOTHOID(#104,-109.54451150103323);\n#107=IFCCARTESIANPOINT((100.,0.));\n#108=IFCAXIS2PLACEMENT2D(#107,#101);\n"
          + "#109=IFCCURVESEGMENT(.CONTSAMEGRADIENT.,#108,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(60.),#106);\n"
          // x = 60 − 60⁵/40A⁴ + …, y = 60³/6A² − …, turned by 0.15
          + "#110=IFCCARTESIANPOINT((159.86514056987,-2.99518189));\n#111=IFCDIRECTION((0.98877107793604,-0.14943813247360));\n#112=IFCAXIS2PLACEMENT2D(#110,#111);\n"
          + "#113=IFCCIRCLE(#104,200.);\n#114=IFCCURVESEGMENT(.CONTSAMEGRADIENT.,#112,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(-80.),#113);\n"
          + "#115=IFCCOMPOSITECURVE((#105,#109,#114),.F.);\n";

  /** Two per cent up for 100 m, then a parabola to two per cent down at 200 m. */
  private static final String PROFILE =
      "#120=IFCCARTESIANPOINT((0.,10.));\n#121=IFCDIRECTION((0.99980005998001,0.019996001199600));\n#122=IFCAXIS2PLACEMENT2D(#120,#121);\n"
          + "#123=IFCCURVESEGMENT(.CONTSAMEGRADIENT.,#122,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(100.0199980004),#103);\n"
          + "#124=IFCCARTESIANPOINT((100.,12.));\n#125=IFCAXIS2PLACEMENT2D(#124,#121);\n#126=IFCPOLYNOMIALCURVE(#104,(0.,1.),(0.,0.02,-0.0002),$);\n"
          // the length of y = 0.02 x − 0.0002 x² up to 100: 100 + ∫ y′²/2 − y′⁴/8
          + "#127=IFCCURVESEGMENT(.DISCONTINUOUS.,#125,IFCLENGTHMEASURE(0.),IFCLENGTHMEASURE(100.00666626671),#126);\n"
          + "#128=IFCGRADIENTCURVE((#123,#127),.F.,#115,$);\n";

  private static String drawn(String items) {
    return "#30=IFCALIGNMENT('0000000000000000000002',$,'Road',$,$,#26,#31,$);\n"
        + "#31=IFCPRODUCTDEFINITIONSHAPE($,$,(#32));\n#32=IFCSHAPEREPRESENTATION(#4,'Axis','Curve3D',("
        + items
        + "));\n";
  }

  private Received read(String data) throws IOException {
    return new HandMadeModel(dir).read("IFC4X3_ADD2", HandMadeModel.HEAD + data);
  }

  private static Alignment only(Received r) {
    assertThat(r.findings()).filteredOn(Finding::isError).isEmpty();
    return alignment(r, 0);
  }

  private static Alignment alignment(Received r, int i) {
    return ((Shape.Axis) r.items().get(i).shape()).alignment();
  }

  @Test
  void byItsCurvesAnAlignmentHasItsElements() throws IOException {
    Alignment a = only(read(PLAN + PROFILE + drawn("#128")));
    assertThat(a.elements())
        .extracting(e -> e.getClass().getSimpleName())
        .containsExactly("Line", "Spiral", "Arc");
    PlanElement.Spiral s = (PlanElement.Spiral) a.elements().get(1);
    assertThat(s.startCurvature()).isZero();
    assertThat(s.endCurvature()).isCloseTo(-1 / 200.0, within(1e-12));
    assertThat(((PlanElement.Arc) a.elements().get(2)).radius()).isEqualTo(-200);
    assertThat(a.length()).isCloseTo(240, within(1e-9));
    List<ProfileSegment> p = a.profile().orElseThrow().segments();
    assertThat(p)
        .extracting(e -> e.getClass().getSimpleName())
        .containsExactly("Grade", "Parabola");
    assertThat(a.at(100).level()).isCloseTo(12, within(1e-8));
    assertThat(a.at(150).level()).isCloseTo(12.5, within(1e-8));
    assertThat(a.at(200).level()).isCloseTo(12, within(1e-7));
  }

  private Received points(String xyz) throws IOException {
    return read(
        POINTS
            + "#105=IFCCARTESIANPOINTLIST3D(("
            + xyz
            + "),$);\n#106=IFCINDEXEDPOLYCURVE(#105,$,.F.);\n"
            + drawn("#106"));
  }

  @Test
  void aLineOfPointsIsOneElementWithGrades() throws IOException {
    Alignment a = only(points("(0.,0.,5.),(30.,40.,6.),(30.,40.,6.),(90.,40.,9.)"));
    assertThat(a.elements()).hasSize(1);
    assertThat(a.elements().getFirst()).isInstanceOf(PlanElement.Irregular.class);
    assertThat(a.length()).isCloseTo(110, within(1e-9));
    assertThat(a.at(25).level()).isCloseTo(5.5, within(1e-9));
    assertThat(a.at(80).level()).isCloseTo(7.5, within(1e-9));
    assertThat(a.at(110).east()).isCloseTo(90, within(1e-9));
  }

  @Test
  void aPlumbStepOfALineIsNamed() throws IOException {
    Received r = points("(0.,0.,5.),(30.,40.,6.),(30.,40.,7.),(90.,40.,10.)");
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("jump", "1.0000 m"));
  }

  @Test
  void withoutLayoutAndCurveItIsLeftOut() throws IOException {
    Received r =
        read(POINTS + "#30=IFCALIGNMENT('0000000000000000000002',$,'Road',$,$,#26,$,$);\n");
    assertThat(r.items()).isEmpty();
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("no horizontal layout", "no curve"));
  }

  /** A layout of its own: line, then a segment of a type, both from where the first ends. */
  private static String layout(String first, int from, String alignment, String kind) {
    int n = from;
    return "#"
        + n
        + "="
        + first
        + ";\n"
        + "#"
        + (n + 1)
        + "=IFCALIGNMENTSEGMENT('00000000000000000000"
        + n
        + "',$,$,$,$,#26,$,#"
        + n
        + ");\n"
        + "#"
        + (n + 2)
        + "="
        + kind
        + "('00000000000000000001"
        + n
        + "',$,$,$,$,#26,$);\n"
        + "#"
        + (n + 3)
        + "=IFCRELNESTS('00000000000000000002"
        + n
        + "',$,$,$,#"
        + (n + 2)
        + ",(#"
        + (n + 1)
        + "));\n"
        + "#"
        + (n + 4)
        + "=IFCRELNESTS('00000000000000000003"
        + n
        + "',$,$,$,#"
        + alignment
        + ",(#"
        + (n + 2)
        + "));\n";
  }

  private static String bare(int id, String name) {
    return "#"
        + id
        + "=IFCALIGNMENT('00000000000000000004"
        + id
        + "',$,'"
        + name
        + "',$,$,#26,$,$);\n";
  }

  private static String straight(int length) {
    return "IFCALIGNMENTHORIZONTALSEGMENT($,$,#100,0.,0.,0.," + length + ".,$,.LINE.)";
  }

  private static String grade(String level) {
    return "IFCALIGNMENTVERTICALSEGMENT($,$,0.,100.," + level + ",0.01,0.01,$,.CONSTANTGRADIENT.)";
  }

  @Test
  void severalProfilesLieOnThePlanOfTheAlignmentTheyArePartsOf() throws IOException {
    Received r =
        read(
            POINTS
                + bare(30, "Plan")
                + bare(31, "Left")
                + bare(32, "Right")
                + "#33=IFCRELAGGREGATES('0000000000000000000009',$,$,$,#30,(#31,#32));\n"
                + layout(straight(100), 40, "30", "IFCALIGNMENTHORIZONTAL")
                + layout(grade("7."), 60, "31", "IFCALIGNMENTVERTICAL")
                + layout(grade("9."), 80, "32", "IFCALIGNMENTVERTICAL"));
    assertThat(r.findings()).filteredOn(Finding::isError).isEmpty();
    assertThat(r.items()).extracting(i -> i.name()).containsExactly("Plan", "Left", "Right");
    assertThat(alignment(r, 0).profile()).isEmpty();
    assertThat(alignment(r, 1).at(50).level()).isCloseTo(7.5, within(1e-9));
    assertThat(alignment(r, 2).at(50).level()).isCloseTo(9.5, within(1e-9));
  }

  @Test
  void transitionsOfEveryTypeOfTheSchemaAreRead() throws IOException {
    for (String[] type :
        new String[][] {
          {"CLOTHOID", "CLOTHOID"},
          {"BLOSSCURVE", "BLOSS"},
          {"COSINECURVE", "COSINE"},
          {"SINECURVE", "SINE"},
          {"HELMERTCURVE", "BIQUADRATIC"},
          {"VIENNESEBEND", "VIENNESE"},
          {"CUBIC", "CUBIC_PARABOLA"}
        }) {
      String segment = "IFCALIGNMENTHORIZONTALSEGMENT($,$,#100,0.,0.,300.,60.,$,." + type[0] + ".)";
      Alignment a =
          only(
              read(
                  POINTS + bare(30, "Plan") + layout(segment, 40, "30", "IFCALIGNMENTHORIZONTAL")));
      PlanElement.Spiral s = (PlanElement.Spiral) a.elements().getFirst();
      assertThat(s.law()).as(type[0]).isEqualTo(SpiralLaw.valueOf(type[1]));
      assertThat(s.endCurvature()).isCloseTo(1 / 300.0, within(1e-12));
    }
  }

  @Test
  void anArcWithoutARadiusIsRefused() throws IOException {
    String arc = "IFCALIGNMENTHORIZONTALSEGMENT($,$,#100,0.,0.,0.,60.,$,.CIRCULARARC.)";
    Received r = read(POINTS + bare(30, "Plan") + layout(arc, 40, "30", "IFCALIGNMENTHORIZONTAL"));
    assertThat(r.items()).isEmpty();
    assertThat(r.findings().getFirst().message()).contains("an arc without a radius");
  }

  private static String referent(int id, String placement, String sets, double station) {
    return "#"
        + id
        + "=IFCREFERENT('00000000000000000005"
        + id
        + "',$,'R',$,$,"
        + placement
        + ",$,.STATION.);\n"
        + "#"
        + (id + 1)
        + "=IFCPROPERTYSINGLEVALUE('Station',$,IFCLENGTHMEASURE("
        + station
        + "),$);\n"
        + "#"
        + (id + 2)
        + "=IFCPROPERTYSET('00000000000000000006"
        + id
        + "',$,'Pset_Stationing',$,(#"
        + (id + 1)
        + sets
        + "));\n"
        + "#"
        + (id + 3)
        + "=IFCRELDEFINESBYPROPERTIES('00000000000000000007"
        + id
        + "',$,$,$,(#"
        + id
        + "),#"
        + (id + 2)
        + ");\n"
        + "#"
        + (id + 4)
        + "=IFCRELNESTS('00000000000000000008"
        + id
        + "',$,$,$,#30,(#"
        + id
        + "));\n";
  }

  private Received stationed(String referents) throws IOException {
    return read(
        POINTS
            + bare(30, "Plan")
            + layout(straight(100), 40, "30", "IFCALIGNMENTHORIZONTAL")
            + "#130=IFCCARTESIANPOINT((40.,3.,0.));\n#131=IFCAXIS2PLACEMENT3D(#130,$,$);\n#132=IFCLOCALPLACEMENT($,#131);\n"
            + "#133=IFCCARTESIANPOINT((70.,0.,0.));\n#134=IFCAXIS2PLACEMENT3D(#133,$,$);\n#135=IFCLOCALPLACEMENT($,#134);\n"
            + referents);
  }

  @Test
  void whereNothingStandsAtTheStartTheFirstReferentTellsIt() throws IOException {
    Alignment a =
        only(stationed(referent(150, "#132", "", 1040) + referent(170, "#135", "", 1070)));
    assertThat(a.startChainage()).isCloseTo(1000, within(1e-6));
  }

  @Test
  void aReferentThatDoesNotAgreeIsNamed() throws IOException {
    Received r = stationed(referent(150, "#132", "", 1040) + referent(170, "#135", "", 1075));
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("5.000 m"));
  }

  @Test
  void aReferentWithoutAPlaceDoesNotCountAndIsNamed() throws IOException {
    Received r = stationed(referent(150, "$", "", 5000));
    assertThat(alignment(r, 0).startChainage()).isZero();
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("says a chainage", "does not count"));
  }

  @Test
  void referentsThatSayNoChainageAreNamedOnce() throws IOException {
    String mute = referent(150, "#132", "", 1040) + referent(170, "#135", "", 1070);
    Received r = stationed(mute.replace("'Station'", "'Other'"));
    assertThat(r.findings())
        .filteredOn(Finding::isError)
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("(#150) and 1 more", "Station"));
  }

  @Test
  void labelsMayFallFromTheStart() throws IOException {
    String falling = ",#152000";
    Alignment a =
        only(
            stationed(
                "#152000=IFCPROPERTYSINGLEVALUE('HasIncreasingStation',$,IFCBOOLEAN(.F.),$);\n"
                    + referent(150, "#26", falling, 1000)));
    assertThat(a.chainages().at(40)).isCloseTo(960, within(1e-6));
  }
}
