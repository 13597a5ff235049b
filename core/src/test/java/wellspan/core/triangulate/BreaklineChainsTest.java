package wellspan.core.triangulate;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;

class BreaklineChainsTest {
  private static Polyline line(double... local) {
    double[] xyz = local.clone();
    for (int i = 0; i < xyz.length; i += 3) {
      xyz[i] += Grounds.E;
      xyz[i + 1] += Grounds.N;
    }
    return new Polyline(xyz);
  }

  @Test
  void aBreaklineComesBackWithTheVerticesThatWereCutIntoIt() {
    Polyline one = line(10, 50, 4, 90, 50, 8), two = line(50, 10, 6, 50, 90, 6);
    Mesh m =
        new Triangulator(LevelRule.FIRST, LevelRule.FIRST, 0.01)
            .run(
                Grounds.scatter(200, 100, 5, (x, y) -> 0),
                List.of(
                    new Constraint("a", one, Constraint.Kind.BREAKLINE),
                    new Constraint("b", two, Constraint.Kind.BREAKLINE)),
                Progress.NONE)
            .mesh();
    List<Polyline> chains = BreaklineChains.of(m, List.of(one, two));
    assertThat(chains).hasSize(2);
    Polyline back = chains.getFirst();
    assertThat(back.pointCount()).isEqualTo(3); // the crossing lies between its ends
    assertThat(back.point(1).east()).isEqualTo(Grounds.E + 50);
    assertThat(back.point(1).level()).isEqualTo(6);
    assertThat(back.planLength()).isEqualTo(80);
  }

  @Test
  void whereTheSurfaceDoesNotFollowTheLineItIsBroken() {
    Mesh grid = Grounds.grid(10, 10, 10, (x, y) -> x);
    // along a row of the grid, then over the squares where no edge is
    List<Polyline> chains = BreaklineChains.of(grid, List.of(line(0, 50, 0, 40, 50, 0, 60, 40, 0)));
    assertThat(chains).hasSize(1);
    assertThat(chains.getFirst().planLength()).isEqualTo(40);
    assertThat(chains.getFirst().point(4).level()).as("the surface's level").isEqualTo(40);
    assertThat(BreaklineChains.of(grid, List.of(line(3, 3, 0, 8, 6, 0)))).isEmpty();
  }
}
