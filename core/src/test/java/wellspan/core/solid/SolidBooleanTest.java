package wellspan.core.solid;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;

/** Bodies with each other, by volumes that are known without them. */
class SolidBooleanTest {
  private static Mesh box(double[] low, double[] high) {
    double[] xyz = new double[24];
    for (int i = 0; i < 8; i++) {
      xyz[3 * i] = (i & 1) == 0 ? low[0] : high[0];
      xyz[3 * i + 1] = (i & 2) == 0 ? low[1] : high[1];
      xyz[3 * i + 2] = (i & 4) == 0 ? low[2] : high[2];
    }
    return new Mesh(
        xyz,
        new int[] {
          0, 2, 1, 1, 2, 3, 4, 5, 6, 5, 7, 6, 0, 1, 4, 1, 5, 4, 2, 6, 3, 3, 6, 7, 0, 4, 2, 2, 4, 6,
          1, 3, 5, 3, 7, 5
        });
  }

  private static Mesh turned(Mesh m, double angle) {
    double[] xyz = m.xyz().clone();
    double c = Math.cos(angle), s = Math.sin(angle);
    for (int i = 0; i < xyz.length; i += 3) {
      double x = xyz[i], y = xyz[i + 1];
      xyz[i] = c * x - s * y;
      xyz[i + 1] = s * x + c * y;
    }
    return new Mesh(xyz, m.triangles());
  }

  private static double overlap(double[] lowA, double[] highA, double[] lowB, double[] highB) {
    double v = 1;
    for (int k = 0; k < 3; k++) {
      v *= Math.max(0, Math.min(highA[k], highB[k]) - Math.max(lowA[k], lowB[k]));
    }
    return v;
  }

  private static void closedWith(Mesh m, double volume, String what) {
    if (volume < 1e-9) {
      assertThat(m.triangleCount() == 0 || Math.abs(m.volume()) < 1e-6).as(what).isTrue();
      return;
    }
    assertThat(m.isClosed()).as(what + " is closed").isTrue();
    assertThat(m.volume()).as(what).isCloseTo(volume, within(1e-6));
  }

  /** Boxes that miss, meet, hold or pierce each other, also turned together. */
  @Test
  void randomBoxesHaveTheVolumesOfTheirOverlap() {
    Random random = new Random(8);
    for (int k = 0; k < 150; k++) {
      double[] lowA = random.doubles(3, 0, 5).toArray();
      double[] lowB = random.doubles(3, 0, 5).toArray();
      double[] highA = new double[3];
      double[] highB = new double[3];
      double a = 1, b = 1;
      for (int i = 0; i < 3; i++) {
        highA[i] = lowA[i] + 0.5 + 4 * random.nextDouble();
        highB[i] = lowB[i] + 0.5 + 4 * random.nextDouble();
        a *= highA[i] - lowA[i];
        b *= highB[i] - lowB[i];
      }
      double both = overlap(lowA, highA, lowB, highB);
      double angle = k % 2 == 0 ? 0 : 2 * random.nextDouble();
      Mesh one = turned(box(lowA, highA), angle);
      Mesh other = turned(box(lowB, highB), angle);
      closedWith(SolidBoolean.intersection(one, other), both, "intersection " + k);
      closedWith(SolidBoolean.difference(one, other), a - both, "difference " + k);
      closedWith(SolidBoolean.union(one, other), a + b - both, "union " + k);
    }
  }

  /** Faces that lie in one plane are the hard case. */
  @Test
  void boxesOnAGridShareFaces() {
    Random random = new Random(4);
    for (int k = 0; k < 150; k++) {
      double[] lowA = {0, 0, 0};
      double[] highA = {2, 2, 2};
      double[] lowB = {random.nextInt(4) - 1, random.nextInt(4) - 1, random.nextInt(4) - 1};
      double[] highB = new double[3];
      double b = 1;
      for (int i = 0; i < 3; i++) {
        highB[i] = lowB[i] + 1 + random.nextInt(3);
        b *= highB[i] - lowB[i];
      }
      double both = overlap(lowA, highA, lowB, highB);
      Mesh one = box(lowA, highA);
      Mesh other = box(lowB, highB);
      assertThat(SolidBoolean.difference(one, other).volume())
          .as("difference %d", k)
          .isCloseTo(8 - both, within(1e-6));
      assertThat(SolidBoolean.intersection(one, other).volume())
          .as("intersection %d", k)
          .isCloseTo(both, within(1e-6));
      assertThat(SolidBoolean.union(one, other).volume())
          .as("union %d", k)
          .isCloseTo(8 + b - both, within(1e-6));
    }
  }

  @Test
  void whatIsTakenFromItselfIsNothing() {
    Mesh m = box(new double[] {0, 0, 0}, new double[] {1, 2, 3});
    assertThat(SolidBoolean.difference(m, m).volume()).isCloseTo(0, within(1e-9));
    assertThat(SolidBoolean.intersection(m, m).volume()).isCloseTo(6, within(1e-9));
    assertThat(SolidBoolean.union(m, m).volume()).isCloseTo(6, within(1e-9));
  }
}
