package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.ProfileSegment;
import wellspan.core.align.SpiralLaw;
import wellspan.core.finding.Finding;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Alignments of LandXML. */
class AlignmentReadingTest extends DesignTexts {
  private static final String ROAD =
      """
      <Alignments><Alignment name="Road" length="250" staStart="1000">
        <CoordGeom>
          <Line><Start>0 0</Start><End pntRef="A"/></Line>
          <Curve rot="ccw" radius="100"><Start pntRef="A"/><Center>100 100</Center><End>100 200</End></Curve>
          <Line><Start>100 200</Start><End>150 200</End></Line>
        </CoordGeom>
        <StaEquation staInternal="1050" staBack="1050" staAhead="2000" staIncrement="increasing"/>
        <Profile name="p"><ProfAlign name="d"><PVI>1000 10</PVI><ParaCurve length="40">1100 12</ParaCurve>
          <UnsymParaCurve lengthIn="20" lengthOut="30">1170 11</UnsymParaCurve><CircCurve length="10" radius="900">1230 12</CircCurve><PVI>1300 11</PVI></ProfAlign>
          <ProfSurf name="ground"><PntList2D>1000 1 1100 2</PntList2D></ProfSurf></Profile>
      </Alignment></Alignments>
      """;

  private static final String POINTS =
      "<CgPoints name=\"axis\"><CgPoint name=\"A\" code=\"ax\">0 100 5</CgPoint><CgPoint name=\"B\" pntRef=\"A\"/></CgPoints>";

  private static Alignment alignment(Received r) {
    return ((Shape.Axis) r.items().getFirst().shape()).alignment();
  }

  private static String spiral(String type) {
    return "<Alignments><Alignment name=\"S\" staStart=\"0\"><CoordGeom><Spiral length=\"80\" radiusStart=\"INF\" radiusEnd=\"200\" rot=\"cw\" spiType=\""
        + type
        + "\"><Start>0 0</Start><PI>0 53.4</PI><End>-5.318 79.681</End></Spiral></CoordGeom></Alignment></Alignments>";
  }

  @Test
  void linesAndCurvesFollowTheirPoints() throws IOException {
    Received r = read(METRE + ROAD + POINTS);
    Alignment a = alignment(r);
    assertThat(a.elements()).hasSize(3);
    PlanElement.Arc arc = (PlanElement.Arc) a.elements().get(1);
    assertThat(arc.radius()).isCloseTo(100, within(1e-12));
    assertThat(arc.length()).isCloseTo(50 * Math.PI, within(1e-9));
    assertThat(a.length()).isCloseTo(150 + 50 * Math.PI, within(1e-9));
    assertThat(a.largestGap()).isLessThan(1e-9);
    assertThat(a.startChainage()).isEqualTo(1000);
    assertThat(a.at(60).chainage()).isEqualTo(2010);
  }

  @Test
  void allKindsOfVerticalCurvesAreRead() throws IOException {
    Alignment a = alignment(read(METRE + ROAD + POINTS));
    assertThat(a.profile().orElseThrow().segments())
        .extracting(s -> s.getClass().getSimpleName())
        .containsExactly(
            "Grade", "Parabola", "Grade", "Parabola", "Parabola", "Grade", "Circle", "Grade");
    ProfileSegment.Parabola sym = (ProfileSegment.Parabola) a.profile().get().segments().get(1);
    assertThat(sym.startDistance()).isEqualTo(80);
    assertThat(a.at(0).level()).isEqualTo(10);
  }

