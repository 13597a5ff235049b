package wellspan.core.triangulate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshEdges;
import wellspan.core.geom.Polyline;
import wellspan.core.progress.Progress;
import wellspan.core.terrain.Grounds;
import wellspan.core.terrain.TriangleIndex;

class TriangulatorTest {
  private static final Triangulator MEAN = new Triangulator(LevelRule.MEAN, LevelRule.MEAN, 0.01);

  private static double[] at(double... local) {
    double[] xyz = local.clone();
    for (int i = 0; i < xyz.length; i += 3) {
      xyz[i] += Grounds.E;
      xyz[i + 1] += Grounds.N;
    }
    return xyz;
  }

  private static Constraint line(Constraint.Kind kind, double... local) {
    return new Constraint("line", new Polyline(at(local)), kind);
  }

  /**
   * Whether edges run on along a straight line from one end to the other, never more than two
   * tolerances beside it. Vertices that merely lie near the line need not be on the way.
   */
  private static boolean isChain(Mesh m, double[] from, double[] to) {
    MeshEdges edges = new MeshEdges(m);
    double near = 2 * Triangulator.SAME_PLACE;
    double length = Math.hypot(to[0] - from[0], to[1] - from[1]);
    List<double[]> on = new ArrayList<>();
    for (int v = 0; v < m.vertexCount(); v++) {
      double de = m.east(v) - from[0], dn = m.north(v) - from[1];
      double s = (de * (to[0] - from[0]) + dn * (to[1] - from[1])) / length;
      double off = Math.abs(de * (to[1] - from[1]) - dn * (to[0] - from[0])) / length;
      if (s > -near && s < length + near && off < near) {
        on.add(new double[] {s, v});
      }
    }
    on.sort(java.util.Comparator.comparingDouble(p -> p[0]));
    boolean[] reached = new boolean[on.size()];
    boolean arrived = false;
    for (int i = 0; i < reached.length; i++) {
      reached[i] = on.get(i)[0] < near;
      for (int j = 0; j < i && !reached[i]; j++) {
        reached[i] = reached[j] && edges.joins((int) on.get(j)[1], (int) on.get(i)[1]);
      }
      arrived |= reached[i] && on.get(i)[0] > length - near;
    }
    return arrived;
  }

  @Test
  void pointsAloneCoverTheirHull() {
    Mesh m = Triangulator.delaunay(Grounds.scatter(1000, 100, 1, (x, y) -> x + y), Progress.NONE);
    assertThat(m.planArea()).isCloseTo(10_000, within(1e-4));
    assertThat(m.vertexCount()).isEqualTo(1004);
    for (int t = 0; t < m.triangleCount(); t++) {
      assertThat(m.planArea(t)).isPositive();
    }
  }

  @Test
  void aBreaklineBecomesAChainOfEdges() {
    double[] points = Grounds.scatter(2000, 100, 2, (x, y) -> 10);
    Triangulated t =
        MEAN.run(
            points,
            List.of(line(Constraint.Kind.BREAKLINE, 10, 20, 12, 60, 33, 15, 90, 80, 11)),
            Progress.NONE);
    assertThat(t.lost()).isEmpty();
    assertThat(isChain(t.mesh(), at(10, 20, 12), at(60, 33, 15))).isTrue();
    assertThat(isChain(t.mesh(), at(60, 33, 15), at(90, 80, 11))).isTrue();
    double level = new TriangleIndex(t.mesh()).levelAt(Grounds.E + 35, Grounds.N + 26.5);
    assertThat(level).isCloseTo(13.5, within(1e-9));
  }

  @Property(tries = 25)
  void everyPieceOfRandomCrossingLinesIsAnEdge(@ForAll long seed) {
    Random r = new Random(seed);
    List<Constraint> lines = new ArrayList<>();
    List<double[]> ends = new ArrayList<>();
    for (int i = 0; i < 30; i++) {
      double[] l = new double[6];
      for (int k = 0; k < 6; k++) {
        l[k] = k % 3 == 2 ? r.nextDouble() : Math.rint(r.nextDouble() * 400) / 4;
      }
      if (Math.hypot(l[3] - l[0], l[4] - l[1]) > 0.1) {
        lines.add(line(Constraint.Kind.BREAKLINE, l));
        ends.add(at(l));
      }
    }
    Triangulated t = MEAN.run(Grounds.scatter(300, 100, seed, (x, y) -> 0.5), lines, Progress.NONE);
    assertThat(t.lost()).isEmpty();
    for (double[] e : ends) {
      assertThat(isChain(t.mesh(), new double[] {e[0], e[1]}, new double[] {e[3], e[4]})).isTrue();
    }
    assertThat(t.mesh().planArea()).isCloseTo(10_000, within(0.05));
  }

