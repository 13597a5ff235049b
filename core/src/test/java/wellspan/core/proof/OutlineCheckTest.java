package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;

/** Boundaries of surfaces that lie, stand and lean, at large coordinates. */
class OutlineCheckTest {
  private static final double E = 412_000;
  private static final double N = 6_534_500;
  private static final int CORNERS = 12;

  /** A ring of points: radius, level, moved east. */
  private static double[] ring(double radius, double level, double moved) {
    double[] xyz = new double[3 * CORNERS];
    for (int i = 0; i < CORNERS; i++) {
      double a = 2 * Math.PI * i / CORNERS;
      xyz[3 * i] = E + moved + radius * Math.cos(a);
      xyz[3 * i + 1] = N + radius * Math.sin(a);
      xyz[3 * i + 2] = level;
    }
    return xyz;
  }

  /** A band of triangles between two rings. */
  private static Mesh band(double[] one, double[] two) {
    double[] xyz = new double[6 * CORNERS];
    System.arraycopy(one, 0, xyz, 0, one.length);
    System.arraycopy(two, 0, xyz, one.length, two.length);
    int[] t = new int[6 * CORNERS];
    for (int i = 0; i < CORNERS; i++) {
      int j = (i + 1) % CORNERS;
      int[] six = {i, j, CORNERS + j, i, CORNERS + j, CORNERS + i};
      System.arraycopy(six, 0, t, 6 * i, 6);
    }
    return new Mesh(xyz, t);
  }

  private static Polyline closed(double[] ring) {
    double[] xyz = Arrays.copyOf(ring, ring.length + 3);
    System.arraycopy(ring, 0, xyz, ring.length, 3);
    return new Polyline(xyz);
  }

  private static boolean isFine(double[] one, boolean oneOuter, double[] two, boolean twoOuter) {
    return OutlineCheck.of(
            band(one, two), List.of(closed(one), closed(two)), List.of(oneOuter, twoOuter))
        .fault()
        .isEmpty();
  }

  @ParameterizedTest
  @CsvSource({"true,false,true", "false,true,false", "true,true,false", "false,false,false"})
  void aFlatBandHasOneOuterAndOneInnerBoundary(boolean outer, boolean inner, boolean fine) {
    assertThat(isFine(ring(5, 1, 0), outer, ring(3, 1, 0), inner)).isEqualTo(fine);
  }

  @ParameterizedTest
  @CsvSource({"true,false", "false,true", "true,true", "false,false"})
  void theEndsOfAnUprightTubeMayBeCalledEither(boolean low, boolean high) {
    assertThat(isFine(ring(5, 1, 0), low, ring(5, 4, 0), high)).isTrue();
  }

  @ParameterizedTest
  @CsvSource({"true,false", "false,true", "true,true", "false,false"})
  void theEndsOfALeaningTubeMayBeCalledEither(boolean low, boolean high) {
    assertThat(isFine(ring(5, 1, 0), low, ring(5, 4, 0.5), high)).isTrue();
  }

  @Test
  void aSteepBandIsStillToldFromAnUprightOne() {
    assertThat(isFine(ring(5, 1, 0), true, ring(4.99, 40, 0), false)).isTrue();
    assertThat(isFine(ring(5, 1, 0), false, ring(4.99, 40, 0), true)).isFalse();
  }

  @Test
  void everyOpenEdgeIsInABoundary() {
    double[] one = ring(5, 1, 0);
    Mesh band = band(one, ring(3, 1, 0));
    assertThat(OutlineCheck.of(band, List.of(closed(one)), List.of(true)).fault())
        .hasValueSatisfying(s -> assertThat(s).contains("12 of 24"));
  }

  @Test
  void edgesOfOneHashAreOne() {
    // two corners of a tube whose places differ and whose hash codes do not
    double e = 400_071.154961;
    double n = 6_500_144.177041;
    double[] xyz = {e, n, 1, e, n + 2, -1, e + 2, n, 1, e - 2, n, 1};
    Mesh mesh = new Mesh(xyz, new int[] {0, 1, 2, 1, 0, 3});
    double[] around = {e + 2, n, 1, e, n + 2, -1, e - 2, n, 1, e, n, 1, e + 2, n, 1};
    assertThat(OutlineCheck.of(mesh, List.of(new Polyline(around)), List.of(true)).fault())
        .isEmpty();
  }

  @Test
  void whereThreeTrianglesMeetEdgesMayBeInNoBoundary() {
    double[] xyz = {E, N, 0, E, N + 5, 0, E + 3, N, 1, E - 3, N, 1, E, N, 4};
    Mesh mesh = new Mesh(xyz, new int[] {0, 1, 2, 0, 1, 3, 0, 1, 4});
    OutlineCheck check = OutlineCheck.of(mesh, List.of(), List.of());
    assertThat(check.fault()).isEmpty();
    assertThat(check.unsaid()).isEqualTo(6);
  }
}
