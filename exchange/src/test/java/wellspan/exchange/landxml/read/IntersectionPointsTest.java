package wellspan.exchange.landxml.read;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.util.Locale;
import java.util.Random;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** Alignments given by the points where their tangents meet. */
class IntersectionPointsTest extends DesignTexts {
  private static String pi(double north, double east, String rounding) {
    return String.format(
        Locale.ROOT, "<AlignPI><PI>%.9f %.9f</PI>%s</AlignPI>", north, east, rounding);
  }

  private Received of(String geometry) throws IOException {
    return read(
        METRE
            + "<Alignments><Alignment name=\"R\" length=\"1\" staStart=\"0\">"
            + geometry
            + "</Alignment></Alignments>");
  }

  private static Alignment alignment(Received r) {
    return ((Shape.Axis) r.items().getFirst().shape()).alignment();
  }

  @Test
  void spiralsAndCurveFitBetweenTheTangents() throws IOException {
    Random random = new Random(20261129);
    for (int i = 0; i < 60; i++) {
      double turn = random.nextDouble(0.1, 2.2) * (random.nextBoolean() ? 1 : -1);
      fits(turn, random.nextDouble(20, 200), random.nextDouble(), random.nextDouble());
    }
  }

  private void fits(double turned, double radius, double in, double out) throws IOException {
    // two spirals take less than the whole turn: L/2R each
    double first = Math.max(0.01, in * Math.abs(turned) * radius * 0.9);
    double second = Math.max(0.01, out * Math.abs(turned) * radius * 0.9);
    double far = 5000;
    String rounding =
        String.format(
            Locale.ROOT,
            "<InSpiral><Spiral length=\"%.9f\" radiusStart=\"INF\" radiusEnd=\"%.9f\" spiType=\"clothoid\"/></InSpiral>"
                + "<Curve1><Curve radius=\"%.9f\"/></Curve1>"
                + "<OutSpiral><Spiral length=\"%.9f\" radiusStart=\"%.9f\" radiusEnd=\"INF\" spiType=\"clothoid\"/></OutSpiral>",
            first,
            radius,
            radius,
            second,
            radius);
    Alignment a =
        alignment(
            of(
                "<AlignPIs>"
                    + pi(0, 0, "")
                    + pi(0, far, rounding)
                    + pi(far * Math.sin(turned), far + far * Math.cos(turned), "")
                    + "</AlignPIs>"));
    assertThat(a.elements()).hasSize(5);
    assertThat(a.largestGap()).isLessThan(1e-7);
    PlanElement last = a.elements().getLast();
    assertThat(Math.IEEEremainder(last.start().direction() - turned, 2 * Math.PI))
        .as("the last straight runs on the second tangent")
        .isCloseTo(0, within(1e-9));
    for (int k = 0; k + 1 < a.elements().size(); k++) {
      double there = a.elements().get(k).end().direction();
      double here = a.elements().get(k + 1).start().direction();
      assertThat(Math.IEEEremainder(there - here, 2 * Math.PI)).isCloseTo(0, within(1e-9));
    }
    PlanPoint end = last.end();
    assertThat(end.east()).isCloseTo(far + far * Math.cos(turned), within(1e-6));
    assertThat(end.north()).isCloseTo(far * Math.sin(turned), within(1e-6));
  }

  @Test
  void anArcBetweenTangentsBeginsAtItsTangentLength() throws IOException {
    Alignment a =
        alignment(
            of(
                "<AlignPIs>"
                    + pi(0, 0, "")
                    + pi(0, 200, "<Curve1 radius=\"100\"/>")
                    + pi(200, 200, "")
                    + "</AlignPIs>"));
    assertThat(a.elements().getFirst().length()).isCloseTo(100, within(1e-9)); // R tan 45°
    assertThat(a.length()).isCloseTo(200 + 50 * Math.PI, within(1e-9));
    assertThat(((PlanElement.Arc) a.elements().get(1)).radius()).isCloseTo(100, within(1e-12));
  }

  @Test
  void twoArcsShareTheTurn() throws IOException {
    Alignment a =
        alignment(
            of(
                "<AlignPIs>"
                    + pi(0, 0, "")
                    + pi(
                        0,
                        300,
                        "<Curve1><Curve radius=\"100\" length=\"52.359877559829883\"/></Curve1><Curve2><Curve radius=\"50\"/></Curve2>")
                    + pi(-300, 300, "")
                    + "</AlignPIs>"));
    assertThat(a.elements()).hasSize(4);
    assertThat(a.elements().get(1).length()).isCloseTo(100 * Math.PI / 6, within(1e-9));
    assertThat(a.elements().get(2).length()).isCloseTo(50 * Math.PI / 3, within(1e-9));
    assertThat(a.largestGap()).isLessThan(1e-9);
    assertThat(a.elements().getLast().end().north()).isCloseTo(-300, within(1e-9));
  }