  @ParameterizedTest
  @CsvSource({
    "clothoid,CLOTHOID",
    "bloss,BLOSS",
    "cosine,COSINE",
    "sinusoid,SINE",
    "biquadratic,BIQUADRATIC",
    "weinerBogen,VIENNESE",
    "cubic,CUBIC",
    "japaneseCubic,CUBIC",
    "cubicParabola,CUBIC_PARABOLA",
    "biquadraticParabola,BIQUADRATIC_PARABOLA",
    "sineHalfWave,SINE_HALF_WAVE",
    "radioid,RADIOID"
  })
  void spiralsTakeTheirLaw(String type, SpiralLaw law) throws IOException {
    Alignment a = alignment(read(METRE + spiral(type)));
    PlanElement.Spiral s = (PlanElement.Spiral) a.elements().getFirst();
    assertThat(s.law()).isEqualTo(law);
    assertThat(s.startCurvature()).isZero();
    assertThat(s.endCurvature()).isCloseTo(-1 / 200.0, within(1e-15));
    assertThat(s.start().azimuthDegrees()).isCloseTo(90, within(1e-9));
  }

  @Test
  void aSpiralTypeThatIsNotReadLeavesTheAlignmentOutAndSaysSo() throws IOException {
    Received r = read(METRE + spiral("corkscrew").replace("-5.318 79.681", "-9 70") + PYRAMID);
    assertThat(r.items()).hasSize(1);
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.unread");
              assertThat(f.isError()).isTrue();
              assertThat(f.message()).contains("corkscrew").contains("line ");
            });
  }

  @Test
  void endsThatDoNotFitAreMeasured() throws IOException {
    Received r = read(METRE + spiral("clothoid").replace("-5.318 79.681", "-5.418 79.681"));
    assertThat(r.findings())
        .anySatisfy(
            f -> {
              assertThat(f.code()).isEqualTo("alignment.end");
              assertThat(f.figure().orElseThrow().text()).startsWith("99.9").endsWith("mm");
            });
  }

  @Test
  void anAlignmentThatNamesAMissingPointIsLeftOut() throws IOException {
    Received r = read(METRE + ROAD);
    assertThat(r.findings())
        .anySatisfy(f -> assertThat(f.message()).contains("coordinate point A does not exist"));
    assertThat(r.items()).isEmpty();
  }

  @Test
  void anUnknownSpiralTakesTheLawThatHitsItsEnd() throws IOException {
    PlanElement.Spiral meant =
        new PlanElement.Spiral(
            new wellspan.core.align.PlanPoint(0, 0, 0), 80, 0, -1 / 200.0, SpiralLaw.BLOSS);
    String end = meant.end().north() + " " + meant.end().east();
    Received r =
        read(METRE + spiral("own").replace("-5.318 79.681", end).replace("0 53.4", "0 40"));
    assertThat(((PlanElement.Spiral) alignment(r).elements().getFirst()).law())
        .isEqualTo(SpiralLaw.BLOSS);
    assertThat(r.findings()).extracting(Finding::code).contains("alignment.spiral");
  }

  @Test
  void irregularLinesAndChainsAreElementsAndTheirLevelsAProfile() throws IOException {
    Received r =
        read(
            METRE
                + "<Alignments><Alignment name=\"S\" staStart=\"100\"><CoordGeom><IrregularLine><Start>0 0 5</Start><End>10 10 6</End><PntList3D>0 0 5 0 10 7 10 10 6</PntList3D></IrregularLine>"
                + "<Chain>A B</Chain></CoordGeom></Alignment></Alignments><CgPoints><CgPoint name=\"A\">10 10 6</CgPoint><CgPoint name=\"B\" pntRef=\"C\"/><CgPoint name=\"C\">20 10 8</CgPoint></CgPoints>");
    assertThat(r.hasErrors()).isFalse();
    Alignment a = alignment(r);
    assertThat(a.elements()).hasSize(2).allMatch(PlanElement.Irregular.class::isInstance);
    assertThat(a.length()).isEqualTo(30);
    assertThat(a.at(5).level()).isCloseTo(6, within(1e-9));
    assertThat(a.at(25).level()).isCloseTo(7, within(1e-9));
    assertThat(a.at(25).north()).isCloseTo(15, within(1e-9));
  }
}
