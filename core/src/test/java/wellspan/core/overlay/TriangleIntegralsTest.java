package wellspan.core.overlay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Against sums over a fine grid of small triangles. */
class TriangleIntegralsTest {
  private static final int FINE = 240;

  private interface Function {
    double of(double d);
  }

  private static double sum(double a, double b, double c, Function f) {
    double total = 0;
    double part = 1.0 / (FINE * FINE);
    for (int i = 0; i < FINE; i++) {
      for (int j = 0; i + j < FINE; j++) {
        double u = (i + 1.0 / 3) / FINE, v = (j + 1.0 / 3) / FINE;
        total += part * f.of(a + u * (b - a) + v * (c - a));
        if (i + j + 1 < FINE) {
          double p = (i + 2.0 / 3) / FINE, q = (j + 2.0 / 3) / FINE;
          total += part * f.of(a + p * (b - a) + q * (c - a));
        }
      }
    }
    return total;
  }

  @Property(tries = 40)
  void integralsAreThoseOfTheSums(
      @ForAll @DoubleRange(min = -2, max = 2) double a,
      @ForAll @DoubleRange(min = -2, max = 2) double b,
      @ForAll @DoubleRange(min = -2, max = 2) double c) {
    assertThat(TriangleIntegrals.positive(1, a, b, c))
        .isCloseTo(sum(a, b, c, d -> Math.max(d, 0)), within(1e-3));
    assertThat(TriangleIntegrals.square(1, a, b, c))
        .isCloseTo(sum(a, b, c, d -> d * d), within(1e-3));
    assertThat(TriangleIntegrals.areaBelow(0.3, 1, a, b, c))
        .isCloseTo(sum(a, b, c, d -> d < 0.3 ? 1 : 0), within(0.02));
  }

  @Property(tries = 200)
  void whatIsAboveAndWhatIsBelowMakeTheWhole(
      @ForAll @DoubleRange(min = -5, max = 5) double a,
      @ForAll @DoubleRange(min = -5, max = 5) double b,
      @ForAll @DoubleRange(min = -5, max = 5) double c) {
    double above = TriangleIntegrals.positive(6, a, b, c),
        below = TriangleIntegrals.positive(6, -a, -b, -c);
    assertThat(above - below).isCloseTo(2 * (a + b + c), within(1e-9));
    assertThat(above).isNotNegative();
  }

  @Test
  void cornersThatLieAtZeroAreNoTrouble() {
    assertThat(TriangleIntegrals.positive(1, 0, 0, 0)).isZero();
    assertThat(TriangleIntegrals.positive(1, 0, 0, 3)).isCloseTo(1, within(1e-12));
    assertThat(TriangleIntegrals.positive(1, 0, -1, 1)).isCloseTo(1.0 / 6, within(1e-12));
    assertThat(TriangleIntegrals.areaBelow(0, 1, 0, 0, 0)).isZero();
  }
}
