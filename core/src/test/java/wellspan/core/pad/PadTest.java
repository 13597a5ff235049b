package wellspan.core.pad;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import java.util.function.DoubleBinaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.Plane;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.SurfaceJoin;
import wellspan.core.terrain.Grounds;
import wellspan.core.terrain.TriangleIndex;
import wellspan.core.triangulate.Triangulator;

class PadTest {
  private static final Position MIDDLE = new Position(Grounds.E + 100, Grounds.N + 100, 0);

  /** Corners from the middle of the ground. */
  private static Geometry outline(double... xy) {
    double[] xyz = new double[xy.length / 2 * 3];
    for (int i = 0; i < xy.length / 2; i++) {
      xyz[3 * i] = MIDDLE.east() + xy[2 * i];
      xyz[3 * i + 1] = MIDDLE.north() + xy[2 * i + 1];
    }
    return PlanPolygon.of(new Polyline(xyz));
  }

  private static Plane level(double h) {
    return Plane.falling(new Position(MIDDLE.east(), MIDDLE.north(), h), 0, 0);
  }

  private static Mesh ground(DoubleBinaryOperator level) {
    return Grounds.grid(40, 40, 5, level);
  }

  private static final Geometry SQUARE = outline(-10, -10, 10, -10, 10, 10, -10, 10);

  /**
   * A fan of planes holds a little less than the cone: the polygon's area instead of the circle's.
   */
  private static double fan(double radius) {
    return Math.sin(SlopeFacets.FAN) / SlopeFacets.FAN * Math.PI * radius * radius;
  }

  @Test
  void aPadOverLevelGroundHoldsAFrustum() {
    double h = 3, run = 2, r = h * run;
    Pad up = Pad.of(SQUARE, level(h), 1.5, run, ground((x, y) -> 0), Progress.NONE);
    double fill = 400 * h + 80 * r * h / 2 + fan(r) * h / 3;
    assertThat(up.volumes().fill()).isCloseTo(fill, within(1e-5 * fill));
    assertThat(up.volumes().cut()).isCloseTo(0, within(1e-6));
    assertThat(up.area()).isCloseTo(400, within(1e-9));
    assertThat(up.mesh().planArea()).isCloseTo(400 + 80 * r + fan(r), within(1e-2));
    assertThat(up.gapAt()).isEmpty();

    double deep = h * 1.5;
    Pad down = Pad.of(SQUARE, level(-h), 1.5, run, ground((x, y) -> 0), Progress.NONE);
    double cut = 400 * h + 80 * deep * h / 2 + fan(deep) * h / 3;
    assertThat(down.volumes().cut()).isCloseTo(cut, within(1e-5 * cut));
    assertThat(down.volumes().fill()).isCloseTo(0, within(1e-6));
  }

  @Test
  void aPadHalfInAndHalfOverASlopeIsCutAndFilledAlike() {
    Pad p = Pad.of(SQUARE, level(20), 2, 2, ground((x, y) -> 0.2 * x), Progress.NONE);
    assertThat(p.volumes().cut()).isGreaterThan(200);
    assertThat(p.volumes().fill()).isCloseTo(p.volumes().cut(), within(1e-4 * p.volumes().cut()));
    assertThat(p.gapAt()).isEmpty();
  }

  @Test
  void aGradedPadFallsAsStated() {
    Position at = new Position(MIDDLE.east(), MIDDLE.north(), 12);
    Plane falling = Plane.falling(at, 0.03, 90);
    Pad p = Pad.of(SQUARE, falling, 1.5, 2, ground((x, y) -> 10), Progress.NONE);
    TriangleIndex index = new TriangleIndex(p.mesh());
    assertThat(index.levelAt(MIDDLE.east() + 9, MIDDLE.north() + 3))
        .isCloseTo(12 - 0.27, within(1e-6));
    assertThat(index.levelAt(MIDDLE.east() - 9, MIDDLE.north() - 4))
        .isCloseTo(12 + 0.27, within(1e-6));
  }

  @Test
  void atACornerThatPointsInwardsTheSlopesMeetInTheirBisector() {
    Geometry angle = outline(-20, -20, 20, -20, 20, 0, 0, 0, 0, 20, -20, 20);
    Pad p = Pad.of(angle, level(4), 2, 2, ground((x, y) -> 0), Progress.NONE);
    TriangleIndex index = new TriangleIndex(p.mesh());
    // three metres from one arm and five from the other: the nearer one's slope holds
    assertThat(index.levelAt(MIDDLE.east() + 5, MIDDLE.north() + 3))
        .isCloseTo(4 - 3 / 2.0, within(1e-6));
    assertThat(index.levelAt(MIDDLE.east() + 3, MIDDLE.north() + 5))
        .isCloseTo(4 - 3 / 2.0, within(1e-6));
    double r = 8;
    double corner = 4 * r * r / 2 - r * r * 4 / 6.0; // both arms' slopes overlap here once
    double sides = 160 * r * 4 / 2;
    double fans = 5 * fan(r) / 4 * 4 / 3.0;
    double expected = 1200 * 4 + sides + fans - corner;
    assertThat(p.volumes().fill()).isCloseTo(expected, within(0.01 * expected));
  }