  @Test
  void elementsThatSayTheirPointsAreTakenAsTheyStand() throws IOException {
    Alignment a =
        alignment(
            of(
                "<AlignPIs>"
                    + pi(0, 0, "")
                    + pi(
                        0,
                        100,
                        "<Curve1><Curve rot=\"ccw\"><Start>0 60</Start><Center>40 60</Center><End>40 100</End></Curve></Curve1>")
                    + pi(100, 100, "")
                    + "</AlignPIs>"));
    assertThat(a.length()).isCloseTo(60 + 20 * Math.PI + 60, within(1e-9));
  }

  @Test
  void elementsRuleWhereBothAreGiven() throws IOException {
    Received r =
        of(
            "<CoordGeom><Line><Start>0 0</Start><End>0 70</End></Line></CoordGeom><AlignPIs>"
                + pi(0, 0, "")
                + pi(0, 100, "")
                + "</AlignPIs>");
    assertThat(alignment(r).length()).isEqualTo(70);
    assertThat(r.findings()).extracting(f -> f.code()).containsExactly("alignment.twice");
  }

  @Test
  void curvesThatDoNotFitAreRefusedWithTheirLine() throws IOException {
    String first = pi(0, 0, "");
    String last = pi(100, 100, "");
    assertThat(said(first + pi(0, 100, "<Curve1 radius=\"150\"/>") + last))
        .contains("overlap by 50.000 m");
    assertThat(
            said(
                first
                    + pi(0, 100, "<InSpiral length=\"400\" radiusStart=\"INF\" radiusEnd=\"50\"/>")
                    + last))
        .contains("turn by");
    assertThat(said(first + pi(0, 100, "<Curve1><Curve/></Curve1>") + last))
        .contains("needs a radius");
    assertThat(said(pi(0, 0, "<Curve1 radius=\"10\"/>") + last)).contains("no two tangents");
    assertThat(said(first + "<AlignPI/>" + last)).contains("has no <PI>");
    assertThat(said(first + pi(0, 100, "<Curve1 radius=\"9\"/>") + first)).contains("or back");
  }

  private String said(String pis) throws IOException {
    Received r = of("<AlignPIs>" + pis + "</AlignPIs>");
    assertThat(r.items()).isEmpty();
    assertThat(r.findings()).hasSize(1);
    assertThat(r.findings().getFirst().isError()).isTrue();
    return r.findings().getFirst().message();
  }

  @Test
  void groundAlongAnAlignmentIsAStringThatFollowsIt() throws IOException {
    Received r =
        of(
            "<CoordGeom><Curve rot=\"ccw\"><Start>0 0</Start><Center>50 0</Center><End>50 50</End></Curve></CoordGeom>"
                + "<Profile><ProfSurf name=\"Ground\"><PntList2D>0 10 20 14</PntList2D><PntList2D>30 9 60 12 90 8</PntList2D></ProfSurf></Profile>");
    assertThat(r.findings()).extracting(f -> f.code()).containsExactly("profile.point");
    Shape.Lines ground = (Shape.Lines) r.items().get(1).shape();
    assertThat(r.items().get(1).name()).isEqualTo("Ground");
    assertThat(ground.lines()).hasSize(2);
    double[] xyz = ground.lines().getFirst().xyz();
    for (int k = 0; k < xyz.length; k += 3) {
      assertThat(Math.hypot(xyz[k], xyz[k + 1] - 50)).isCloseTo(50, within(1e-9));
      double along = 50 * Math.atan2(xyz[k], 50 - xyz[k + 1]);
      assertThat(xyz[k + 2]).isCloseTo(10 + along / 5, within(1e-9));
      if (k > 0) {
        double chord = Math.hypot(xyz[k] - xyz[k - 3], xyz[k + 1] - xyz[k - 2]);
        assertThat(50 - Math.sqrt(2500 - chord * chord / 4)).isLessThan(0.001);
      }
    }
    assertThat(ground.planLength()).isCloseTo(50, within(0.001));
  }

  @Test
  void anglesCountInTheUnitThatIsSaid() {
    assertThat(Math.toDegrees(AngleUnit.of("decimal dd.mm.ss").orElseThrow().radians(12.3456)))
        .isCloseTo(12 + 34 / 60.0 + 56 / 3600.0, within(1e-10));
    assertThat(Math.toDegrees(AngleUnit.of("decimal dd.mm.ss").orElseThrow().radians(-0.3)))
        .isCloseTo(-0.5, within(1e-12));
    assertThat(AngleUnit.of("grads").orElseThrow().radians(100))
        .isCloseTo(Math.PI / 2, within(1e-15));
    assertThat(AngleUnit.of("decimal degrees").orElseThrow().radians(180)).isEqualTo(Math.PI);
    assertThat(AngleUnit.RADIANS.radians(1.5)).isEqualTo(1.5);
    assertThat(AngleUnit.RADIANS.isBeyond(30, Math.PI / 2)).isTrue();
    assertThat(AngleUnit.of("grads").orElseThrow().isBeyond(30, Math.PI / 2)).isFalse();
  }
}
