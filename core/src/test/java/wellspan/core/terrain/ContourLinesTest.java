package wellspan.core.terrain;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.progress.Progress;

class ContourLinesTest {
  @Test
  void aPlaneHasOneStraightContourAtEachLevel() {
    Mesh plane = Grounds.grid(10, 10, 10, (x, y) -> 0.05 * x);
    ContourLines c = ContourLines.of(plane, new ContourStyle(1, 0.5, 2), Progress.NONE);
    assertThat(c.lines().keySet()).containsExactly(0.5, 1.5, 2.5, 3.5, 4.5);
    assertThat(c.majors()).containsExactly(0.5, 2.5, 4.5);
    c.lines()
        .forEach(
            (level, lines) -> {
              assertThat(lines).hasSize(1);
              Polyline l = lines.getFirst();
              assertThat(l.planLength()).isCloseTo(100, within(1e-9));
              for (int i = 0; i < l.pointCount(); i++) {
                assertThat(l.point(i).east()).isCloseTo(Grounds.E + level / 0.05, within(1e-6));
                assertThat(l.point(i).level()).isEqualTo(level);
              }
            });
    assertThat(c.lines(true)).hasSize(3);
    assertThat(c.lines(false)).hasSize(2);
  }

  @Test
  void aConeHasClosedContours() {
    Mesh cone = Grounds.grid(40, 40, 2, (x, y) -> 40 - Math.hypot(x - 40, y - 40));
    ContourLines c = ContourLines.of(cone, ContourStyle.every(5), Progress.NONE);
    List<Polyline> at20 = c.lines().get(20.0);
    assertThat(at20).hasSize(1);
    assertThat(at20.getFirst().isClosed(1e-9)).isTrue();
    assertThat(at20.getFirst().planLength()).isCloseTo(2 * Math.PI * 20, within(0.5));
  }

  @Property(tries = 20)
  void everyContourLiesOnTheSurfaceAndEndsAtItsEdgeOnly(@ForAll long seed) {
    Random r = new Random(seed);
    double p = r.nextDouble() * 9, q = r.nextDouble() * 9;
    Mesh m =
        Grounds.grid(
            25, 25, 4, (x, y) -> Math.sin(x / 9 + p) * 3 + Math.cos(y / 7 + q) * 2 + x / 50);
    TriangleIndex index = new TriangleIndex(m);
    ContourLines c = ContourLines.of(m, new ContourStyle(0.5, 0.1, 5), Progress.NONE);
    c.lines()
        .forEach(
            (level, lines) ->
                lines.forEach(
                    l -> {
                      for (int i = 1; i < l.pointCount(); i++) {
                        double e = (l.point(i - 1).east() + l.point(i).east()) / 2;
                        double n = (l.point(i - 1).north() + l.point(i).north()) / 2;
                        assertThat(index.levelAt(e, n)).isCloseTo(level, within(1e-6));
                      }
                      if (!l.isClosed(1e-9)) {
                        assertThat(edgeDistance(l, 0)).isLessThan(1e-6);
                        assertThat(edgeDistance(l, l.pointCount() - 1)).isLessThan(1e-6);
                      }
                    }));
  }

  /** The ground is a square of 100 m. */
  private static double edgeDistance(Polyline l, int i) {
    double x = l.point(i).east() - Grounds.E, y = l.point(i).north() - Grounds.N;
    return Math.min(Math.min(x, 100 - x), Math.min(y, 100 - y));
  }

  @Test
  void intervalsThatMakeNoSenseAreRefused() {
    assertThatThrownBy(() -> new ContourStyle(0, 0, 5)).hasMessageContaining("millimetre");
    assertThatThrownBy(() -> new ContourStyle(1, Double.NaN, 5)).hasMessageContaining("base");
    assertThatThrownBy(() -> new ContourStyle(1, 0, -1)).hasMessageContaining("every n-th");
    Mesh high = Grounds.grid(60, 60, 1, (x, y) -> 1000 * Math.sin(x));
    assertThatThrownBy(() -> ContourLines.of(high, new ContourStyle(0.001, 0, 5), Progress.NONE))
        .hasMessageContaining("too many");
  }
}
