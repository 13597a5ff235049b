package wellspan.core.shape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import wellspan.core.attribute.Finish;
import wellspan.core.geom.Mesh;

class FaceFinishesTest {
  private static final Finish A = new Finish("a", 0x111111);
  private static final Finish B = new Finish("b", 0x222222);
  private static final Finish BLANK = new Finish("", 0x333333);

  /** A strip of squares of the given widths, two triangles each. */
  private static Mesh strip(double... widths) {
    double[] xyz = new double[6 * (widths.length + 1)];
    int[] t = new int[6 * widths.length];
    double x = 0;
    for (int i = 0; i <= widths.length; i++) {
      xyz[6 * i] = xyz[6 * i + 3] = x;
      xyz[6 * i + 4] = 1;
      x += i < widths.length ? widths[i] : 0;
    }
    for (int i = 0; i < widths.length; i++) {
      int[] two = {2 * i, 2 * i + 2, 2 * i + 3, 2 * i, 2 * i + 3, 2 * i + 1};
      System.arraycopy(two, 0, t, 6 * i, 6);
    }
    return new Mesh(xyz, t);
  }

  @Test
  void oneFinishForAllIsNoneOfSingleFaces() {
    assertThat(FaceFinishes.of(new Finish[] {A, A, A})).isEmpty();
    assertThat(FaceFinishes.of(new Finish[] {null, null})).isEmpty();
    assertThat(FaceFinishes.of(new Finish[0])).isEmpty();
    assertThat(FaceFinishes.of(new Finish[] {A, null})).isPresent();
  }

  @Test
  void theWholeIsOfAllMaterialsInTheColourOfMostOfTheSurface() {
    Mesh m = strip(1, 5, 1);
    FaceFinishes f = FaceFinishes.of(new Finish[] {A, A, B, B, BLANK, A}).orElseThrow();
    assertThat(f.materials()).containsExactly("a", "b");
    assertThat(f.whole(m)).isEqualTo(new Finish("a, b", 0x222222));
    assertThat(f.colours(7))
        .containsExactly(0x111111, 0x111111, 0x222222, 0x222222, 0x333333, 0x111111);
  }

  @Test
  void facesWithoutOneHaveThatOfTheThing() {
    FaceFinishes f = FaceFinishes.of(new Finish[] {A, null}).orElseThrow();
    assertThat(f.finish(0)).contains(A);
    assertThat(f.finish(1)).isEmpty();
    assertThat(f.colours(0xABCDEF)).containsExactly(0x111111, 0xABCDEF);
  }

  /** Whatever the finishes, parts have each triangle once and the whole area. */
  @Test
  void partsAreTheWhole() {
    Random random = new Random(5);
    Finish[] some = {A, B, BLANK, null};
    for (int k = 0; k < 100; k++) {
      double[] widths = random.doubles(1 + random.nextInt(8), 0.1, 4).toArray();
      Mesh m = strip(widths);
      Finish[] each = new Finish[m.triangleCount()];
      for (int t = 0; t < each.length; t++) {
        each[t] = some[random.nextInt(some.length)];
      }
      Optional<FaceFinishes> f = FaceFinishes.of(each);
      if (f.isEmpty()) {
        continue;
      }
      List<FaceFinishes.Part> parts = f.get().parts(m);
      assertThat(parts.stream().mapToInt(p -> p.mesh().triangleCount()).sum())
          .isEqualTo(m.triangleCount());
      assertThat(parts.stream().mapToDouble(p -> p.mesh().planArea()).sum())
          .isCloseTo(m.planArea(), org.assertj.core.api.Assertions.within(1e-9));
      assertThat(parts).extracting(FaceFinishes.Part::finish).doesNotHaveDuplicates();
      int gone = random.nextInt(each.length);
      f.get()
          .only(t -> t != gone)
          .ifPresent(rest -> assertThat(rest.of()).hasSize(each.length - 1));
    }
  }

  @Test
  void finishesThatAreNotThoseOfTheMeshAreRefused() {
    FaceFinishes two = FaceFinishes.of(new Finish[] {A, B}).orElseThrow();
    assertThatThrownBy(() -> new Shape.Faces(strip(1, 1), Optional.of(two)))
        .isInstanceOf(IllegalArgumentException.class);
    assertThatThrownBy(() -> new FaceFinishes(List.of(A), new int[] {1}))
        .isInstanceOf(IllegalArgumentException.class);
  }
}
