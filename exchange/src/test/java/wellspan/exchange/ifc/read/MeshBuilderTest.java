package wellspan.exchange.ifc.read;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Colours of triangles as they come: of single faces, of items, of what maps them. */
class MeshBuilderTest {
  private final MeshBuilder mesh = new MeshBuilder();

  private void triangles(int n) {
    for (int i = 0; i < n; i++) {
      int first = mesh.vertex(i, 0, 0);
      mesh.vertex(i + 1, 0, 0);
      mesh.vertex(i, 1, 0);
      mesh.triangle(first, first + 1, first + 2);
    }
  }

  @Test
  void oneColourForAllNeedsNoList() {
    triangles(3);
    assertThat(mesh.takeColours()).as("no colour at all").isEmpty();
    mesh.paintFrom(0, 7);
    triangles(2);
    mesh.paintFrom(3, 7);
    assertThat(mesh.takeColours()).isEmpty();
    mesh.paintFrom(0, 9);
    assertThat(mesh.takeColours()).as("what is painted stays").isEmpty();
  }

  @Test
  void whatIsNotPaintedHasNone() {
    triangles(2);
    mesh.paintFrom(0, 7);
    triangles(1);
    assertThat(mesh.takeColours()).containsExactly(7, 7, -1);
    triangles(1);
    mesh.paintFrom(3, 8);
    assertThat(mesh.takeColours()).containsExactly(7, 7, -1, 8);
    mesh.paintFrom(0, 9);
    assertThat(mesh.takeColours()).containsExactly(7, 7, 9, 8);
  }

  @Test
  void theFirstItemMayHaveNone() {
    triangles(2);
    triangles(1);
    mesh.paintFrom(2, 5);
    assertThat(mesh.takeColours()).containsExactly(-1, -1, 5);
  }

  /** Any order of triangles and colours against a plain list. */
  @Test
  void colourForColourAsInAPlainList() {
    Random random = new Random(6);
    for (int k = 0; k < 300; k++) {
      MeshBuilder one = new MeshBuilder();
      List<Integer> plain = new ArrayList<>();
      for (int step = 0; step < 12; step++) {
        int n = random.nextInt(4);
        for (int i = 0; i < n; i++) {
          int v = one.vertex(0, 0, 0);
          one.triangle(v, v, v);
          plain.add(-1);
        }
        if (random.nextBoolean() && !plain.isEmpty()) {
          int from = random.nextInt(plain.size());
          int rgb = random.nextInt(3);
          one.paintFrom(from, rgb);
          for (int t = from; t < plain.size(); t++) {
            plain.set(t, plain.get(t) < 0 ? rgb : plain.get(t));
          }
        }
      }
      int[] found = one.takeColours();
      boolean alike = plain.stream().distinct().count() <= 1;
      if (found.length == 0) {
        assertThat(alike).as("%s", plain).isTrue();
      } else {
        assertThat(found).containsExactly(plain.stream().mapToInt(Integer::intValue).toArray());
      }
    }
  }
}
