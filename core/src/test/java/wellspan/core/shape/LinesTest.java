package wellspan.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Polyline;

class StringLineTest {
  private static Polyline at(double a, double b) {
    return new Polyline(new double[] {0, 0, a, 5, 0, b, 5, 5, b});
  }

  private static boolean contours(Polyline... lines) {
    return new Shape.Lines(List.of(lines)).isContours();
  }

  @Test
  void contoursAreLinesOfOneLevelEachAtSeveralLevels() {
    assertThat(contours(at(1, 1), at(2, 2), at(2, 2))).isTrue();
    assertThat(contours(at(1, 1), at(1, 1))).as("an outline at one level").isFalse();
    assertThat(contours(at(1, 1), at(2, 3))).as("a breakline among them").isFalse();
    assertThat(contours(at(Double.NaN, Double.NaN), at(2, 2))).as("no level").isFalse();
  }

  @Test
  void figuresAreThoseOfAllLines() {
    Shape.Lines s = new Shape.Lines(List.of(at(1, 1), at(2, 2)));
    assertThat(s.pointCount()).isEqualTo(6);
    assertThat(s.planLength()).isEqualTo(20);
    assertThat(s.bounds().maxH()).isEqualTo(2);
    assertThatThrownBy(() -> new Shape.Lines(List.of())).hasMessageContaining("needs a line");
  }
}
