package wellspan.core.terrain;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;

class GroundLikeTest {
  private static final double[] STEP = {
    0,
    0,
    0,
    9,
    0,
    0,
    9,
    9,
    0,
    0,
    9,
    0, // a square
    0,
    9,
    0.1,
    9,
    9,
    0.1,
    9,
    18,
    0.1,
    0,
    18,
    0.1 // another one, a kerb higher
  };

  @Test
  void groundIsASheetWhicheverWayItsTrianglesTurn() {
    Mesh ground = Grounds.grid(8, 8, 10, (e, n) -> Math.sin(e / 7) + n / 9);
    assertThat(GroundLike.is(ground)).isTrue();
    int[] turned = ground.triangles().clone();
    for (int i = 0; i < turned.length; i += 3) {
      int t = turned[i];
      turned[i] = turned[i + 1];
      turned[i + 1] = t;
    }
    assertThat(GroundLike.is(new Mesh(ground.xyz(), turned))).isTrue();
    turned[0] = ground.triangles()[0];
    turned[1] = ground.triangles()[1];
    assertThat(GroundLike.is(new Mesh(ground.xyz(), turned))).isFalse();
  }

  @Test
  void aKerbMayStandInItButNoWallAlone() {
    int[] all = {0, 1, 2, 0, 2, 3, 4, 5, 6, 4, 6, 7, 3, 2, 5, 3, 5, 4};
    assertThat(GroundLike.is(new Mesh(STEP, all))).isTrue();
    int[] wall = {3, 2, 5, 3, 5, 4};
    assertThat(GroundLike.is(new Mesh(STEP, wall))).isFalse();
    assertThat(GroundLike.is(new Mesh(STEP, new int[0]))).isFalse();
  }

  @Test
  void bodiesAreNone() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 0, 1, 0, 0.3, 0.3, 1};
    int[] closed = {0, 2, 1, 0, 1, 3, 1, 2, 3, 2, 0, 3};
    assertThat(GroundLike.is(new Mesh(xyz, closed))).isFalse();
    int[] withoutBottom = {0, 1, 3, 1, 2, 3, 2, 0, 3};
    assertThat(GroundLike.is(new Mesh(xyz, withoutBottom))).as("a heap seen from above").isTrue();
  }
}
