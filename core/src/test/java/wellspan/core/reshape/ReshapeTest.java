package wellspan.core.reshape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.BitSet;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Geometry;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.PlanPolygon;
import wellspan.core.geom.Polyline;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;
import wellspan.core.terrain.TriangleIndex;
import wellspan.core.triangulate.Triangulator;

class ReshapeTest {
  private static Geometry area(double... local) {
    double[] xyz = new double[local.length / 2 * 3];
    for (int i = 0; i < local.length / 2; i++) {
      xyz[3 * i] = Grounds.E + local[2 * i];
      xyz[3 * i + 1] = Grounds.N + local[2 * i + 1];
    }
    return PlanPolygon.of(new Polyline(xyz));
  }

  private static double wavy(double x, double y) {
    return 20 + 2 * Math.sin(x / 8) * Math.cos(y / 11);
  }

  private static Mesh scattered(int count, long seed) {
    return Triangulator.delaunay(
        Grounds.scatter(count, 100, seed, ReshapeTest::wavy), Progress.NONE);
  }

  @Test
  void clippingCutsExactlyAndKeepsEveryPlane() {
    Mesh m = scattered(800, 1);
    Geometry l = area(10.3, 10, 80, 14, 71, 33, 40, 30, 35, 88, 12, 70);
    Mesh in = PlanClip.inside(m, l, Progress.NONE);
    Mesh out = PlanClip.outside(m, l, Progress.NONE);
    assertThat(in.planArea()).isCloseTo(l.getArea(), within(1e-6));
    assertThat(in.planArea() + out.planArea()).isCloseTo(m.planArea(), within(1e-6));
    for (Mesh part : new Mesh[] {in, out}) {
      LevelDifference d = LevelDifference.between(m, part, Progress.NONE);
      assertThat(d.largest()).isLessThan(1e-6);
      SurfaceFlaws f = SurfaceFlaws.of(part, 0, Progress.NONE);
      assertThat(f.irregularEdges()).isEmpty();
      assertThat(f.overlapping()).isEmpty();
      assertThat(f.islands()).isEmpty();
    }
    assertThat(Grounds.outlines(in)).isEqualTo(1);
    assertThat(Grounds.outlines(out)).isEqualTo(2);
  }

  @Test
  void anAreaWithAHoleAndOneBesideTheSurface() {
    Mesh m = Grounds.grid(10, 10, 10, (x, y) -> x);
    Geometry ring =
        area(20, 20, 80, 20, 80, 80, 20, 80).difference(area(40, 40, 60, 40, 60, 60, 40, 60));
    assertThat(PlanClip.inside(m, ring, Progress.NONE).planArea()).isCloseTo(3200, within(1e-6));
    Geometry beside = area(500, 500, 600, 500, 550, 600);
    assertThat(PlanClip.inside(m, beside, Progress.NONE).triangleCount()).isZero();
    assertThat(PlanClip.outside(m, beside, Progress.NONE).triangles()).isEqualTo(m.triangles());
  }

  @Test
  void trimmingTakesLongEdgesOffUntilShortOnesStand() {
    Mesh m = Grounds.grid(10, 10, 5, (x, y) -> 0);
    double[] xyz = java.util.Arrays.copyOf(m.xyz(), m.xyz().length + 3);
    xyz[xyz.length - 3] = Grounds.E + 25;
    xyz[xyz.length - 2] = Grounds.N + 200; // a stray point far off
    Mesh hull = Triangulator.delaunay(xyz, Progress.NONE);
    Mesh trimmed = OutlineTrim.trim(hull, 12, 0);
    assertThat(trimmed.planArea()).isCloseTo(2500, within(1e-6));
    assertThat(trimmed.vertexCount()).isEqualTo(121);
  }

  @Test
  void trimmingTakesFlatTrianglesOffTheOutline() {
    // a bay 0.2 m deep in a straight edge is spanned by flat triangles
    double[] xyz = {0, 0, 0, 10, 0.2, 0, 20, 0.2, 0, 30, 0, 0, 15, 20, 0};
    Mesh m = Triangulator.delaunay(xyz, Progress.NONE);
    Mesh t = OutlineTrim.trim(m, Double.POSITIVE_INFINITY, 3);
    assertThat(t.planArea()).isLessThan(m.planArea());
    assertThat(m.planArea() - t.planArea()).isCloseTo(4, within(1e-9));
  }

  @Test
  void aDesignIsSetIntoTheGroundWithoutAGap() {
    Mesh ground = scattered(900, 2);
    Mesh pad =
        PlanClip.inside(
            Grounds.grid(20, 20, 5, (x, y) -> 22),
            area(30, 30, 66, 35, 60, 70, 35, 62),
            Progress.NONE);
    SurfaceJoin j = SurfaceJoin.join(ground, pad, Progress.NONE);
    assertThat(j.mesh().planArea()).isCloseTo(ground.planArea(), within(1e-6));
    assertThat(Grounds.outlines(j.mesh())).isEqualTo(1);
    SurfaceFlaws f = SurfaceFlaws.of(j.mesh(), 0, Progress.NONE);
    assertThat(f.irregularEdges()).isEmpty();
    assertThat(f.overlapping()).isEmpty();
    assertThat(new TriangleIndex(j.mesh()).levelAt(Grounds.E + 45, Grounds.N + 50)).isEqualTo(22);
    assertThat(Math.abs(j.step())).isBetween(0.5, 4.0);
    assertThat(LevelDifference.between(pad, j.mesh(), Progress.NONE).largest()).isLessThan(1e-6);
  }