  @Test
  void linesThatCrossAtDifferentLevelsAreAConflictAndMeetByTheRule() {
    double[] points = at(0, 0, 0, 100, 0, 0, 100, 100, 0, 0, 100, 0);
    List<Constraint> cross =
        List.of(
            line(Constraint.Kind.BREAKLINE, 20, 50, 10, 80, 50, 10),
            line(Constraint.Kind.BREAKLINE, 50, 20, 12, 50, 80, 12));
    for (LevelRule rule : LevelRule.values()) {
      Triangulated t =
          new Triangulator(LevelRule.MEAN, rule, 0.01).run(points, cross, Progress.NONE);
      assertThat(t.conflicts()).hasSize(1);
      LevelConflict c = t.conflicts().getFirst();
      assertThat(c.kind()).isEqualTo(LevelConflict.Kind.CROSSING);
      assertThat(c.difference()).isCloseTo(2, within(1e-12));
      assertThat(c.place().east()).isCloseTo(Grounds.E + 50, within(1e-9));
      double expected =
          switch (rule) {
            case FIRST, LOWEST -> 10;
            case MEAN -> 11;
            case HIGHEST -> 12;
          };
      double level = new TriangleIndex(t.mesh()).levelAt(Grounds.E + 50, Grounds.N + 50);
      assertThat(level).as(rule.word()).isCloseTo(expected, within(1e-9));
    }
  }

  @Test
  void linesThatCrossAtOneLevelAreNoConflict() {
    Triangulated t =
        MEAN.run(
            at(0, 0, 0, 100, 0, 0, 100, 100, 0, 0, 100, 0),
            List.of(
                line(Constraint.Kind.BREAKLINE, 20, 50, 10, 80, 50, 10),
                line(Constraint.Kind.BREAKLINE, 50, 20, 10.005, 50, 80, 10.005)),
            Progress.NONE);
    assertThat(t.conflicts()).isEmpty();
    assertThat(t.mesh().vertexCount()).isEqualTo(9);
  }

  @Test
  void pointsAtOnePlaceAreSettledByTheRule() {
    double[] points = at(0, 0, 1, 10, 0, 1, 0, 10, 1, 0.0004, 0, 4, 10, 0, 1);
    for (LevelRule rule : LevelRule.values()) {
      Triangulated t =
          new Triangulator(rule, LevelRule.MEAN, 0.01).run(points, List.of(), Progress.NONE);
      assertThat(t.duplicates()).isEqualTo(2);
      assertThat(t.conflicts()).hasSize(1);
      double expected =
          switch (rule) {
            case FIRST, LOWEST -> 1;
            case MEAN -> 2.5;
            case HIGHEST -> 4;
          };
      assertThat(t.mesh().level(0)).isEqualTo(expected);
    }
  }

  @Test
  void theBoundaryEndsTheSurfaceAndHolesStayOpen() {
    Triangulated t =
        MEAN.run(
            Grounds.scatter(1500, 100, 3, (x, y) -> 0),
            List.of(
                line(Constraint.Kind.BOUNDARY, 10, 10, 0, 90, 10, 0, 90, 90, 0, 10, 90, 0),
                line(Constraint.Kind.HOLE, 40, 40, 0, 60, 40, 0, 60, 60, 0, 40, 60, 0)),
            Progress.NONE);
    assertThat(t.mesh().planArea()).isCloseTo(80 * 80 - 20 * 20, within(1e-6));
    assertThat(Grounds.outlines(t.mesh())).isEqualTo(2);
  }

  @Test
  void linesWithoutLevelsAreNamedAndLeftOut() {
    Triangulated t =
        MEAN.run(
            at(0, 0, 0, 100, 0, 0, 100, 100, 0),
            List.of(line(Constraint.Kind.BREAKLINE, 20, 10, Double.NaN, 80, 20, Double.NaN)),
            Progress.NONE);
    assertThat(t.withoutLevels()).containsExactly("line");
    assertThat(t.mesh().vertexCount()).isEqualTo(3);
  }

  @Test
  void tooFewPointsAndPointsOnALineAreSentences() {
    assertThatThrownBy(() -> MEAN.run(at(0, 0, 0, 1, 1, 1), List.of(), Progress.NONE))
        .hasMessage("A surface needs three points with levels; there are 2.");
    assertThatThrownBy(
            () -> MEAN.run(at(0, 0, 0, 1, 1, 1, 2, 2, 2, 3, 3, 3), List.of(), Progress.NONE))
        .hasMessageContaining("lie on one line in plan");
  }

  @Test
  void pointsWithoutALevelArePassedOver() {
    Triangulated t =
        MEAN.run(at(0, 0, 0, 10, 0, 0, 0, 10, 0, 3, 3, Double.NaN), List.of(), Progress.NONE);
    assertThat(t.mesh().vertexCount()).isEqualTo(3);
  }
}
