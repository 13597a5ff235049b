package wellspan.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.SplineSurface;
import wellspan.core.solid.CurvedPatch.Corner;

class CurvedPatchTest {
  private static final CurvedPatch.Surface SPHERE =
      (u, v) ->
          new double[] {
            10 * Math.cos(v) * Math.cos(u), 10 * Math.cos(v) * Math.sin(u), 10 * Math.sin(v)
          };

  private static List<Corner> rectangle(double u, double v, double width, double height, int n) {
    List<Corner> out = new ArrayList<>();
    double[][] corners = {{u, v}, {u + width, v}, {u + width, v + height}, {u, v + height}};
    for (int side = 0; side < 4; side++) {
      double[] a = corners[side];
      double[] b = corners[(side + 1) % 4];
      for (int i = 0; i < n; i++) {
        double x = a[0] + (b[0] - a[0]) * i / n;
        double y = a[1] + (b[1] - a[1]) * i / n;
        out.add(new Corner(x, y, SPHERE.at(x, y)));
      }
    }
    return out;
  }

  private static double[] place(List<Corner> border, CurvedPatch.Triangles t, int number) {
    if (number < border.size()) {
      return border.get(number).place();
    }
    int k = 3 * (number - border.size());
    return new double[] {t.inner()[k], t.inner()[k + 1], t.inner()[k + 2]};
  }

  /** Area, and the sum of the directed areas as seen from the middle of the sphere. */
  private static double area(List<Corner> border, CurvedPatch.Triangles t) {
    double sum = 0;
    for (int i = 0; i < t.triangles().length; i += 3) {
      double[] a = place(border, t, t.triangles()[i]);
      double[] b = place(border, t, t.triangles()[i + 1]);
      double[] c = place(border, t, t.triangles()[i + 2]);
      double[] p = {b[0] - a[0], b[1] - a[1], b[2] - a[2]};
      double[] q = {c[0] - a[0], c[1] - a[1], c[2] - a[2]};
      double[] n = {
        p[1] * q[2] - p[2] * q[1], p[2] * q[0] - p[0] * q[2], p[0] * q[1] - p[1] * q[0]
      };
      assertThat(n[0] * a[0] + n[1] * a[1] + n[2] * a[2]).as("turned outward").isPositive();
      sum += Math.sqrt(n[0] * n[0] + n[1] * n[1] + n[2] * n[2]) / 2;
    }
    return sum;
  }

  @Property(tries = 40)
  void aPartOfASphereHasItsAreaAndKeepsItsBorder(
      @ForAll @DoubleRange(min = 0, max = 6) double u,
      @ForAll @DoubleRange(min = -1.2, max = 0.2) double v,
      @ForAll @DoubleRange(min = 0.2, max = 2.5) double width,
      @ForAll @DoubleRange(min = 0.2, max = 1) double height) {
    List<Corner> border = rectangle(u, v, width, height, 24);
    CurvedPatch.Triangles t = CurvedPatch.of(List.of(border), SPHERE, 0.01);
    double formula = 100 * width * (Math.sin(v + height) - Math.sin(v));
    assertThat(area(border, t)).isCloseTo(formula, within(0.004 * formula));
    int[] uses = new int[border.size()];
    for (int i = 0; i < t.triangles().length; i += 3) {
      for (int k = 0; k < 3; k++) {
        int a = t.triangles()[i + k];
        int b = t.triangles()[i + (k + 1) % 3];
        if (b == (a + 1) % border.size() && a < border.size()) {
          uses[a]++;
        }
      }
    }
    assertThat(uses).as("each piece of the border has one triangle").containsOnly(1);
    for (int k = 0; k < t.inner().length; k += 3) {
      double x = t.inner()[k], y = t.inner()[k + 1], z = t.inner()[k + 2];
      assertThat(Math.sqrt(x * x + y * y + z * z)).isCloseTo(10, within(1e-9));
    }
  }

  @Test
  void whatCannotKeepToTheToleranceIsRefused() {
    List<Corner> border = rectangle(0, 0, 1, 0.8, 20);
    CurvedPatch.Surface rough =
        (u, v) -> new double[] {u, v, Double.doubleToLongBits(u + 3 * v) % 7};
    assertThatThrownBy(() -> CurvedPatch.of(List.of(border), rough, 1e-9))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("tolerance");
  }

  @Test
  void aHoleStaysAHole() {
    List<Corner> outer = rectangle(0, 0, 1, 0.8, 20);
    List<Corner> hole = rectangle(0.3, 0.3, 0.4, 0.2, 10).reversed();
    CurvedPatch.Triangles t = CurvedPatch.of(List.of(outer, hole), SPHERE, 0.01);
    List<Corner> all = new ArrayList<>(outer);
    all.addAll(hole);
    double formula = 100 * (Math.sin(0.8) - 0.4 * (Math.sin(0.5) - Math.sin(0.3)));
    assertThat(area(all, t)).isCloseTo(formula, within(0.003 * formula));
  }

  @Test
  void aRationalSurfaceIsARoundOne() {
    double w = Math.sqrt(0.5);
    SplineSurface s =
        new SplineSurface(
            2,
            1,
            new double[] {0, 0, 0, 1, 1, 1},
            new double[] {0, 0, 1, 1},
            new double[][][] {
              {{2, 0, 0, 1}, {2, 0, 5, 1}},
              {{2 * w, 2 * w, 0, w}, {2 * w, 2 * w, 5 * w, w}},
              {{0, 2, 0, 1}, {0, 2, 5, 1}}
            });
    for (double u = 0; u <= 1; u += 0.125) {
      double[] p = s.at(u, 0.4);
      assertThat(Math.hypot(p[0], p[1])).isCloseTo(2, within(1e-12));
      assertThat(p[2]).isCloseTo(2, within(1e-12));
    }
  }
}
