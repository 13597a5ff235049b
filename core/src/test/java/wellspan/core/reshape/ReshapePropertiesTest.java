package wellspan.core.reshape;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wellspan.core.flaw.SurfaceFlaws;
import wellspan.core.geom.Mesh;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.overlay.Volumes;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;
import wellspan.core.triangulate.Triangulator;

/** What holds for any surface and any outline. */
class ReshapePropertiesTest {
  private static double wavy(double x, double y) {
    return 12 + Math.sin(x / 7) + Math.cos(y / 9) + 0.03 * x;
  }

  private static Mesh ground(long seed) {
    return Triangulator.delaunay(
        Grounds.scatter(350, 100, seed, ReshapePropertiesTest::wavy), Progress.NONE);
  }

  /** A star of random reach within the ground. */
  private static Geometry star(long seed) {
    Random r = new Random(seed);
    int corners = 5 + r.nextInt(12);
    Coordinate[] ring = new Coordinate[corners + 1];
    for (int i = 0; i < corners; i++) {
      double angle = 2 * Math.PI * i / corners, reach = 8 + 34 * r.nextDouble();
      ring[i] =
          new Coordinate(
              Grounds.E + 50 + reach * Math.cos(angle), Grounds.N + 50 + reach * Math.sin(angle));
    }
    ring[corners] = ring[0];
    return new GeometryFactory().createPolygon(ring);
  }

  @Property(tries = 25)
  void insideAndOutsideMakeTheWholeAndKeepEveryLevel(@ForAll long seed) {
    Mesh m = ground(seed);
    Geometry area = star(seed);
    Mesh in = PlanClip.inside(m, area, Progress.NONE);
    Mesh out = PlanClip.outside(m, area, Progress.NONE);
    assertThat(in.planArea()).isCloseTo(area.getArea(), within(1e-5));
    assertThat(in.planArea() + out.planArea()).isCloseTo(m.planArea(), within(1e-5));
    assertThat(LevelDifference.between(m, in, Progress.NONE).largest()).isLessThan(1e-5);
    assertThat(LevelDifference.between(m, out, Progress.NONE).largest()).isLessThan(1e-5);
    assertThat(SurfaceFlaws.of(in, 0, Progress.NONE).irregularEdges()).isEmpty();
    assertThat(SurfaceFlaws.of(out, 0, Progress.NONE).irregularEdges()).isEmpty();
  }

  @Property(tries = 15)
  void aPartSetBackIntoItsGroundIsTheGround(@ForAll long seed) {
    Mesh m = ground(seed);
    Mesh part = PlanClip.inside(m, star(seed), Progress.NONE);
    SurfaceJoin j = SurfaceJoin.join(m, part, Progress.NONE);
    assertThat(Math.abs(j.step())).isLessThan(1e-4);
    assertThat(j.mesh().planArea()).isCloseTo(m.planArea(), within(1e-4));
    LevelDifference d = LevelDifference.between(m, j.mesh(), Progress.NONE);
    assertThat(d.rms()).isLessThan(1e-5);
    assertThat(Grounds.outlines(j.mesh())).isEqualTo(1);
  }

  @Property(tries = 15)
  void aPadOfOneLevelCutsAndFillsWhatLiesUnderIt(
      @ForAll long seed, @ForAll @DoubleRange(min = 9, max = 17) double level) {
    Mesh m = ground(seed);
    Geometry area = star(seed);
    Mesh under = PlanClip.inside(m, area, Progress.NONE);
    Mesh pad = PlanClip.inside(Grounds.grid(10, 10, 10, (x, y) -> level), area, Progress.NONE);
    Volumes v = Volumes.between(under, pad, Progress.NONE);
    double earth = 0;
    for (int t = 0; t < under.triangleCount(); t++) {
      int[] c = under.triangles();
      double mean =
          (under.level(c[3 * t]) + under.level(c[3 * t + 1]) + under.level(c[3 * t + 2])) / 3;
      earth += under.planArea(t) * (level - mean);
    }
    assertThat(v.fill() - v.cut()).isCloseTo(earth, within(1e-3));
    assertThat(v.fillArea() + v.cutArea()).isCloseTo(area.getArea(), within(1e-3));
  }

  @Property(tries = 20)
  void trimmingNeverLeavesALongSideOnTheOutline(
      @ForAll long seed, @ForAll @DoubleRange(min = 4, max = 30) double longest) {
    Mesh t = OutlineTrim.trim(ground(seed), longest, 0);
    for (int[] loop : new wellspan.core.geom.MeshEdges(t).outlines()) {
      for (int i = 0; i < loop.length; i++) {
        int a = loop[i], b = loop[(i + 1) % loop.length];
        double side = Math.hypot(t.east(b) - t.east(a), t.north(b) - t.north(a));
        assertThat(side).isLessThanOrEqualTo(longest);
      }
    }
  }

  @Property(tries = 20)
  void filledHolesAreGone(@ForAll long seed) {
    Mesh m = ground(seed);
    int[] gone = new Random(seed).ints(6, 0, m.triangleCount()).toArray();
    Mesh full = filled(m, m.only(t -> Arrays.stream(gone).noneMatch(g -> g == t)));
    assertThat(SurfaceFlaws.holes(full)).isEmpty();
  }

  /** What stays within touches the outline in its corners, or stands loose. */
  @Property(tries = 40)
  void whatStaysWithinAHoleIsNotCovered(
      @ForAll long seed, @ForAll @DoubleRange(min = 0, max = 0.6) double left) {
    Mesh m = ground(seed);
    Random r = new Random(seed);
    double[] middle = {Grounds.E + 50, Grounds.N + 50};
    filled(
        m,
        m.only(
            t -> {
              int a = m.triangles()[3 * t];
              double away = Math.hypot(m.east(a) - middle[0], m.north(a) - middle[1]);
              return away > 25 || r.nextDouble() < left;
            }));
  }

  private static Mesh filled(Mesh m, Mesh holed) {
    Mesh full = HoleFilling.fill(holed, Double.POSITIVE_INFINITY);
    SurfaceFlaws after = SurfaceFlaws.of(full, 0, Progress.NONE);
    assertThat(after.irregularEdges()).isEmpty();
    assertThat(after.overlapping()).isEmpty();
    assertThat(full.planArea() + open(full))
        .isCloseTo(holed.planArea() + open(holed), within(1e-6));
    assertThat(full.planArea()).isLessThanOrEqualTo(m.planArea() + 1e-6);
    return full;
  }

  private static double open(Mesh m) {
    return SurfaceFlaws.holes(m).stream().mapToDouble(h -> h.area(m)).sum();
  }
}
