package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wellspan.core.terrain.Grounds;

class MeshEdgesTest {
  @Test
  void twinsPointAtEachOther() {
    Mesh m = Grounds.grid(5, 4, 1, (x, y) -> 0);
    MeshEdges e = new MeshEdges(m);
    int open = 0;
    for (int h = 0; h < e.halfEdgeCount(); h++) {
      int o = e.twin(h);
      if (o == MeshEdges.NONE) {
        open++;
      } else {
        assertThat(e.twin(o)).isEqualTo(h);
        assertThat(e.from(o)).isEqualTo(e.to(h));
        assertThat(e.to(o)).isEqualTo(e.from(h));
      }
    }
    assertThat(open).isEqualTo(2 * (5 + 4));
  }

  @Test
  void edgesAreFoundInBothDirectionsAndOthersAreNot() {
    MeshEdges e =
        new MeshEdges(
            new Mesh(
                new double[] {0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0}, new int[] {0, 1, 2, 0, 2, 3}));
    assertThat(e.joins(0, 2)).isTrue();
    assertThat(e.joins(2, 0)).isTrue();
    assertThat(e.joins(1, 3)).isFalse();
  }

  @Test
  void threeTrianglesAtAnEdgeAndTurnedNeighboursAreIrregular() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 0, 1, 0, 0, -1, 0, 0, 0, 1};
    MeshEdges fin = new MeshEdges(new Mesh(xyz, new int[] {0, 1, 2, 1, 0, 3, 0, 1, 4}));
    assertThat(fin.twin(0)).isEqualTo(MeshEdges.IRREGULAR);
    MeshEdges turned = new MeshEdges(new Mesh(xyz, new int[] {0, 1, 2, 0, 1, 3}));
    assertThat(turned.twin(0)).isEqualTo(MeshEdges.IRREGULAR);
  }

  @Test
  void outerOutlinesRunLeftHolesRunRight() {
    Mesh m = Grounds.grid(6, 6, 1, (x, y) -> 0).only(t -> t != 28 && t != 29);
    List<int[]> loops = new MeshEdges(m).outlines();
    assertThat(loops).hasSize(2);
    assertThat(loops.stream().map(l -> l.length)).containsExactlyInAnyOrder(24, 4);
    for (int[] l : loops) {
      double area = wellspan.core.flaw.SurfaceFlaws.planArea(m, l);
      assertThat(area).isEqualTo(l.length == 24 ? 36.0 : -1.0);
    }
  }

  @Test
  void outlinesThatTouchInAVertexAreAllFollowed() {
    double[] xyz = {0, 0, 0, 1, 0, 0, 0, 1, 0, -1, 0, 0, 0, -1, 0};
    Mesh bow = new Mesh(xyz, new int[] {0, 1, 2, 0, 3, 4});
    assertThat(new MeshEdges(bow).outlines()).hasSize(2).allMatch(l -> l.length == 3);
  }

  /** The open edges and their sides do not depend on which way each triangle is wound. */
  @Property(tries = 100)
  void outlinesAreThoseOfTheOpenEdgesWhateverTheWinding(@ForAll long seed) {
    java.util.Random r = new java.util.Random(seed);
    Mesh whole = Grounds.grid(7, 7, 1, (x, y) -> Math.sin(x) + y);
    Mesh cut = whole.only(t -> r.nextInt(5) > 0);
    int[] wound = cut.triangles().clone();
    for (int t = 0; t < wound.length; t += 3) {
      if (r.nextBoolean()) {
        int v = wound[t + 1];
        wound[t + 1] = wound[t + 2];
        wound[t + 2] = v;
      }
    }
    Mesh mixed = new Mesh(cut.xyz(), wound);
    List<int[]> loops = new MeshEdges(mixed).outlines();
    java.util.Map<List<Integer>, Integer> uses = new java.util.HashMap<>();
    for (int t = 0; t < wound.length; t += 3) {
      for (int k = 0; k < 3; k++) {
        int a = wound[t + k], b = wound[t + (k + 1) % 3];
        uses.merge(List.of(Math.min(a, b), Math.max(a, b)), 1, Integer::sum);
      }
    }
    java.util.Set<List<Integer>> open = new java.util.HashSet<>();
    uses.forEach(
        (e, n) -> {
          if (n == 1) {
            open.add(e);
          }
        });
    double area = 0;
    for (int[] l : loops) {
      for (int i = 0; i < l.length; i++) {
        int a = l[i], b = l[(i + 1) % l.length];
        assertThat(open.remove(List.of(Math.min(a, b), Math.max(a, b)))).isTrue();
      }
      area += wellspan.core.flaw.SurfaceFlaws.planArea(mixed, l);
    }
    assertThat(open).isEmpty();
    // outer ones count for, holes against: together they make the area of the triangles
    assertThat(area).isCloseTo(mixed.planArea(), org.assertj.core.data.Offset.offset(1e-9));
  }

  @Property(tries = 30)
  void partsAreCountedWhateverIsCut(@ForAll @IntRange(min = 1, max = 9) int columns) {
    Mesh m = Grounds.grid(10, 3, 1, (x, y) -> 0);
    // one column of squares taken out: what lies left and right of it no longer hangs together
    Mesh cut = m.only(t -> t / 2 % 10 != columns);
    int[] part = new MeshEdges(cut).parts(h -> true);
    assertThat(Arrays.stream(part).max().orElseThrow()).isEqualTo(columns == 9 ? 0 : 1);
  }

  @Test
  void aMeshWithoutTrianglesHasNoOutline() {
    assertThat(new MeshEdges(new Mesh(new double[0], new int[0])).outlines()).isEmpty();
  }
}
