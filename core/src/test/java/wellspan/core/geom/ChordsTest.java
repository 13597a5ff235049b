package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ChordsTest {
  private static final double[] ORIGIN = {0, 0, 0};

  @Property
  void arcsStayWithinTheTolerance(
      @ForAll @DoubleRange(min = 0.01, max = 5000) double radius,
      @ForAll @DoubleRange(min = -6.2, max = 6.2) double sweep,
      @ForAll @IntRange(min = 1, max = 500) int millimetres) {
    double tolerance = millimetres / 1000.0;
    double[] p =
        Chords.ellipse(
            ORIGIN, new double[] {radius, 0, 0}, new double[] {0, radius, 0}, 1, sweep, tolerance);
    int n = p.length / 3;
    assertThat(p[3 * n - 3]).isCloseTo(radius * Math.cos(1 + sweep), within(1e-9 * radius + 1e-12));
    for (int i = 1; i < n; i++) {
      double middle = Math.hypot((p[3 * i] + p[3 * i - 3]) / 2, (p[3 * i + 1] + p[3 * i - 2]) / 2);
      assertThat(radius - middle).isLessThanOrEqualTo(tolerance * 1.000001);
    }
  }

  @Property
  void bulgesEndWhereTheyMustOnOneCircle(
      @ForAll @DoubleRange(min = -4, max = 4) double bulge,
      @ForAll @DoubleRange(min = -100, max = 100) double x,
      @ForAll @DoubleRange(min = 1, max = 100) double y) {
    double[] from = {3, -4, 10};
    double[] to = {x, y, 20};
    double[] p = Chords.bulge(from, to, bulge, 0.001);
    assertThat(p[p.length - 3]).isEqualTo(x);
    assertThat(p[p.length - 1]).isEqualTo(20);
    // the bulge is the height of the arc over half the chord: its top lies that far to the right
    double chord = Math.hypot(x - 3, y + 4);
    double farthest = 0;
    for (int i = 0; i < p.length; i += 3) {
      double aside = ((x - 3) * (p[i + 1] + 4) - (y + 4) * (p[i] - 3)) / chord;
      farthest = Math.abs(aside) > Math.abs(farthest) ? aside : farthest;
    }
    assertThat(-farthest).isCloseTo(bulge * chord / 2, within(0.0011));
  }

  @Test
  void aSplineOfDegreeOneIsItsControlPolygon() {
    double[] control = {0, 0, 0, 5, 0, 1, 5, 5, 2};
    assertThat(Chords.spline(1, new double[] {0, 0, 1, 2, 2}, new double[0], control, 0.001))
        .containsExactly(control);
    assertThatThrownBy(
            () -> Chords.spline(3, new double[] {0, 0, 1, 2, 2}, new double[0], control, 0.001))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("knots");
  }

  private static final double[] KNOTS = {0, 0, 0, 0, 1, 1, 1, 1};
  private static final double[] CONTROL = {0, 0, 0, 1, 2, 0, 3, 2, 0, 4, 0, 0};

  /** A cubic of one piece is the Bézier curve of its control points. */
  @Test
  void aSplineOfOnePieceIsABezierCurve() {
    double[] p = Chords.spline(3, KNOTS, new double[0], CONTROL, 1e-4);
    assertThat(p).startsWith(0, 0, 0).endsWith(4, 0, 0);
    double highest = 0;
    for (int i = 1; i < p.length; i += 3) {
      highest = Math.max(highest, p[i]);
    }
    assertThat(highest).isCloseTo(1.5, within(1e-3)); // 3/8 of 2 from either side
  }

  /** Weights of one half turn two straight sides into a part of a circle. */
  @Test
  void weightsMakeAnArc() {
    double w = Math.sqrt(0.5);
    double[] p =
        Chords.spline(
            2,
            new double[] {0, 0, 0, 1, 1, 1},
            new double[] {1, w, 1},
            new double[] {1, 0, 0, 1, 1, 0, 0, 1, 0},
            1e-5);
    for (int i = 0; i < p.length; i += 3) {
      assertThat(Math.hypot(p[i], p[i + 1])).isCloseTo(1, within(1e-9));
    }
  }

  @Test
  void whatIsNoSplineIsRefused() {
    double[] none = {};
    assertThatThrownBy(() -> Chords.spline(3, new double[] {0, 1}, none, CONTROL, 0.01))
        .hasMessageContaining("knots");
    assertThatThrownBy(() -> Chords.spline(3, KNOTS, new double[] {1}, CONTROL, 0.01))
        .hasMessageContaining("weights");
    assertThatThrownBy(() -> Chords.spline(3, KNOTS, new double[] {1, 1, 0, 1}, CONTROL, 0.01))
        .hasMessageContaining("weight of 0");
    assertThatThrownBy(
            () -> Chords.spline(3, new double[] {0, 0, 0, 0, 1, 1, 0.5, 1}, none, CONTROL, 0.01))
        .hasMessageContaining("do not grow");
    assertThatThrownBy(
            () ->
                Chords.spline(
                    3, new double[] {0, 0, 0, 0, 1, 1, 1, Double.NaN}, none, CONTROL, 0.01))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> Chords.spline(0, KNOTS, none, CONTROL, 0.01))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