  @Test
  void whereTheSeamFitsNothingMoves() {
    Mesh ground = Grounds.grid(20, 20, 5, (x, y) -> 10 + 0.1 * x);
    Mesh design =
        PlanClip.inside(
            Triangulator.delaunay(
                Grounds.scatter(90, 100, 3, (x, y) -> 10 + 0.1 * x), Progress.NONE),
            area(21, 22, 77, 24, 51, 83),
            Progress.NONE);
    SurfaceJoin j = SurfaceJoin.join(ground, design, Progress.NONE);
    assertThat(Math.abs(j.step())).isLessThan(1e-5);
    assertThat(LevelDifference.between(ground, j.mesh(), Progress.NONE).largest()).isLessThan(1e-5);
  }

  @Property(tries = 12)
  void simplifyingNeverMissesAVertexByMoreThanPromised(
      @ForAll long seed, @ForAll @DoubleRange(min = 0.02, max = 1) double promised) {
    Mesh m = scattered(1500, seed);
    Simplification s = Simplification.of(m, promised, Progress.NONE);
    TriangleIndex index = new TriangleIndex(s.mesh());
    double worst = 0;
    for (int v = 0; v < m.vertexCount(); v++) {
      double level = index.levelAt(m.east(v), m.north(v));
      if (!Double.isNaN(level)) {
        worst = Math.max(worst, Math.abs(level - m.level(v)));
      }
    }
    assertThat(worst).isLessThanOrEqualTo(promised + 1e-9);
    assertThat(s.mesh().triangleCount()).isLessThanOrEqualTo(m.triangleCount());
    assertThat(s.mesh().planArea()).isCloseTo(m.planArea(), within(1e-3));
  }

  @Test
  void aPlaneNeedsItsOutlineOnly() {
    Mesh m = Grounds.grid(30, 30, 2, (x, y) -> 3 + 0.1 * x - 0.2 * y);
    Simplification s = Simplification.of(m, 0.001, Progress.NONE);
    assertThat(s.mesh().vertexCount()).isLessThanOrEqualTo(4 * 30 + 3);
    assertThat(s.error()).isLessThan(1e-6);
  }

  @Test
  void uprightFacesAreRefusedWithASentence() {
    double[] xyz = {0, 0, 0, 10, 0, 0, 10, 10, 0, 0, 10, 0, 10, 0, 5, 10, 10, 5};
    Mesh m = new Mesh(xyz, new int[] {0, 1, 2, 0, 2, 3, 1, 4, 2, 4, 5, 2});
    assertThatThrownBy(() -> Simplification.of(m, 0.1, Progress.NONE))
        .hasMessageContaining("upright faces");
  }

  @Test
  void holesAreFilledUpToAnArea() {
    Mesh m = Grounds.grid(6, 6, 10, (x, y) -> x / 10);
    Mesh holed = m.only(t -> t != 14 && t != 15 && (t < 40 || t > 45));
    assertThat(Grounds.outlines(holed)).isEqualTo(3);
    Mesh small = HoleFilling.fill(holed, 150);
    assertThat(small.planArea()).isCloseTo(3600 - 300, within(1e-6));
    Mesh all = HoleFilling.fill(holed, Double.POSITIVE_INFINITY);
    assertThat(all.planArea()).isCloseTo(3600, within(1e-6));
    assertThat(LevelDifference.between(m, all, Progress.NONE).largest()).isLessThan(1e-9);
  }

  @Test
  void droppedVerticesLeaveAHoleOrAreBridged() {
    Mesh m = Grounds.grid(6, 6, 10, (x, y) -> 0);
    BitSet gone = new BitSet();
    gone.set(24); // the middle one
    Mesh open = VertexDrop.vertices(m, gone, false);
    assertThat(open.vertexCount()).isEqualTo(m.vertexCount() - 1);
    assertThat(Grounds.outlines(open)).isEqualTo(2);
    Mesh closed = VertexDrop.vertices(m, gone, true);
    assertThat(closed.planArea()).isCloseTo(m.planArea(), within(1e-6));
    assertThat(Grounds.outlines(closed)).isEqualTo(1);
  }

  @Test
  void refillingLeavesEarlierHolesAlone() {
    Mesh m = Grounds.grid(9, 9, 10, (x, y) -> 0).only(t -> t != 140 && t != 141);
    BitSet gone = new BitSet();
    gone.set(22);
    Mesh r = VertexDrop.vertices(m, gone, true);
    assertThat(Grounds.outlines(r)).isEqualTo(2);
  }

  @Test
  void sliversAreTurnedAway() {
    double[] xyz = {0, 0, 1, 10, 0, 1, 5, 0.0004, 1, 5, -5, 2, 5, 5, 3};
    Mesh m = new Mesh(xyz, new int[] {0, 1, 2, 1, 0, 3, 0, 2, 4, 2, 1, 4});
    Mesh flipped = SliverFlip.flip(m, 0.001);
    assertThat(flipped.triangleCount()).isEqualTo(4);
    assertThat(flipped.planArea()).isCloseTo(m.planArea(), within(1e-12));
    for (int t = 0; t < 4; t++) {
      assertThat(flipped.planArea(t)).isGreaterThan(12);
    }
    assertThat(SliverFlip.flip(flipped, 0.001).triangles()).isEqualTo(flipped.triangles());
    // at the outline there is nothing to turn it into
    Mesh alone = new Mesh(xyz, new int[] {0, 1, 2});
    assertThat(SliverFlip.flip(alone, 0.001).triangles()).isEqualTo(alone.triangles());
  }
}
