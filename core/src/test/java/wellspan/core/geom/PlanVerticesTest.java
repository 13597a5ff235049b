package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class PlanVerticesTest {
  private static final Box NEAR = Box.of(new double[] {412_000, 6_534_000, 0});

  @Test
  void placesWithinTheToleranceAreOneVertexAcrossCells() {
    PlanVertices v = new PlanVertices(0.001, NEAR, 4);
    // 16 mm is where a cell ends
    int a = v.at(412_000.0159996, 6_534_000.0159996, 5);
    assertThat(v.at(412_000.0160004, 6_534_000.0160004, 9)).isEqualTo(a);
    assertThat(v.at(412_000.0175, 6_534_000.016, 1)).isNotEqualTo(a);
    assertThat(v.level(a)).isEqualTo(5);
    assertThat(v.find(412_000.5, 6_534_000.5)).isEqualTo(-1);
  }

  @Test
  void theNearestOfSeveralIsTaken() {
    PlanVertices v = new PlanVertices(1, NEAR, 4);
    v.at(412_000, 6_534_000, 0);
    int b = v.at(412_001.5, 6_534_000, 0);
    assertThat(v.find(412_000.9, 6_534_000)).isEqualTo(b);
  }

  @Property(tries = 20)
  void vertexNumbersAreThoseOfASlowSearch(@ForAll long seed) {
    Random r = new Random(seed);
    PlanVertices v = new PlanVertices(0.05, NEAR, 2);
    for (int i = 0; i < 400; i++) {
      double e = 412_000 - 1 + r.nextDouble() * 2, n = 6_534_000 - 1 + r.nextDouble() * 2;
      int nearest = -1;
      double least = 0.05;
      for (int k = 0; k < v.size(); k++) {
        double d = Math.hypot(v.east(k) - e, v.north(k) - n);
        if (d <= least) {
          least = d;
          nearest = k;
        }
      }
      int before = v.size();
      int got = v.at(e, n, i);
      assertThat(got).isEqualTo(nearest < 0 ? before : nearest);
    }
    assertThat(v.coordinates()).hasSize(3 * v.size());
  }
}