  @Test
  void anOutlineWithArcsRunsOutEverywhere() {
    double[] arc = new double[2 * 64];
    for (int i = 0; i < 64; i++) { // a stadium of chords, turned off the axes
      double a = Math.PI * (i < 32 ? i : i - 1) / 31.5 + 0.4;
      double along = i < 32 ? 15 : -15;
      arc[2 * i] = 8 * Math.cos(a) - along * Math.sin(0.4);
      arc[2 * i + 1] = 8 * Math.sin(a) + along * Math.cos(0.4);
    }
    Plane falling = Plane.falling(new Position(MIDDLE.east(), MIDDLE.north(), 21), 0.02, 200);
    Mesh g = ground((x, y) -> 10 + 0.1 * x + Math.sin(y / 7));
    Pad p = Pad.of(outline(arc), falling, 1.5, 2, g, Progress.NONE);
    assertThat(p.gapAt()).isEmpty();
    assertThat(new MeshEdges(p.mesh()).outlines()).hasSize(1);
    TriangleIndex index = new TriangleIndex(p.mesh());
    for (int i = 0; i < 2 * 64; i += 2) {
      double e = MIDDLE.east() + arc[i], n = MIDDLE.north() + arc[i + 1];
      assertThat(index.levelAt(e, n)).isCloseTo(falling.levelAt(e, n), within(1e-3));
    }
  }

  @Test
  void slopesThatDoNotRunOutAreTold() {
    Pad p = Pad.of(SQUARE, level(90), 2, 2, ground((x, y) -> 0), Progress.NONE);
    assertThat(p.gapAt()).isPresent();
    // at the edge of the ground, 90 m beside the pad, the slope is still half as high as the pad
    assertThat(p.gap()).isCloseTo(45, within(1e-6));
  }

  @Property(tries = 15)
  void onRoughGroundTheOutlineLiesOnItAndNothingIsSteeperThanStated(@ForAll long seed) {
    Random r = new Random(seed);
    double a = r.nextDouble() * 0.3, b = r.nextDouble() * 0.3, w = 4 + 10 * r.nextDouble();
    Mesh ground =
        Triangulator.delaunay(
            Grounds.scatter(
                1500, 200, seed, (x, y) -> a * x - b * y + 1.5 * Math.sin(x / w) * Math.cos(y / w)),
            Progress.NONE);
    double middle = new TriangleIndex(ground).levelAt(MIDDLE.east(), MIDDLE.north());
    double turn = r.nextDouble() * 6;
    double[] ring = new double[10];
    for (int i = 0; i < 5; i++) {
      double d = 6 + 12 * r.nextDouble();
      ring[2 * i] = d * Math.cos(turn + i * 2 * Math.PI / 5);
      ring[2 * i + 1] = d * Math.sin(turn + i * 2 * Math.PI / 5);
    }
    Pad p =
        Pad.of(
            outline(ring), level(middle + 2 * r.nextDouble() - 1), 1.5, 2, ground, Progress.NONE);
    if (p.gapAt().isPresent()) {
      return; // the ground rises about as fast as the slope does
    }
    TriangleIndex earth = new TriangleIndex(ground);
    MeshEdges edges = new MeshEdges(p.mesh());
    for (int[] loop : edges.outlines()) {
      for (int v : loop) {
        assertThat(p.mesh().level(v))
            .isCloseTo(earth.levelAt(p.mesh().east(v), p.mesh().north(v)), within(0.003));
      }
    }
    double steepest = 1 / 1.5 / Math.cos(SlopeFacets.FAN / 2);
    for (int t = 0; t < p.mesh().triangleCount(); t++) {
      if (p.mesh().planArea(t) > 0.02) {
        double flat = p.mesh().planArea(t), real = p.mesh().area(t);
        double slope =
            Math.sqrt(Math.max(0, real * real / flat / flat - 1)); // level but for rounding
        assertThat(slope).isLessThan(1.02 * steepest);
      }
    }
    SurfaceJoin joined = SurfaceJoin.join(ground, p.mesh(), Progress.NONE);
    assertThat(Math.abs(joined.step())).isLessThan(0.005);
    assertThat(joined.mesh().planArea()).isCloseTo(ground.planArea(), within(0.5));
  }

  @Test
  void senselessSlopesAndOutlinesAreSentences() {
    Mesh g = ground((x, y) -> 0);
    assertThatThrownBy(() -> Pad.of(SQUARE, level(1), 0, 2, g, Progress.NONE))
        .hasMessageContaining("greater than zero");
    Geometry two = SQUARE.union(outline(50, 50, 60, 50, 60, 60));
    assertThatThrownBy(() -> Pad.of(two, level(1), 1, 2, g, Progress.NONE))
        .hasMessage("A pad has one outline; this one has 2 parts.");
    Geometry far = outline(500, 500, 510, 500, 510, 510);
    assertThatThrownBy(() -> Pad.of(far, level(1), 1, 2, g, Progress.NONE))
        .hasMessage("The pad lies beside the ground.");
  }
}
