package wellspan.core.flaw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.reshape.HoleFilling;
import wellspan.core.terrain.Grounds;

/** Holes by hand, in a ground of 8 × 8 squares of 1 m, two triangles each. */
class HoleTest {
  private static final int SIDE = 8;

  private static Mesh without(Set<Integer> squares) {
    Mesh whole = Grounds.grid(SIDE, SIDE, 1, (x, y) -> 0);
    return whole.only(t -> !squares.contains(t / 2));
  }

  private static int square(int column, int row) {
    return row * SIDE + column;
  }

  private static void filled(Mesh holed) {
    Mesh full = HoleFilling.fill(holed, Double.POSITIVE_INFINITY);
    assertThat(SurfaceFlaws.holes(full)).isEmpty();
    assertThat(full.planArea()).isCloseTo(SIDE * SIDE, within(1e-9));
  }

  @Test
  void squaresThatTouchInACornerAreTwoHoles() {
    Mesh m = without(Set.of(square(2, 2), square(3, 3)));
    List<Hole> holes = SurfaceFlaws.holes(m);
    assertThat(holes).hasSize(2).allSatisfy(h -> assertThat(h.outline()).hasSize(4));
    assertThat(holes).allSatisfy(h -> assertThat(h.area(m)).isCloseTo(1, within(1e-9)));
    filled(m);
  }

  @Test
  void aPieceThatStandsLooseInAHoleIsNoPartOfIt() {
    Set<Integer> ring = new java.util.HashSet<>();
    for (int c = 1; c < 6; c++) {
      for (int r = 1; r < 6; r++) {
        if (c != 3 || r != 3) {
          ring.add(square(c, r));
        }
      }
    }
    Mesh m = without(ring);
    List<Hole> holes = SurfaceFlaws.holes(m);
    assertThat(holes).hasSize(1);
    assertThat(holes.getFirst().outline()).hasSize(20);
    assertThat(holes.getFirst().islands()).hasSize(1);
    assertThat(holes.getFirst().area(m)).isCloseTo(24, within(1e-9));
    filled(m);
  }

  @Test
  void aPieceHeldByTwoCornersPartsAHole() {
    // a square at (3, 3) whose four neighbours are gone, so that it hangs by its corners
    Mesh m = without(Set.of(square(2, 3), square(4, 3), square(3, 2), square(3, 4)));
    List<Hole> holes = SurfaceFlaws.holes(m);
    assertThat(holes).hasSize(4);
    assertThat(holes.stream().mapToDouble(h -> h.area(m)).sum()).isCloseTo(4, within(1e-9));
    filled(m);
  }

  @Test
  void whatIsLargerThanAskedStaysOpen() {
    Mesh m = without(Set.of(square(1, 1), square(2, 1), square(5, 5)));
    assertThat(SurfaceFlaws.holes(m)).extracting(h -> Math.round(h.area(m))).contains(1L, 2L);
    Mesh some = HoleFilling.fill(m, 1.5);
    assertThat(SurfaceFlaws.holes(some)).hasSize(1);
    assertThat(some.planArea()).isCloseTo(62, within(1e-9));
  }
}
