package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class MeshWeldTest {
  @Property
  void samePlacesAreOneVertexAndNothingIsDropped(
      @ForAll @Size(min = 3, max = 2000) List<@IntRange(min = -3, max = 3) Integer> numbers) {
    MeshWeld weld = new MeshWeld();
    Map<List<Integer>, Integer> expected = new HashMap<>();
    int n = numbers.size() / 3;
    for (int i = 0; i < n; i++) {
      List<Integer> place = numbers.subList(3 * i, 3 * i + 3);
      int number = expected.computeIfAbsent(List.copyOf(place), p -> expected.size());
      assertThat(weld.vertex(place.get(0), place.get(1), place.get(2))).isEqualTo(number);
      weld.triangle(number, number, number);
    }
    Mesh m = weld.mesh();
    assertThat(m.vertexCount()).isEqualTo(expected.size());
    assertThat(m.triangleCount()).isEqualTo(n);
  }

  @Test
  void bothZerosAreOnePlace() {
    MeshWeld weld = new MeshWeld();
    assertThat(weld.vertex(0.0, 1, 2)).isEqualTo(weld.vertex(-0.0, 1, 2));
  }

  @Test
  void manyVerticesKeepTheirNumbers() {
    MeshWeld weld = new MeshWeld();
    for (int round = 0; round < 2; round++) {
      for (int i = 0; i < 100_000; i++) {
        assertThat(weld.vertex(412_000 + 0.001 * i, 6_534_000, i % 7)).isEqualTo(i);
      }
    }
  }

  @Test
  void mapsAreAppliedInTheirOrder() {
    Affine turn = Affine.turn(Math.PI / 2);
    Affine both = Affine.shift(10, 0, 1).after(turn).after(Affine.scale(2, 2, -2));
    assertThat(both.apply(new double[] {1, 0, 3}))
        .usingComparatorWithPrecision(1e-12)
        .containsExactly(10, 2, -5);
    assertThat(both.determinant()).isLessThan(0);
    assertThat(Affine.IDENTITY.after(Affine.IDENTITY).isIdentity()).isTrue();
  }
}
