package wellspan.core.flaw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wellspan.core.finding.Finding;
import wellspan.core.finding.FindingJson;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.reshape.PlanClip;
import wellspan.core.reshape.SliverFlip;
import wellspan.core.shape.NamedPoint;
import wellspan.core.terrain.Grounds;

class GroundChecksTest {
  private static Item group(double[] xyz) {
    List<NamedPoint> out = new ArrayList<>();
    for (int i = 0; i < xyz.length; i += 3) {
      out.add(new NamedPoint("" + i / 3, new Position(xyz[i], xyz[i + 1], xyz[i + 2]), ""));
    }
    return Item.points("Survey", out);
  }

  private static double[] hills(int n) {
    return Grounds.scatter(n, 200, 11, (x, y) -> 30 + 4 * Math.sin(x / 35) + 3 * Math.cos(y / 28));
  }

  @Test
  void cleanGroundAndFewPointsGiveNothing() {
    assertThat(GroundChecks.of(group(hills(2000)), Progress.NONE)).isEmpty();
    assertThat(GroundChecks.of(group(new double[] {0, 0, 0, 1, 1, -999, 2, 2, 5}), Progress.NONE))
        .isEmpty();
    Item s = Item.surface("G", Grounds.grid(20, 20, 5, (x, y) -> x / 10));
    assertThat(GroundChecks.of(s, Progress.NONE)).isEmpty();
  }

  @Test
  void everyFlawHasItsPlaceAndFigure() {
    double[] xyz = hills(2000);
    xyz[3 * 300 + 2] = 0;
    xyz[3 * 700 + 2] += 6;
    System.arraycopy(xyz, 3 * 900, xyz, 3 * 901, 2);
    xyz[3 * 901 + 2] = xyz[3 * 900 + 2] + 0.031;
    List<Finding> found = GroundChecks.of(group(xyz), Progress.NONE);
    assertThat(found)
        .extracting(Finding::code)
        .containsExactly("terrain.false-level", "terrain.spike", "terrain.duplicate");
    assertThat(found.get(0).isError()).isTrue();
    assertThat(found.get(0).place().orElseThrow().east()).isEqualTo(xyz[900]);
    assertThat(found.get(1).figure().orElseThrow().text()).startsWith("+");
    assertThat(found.get(2).figure().orElseThrow().text()).isEqualTo("0.031 m");
  }

  @Test
  void manyFlawsOfAKindAreToldTogether() {
    double[] xyz = hills(4000);
    for (int i = 0; i < 40; i++) {
      xyz[3 * (i * 90 + 20) + 2] += 5 + i * 0.1;
    }
    List<Finding> found = GroundChecks.of(group(xyz), Progress.NONE);
    assertThat(found).hasSize(1);
    assertThat(found.getFirst().message()).contains("40 spikes, the tallest: ");
    assertThat(found.getFirst().places())
        .as("each of them is marked, the tallest first")
        .hasSize(40)
        .doesNotHaveDuplicates()
        .first()
        .isEqualTo(found.getFirst().place().orElseThrow());
    assertThat(FindingJson.array(found).get(0).path("alsoAt")).hasSize(39);
    double[] twice = hills(400);
    double[] doubled = java.util.Arrays.copyOf(twice, 2 * twice.length);
    System.arraycopy(twice, 0, doubled, twice.length, twice.length);
    assertThat(GroundChecks.of(group(doubled), Progress.NONE))
        .singleElement()
        .satisfies(f -> assertThat(f.message()).contains("404 points at places"));
  }

  @Test
  void aSurfaceTellsHolesIslandsAndFlawedTriangles() {
    Mesh m = Grounds.grid(12, 12, 5, (x, y) -> 0.1 * x);
    int[] t = m.triangles().clone();
    t[0] = m.triangles()[1];
    t[1] = m.triangles()[0];
    Mesh broken =
        new Mesh(m.xyz(), t).only(k -> k != 100 && k != 101 && (k < 240 || k > 262 || k > 260));
    List<Finding> found = GroundChecks.of(Item.surface("G", broken), Progress.NONE);
    assertThat(found)
        .extracting(Finding::code)
        .contains("terrain.inverted", "terrain.hole")
        .doesNotContain("terrain.spike", "terrain.false-level");
    assertThat(found).allMatch(f -> f.place().isPresent());
  }

  /** A road's earthworks on hills, twelve metres from point to point. */
  private static double earthworks(double x, double y) {
    double out = Math.max(0, Math.abs(y - 300 - 40 * Math.sin(x / 90)) - 6);
    double ground = 25 + 8 * Math.sin(x / 40) + 5 * Math.cos(y / 25);
    return Math.clamp(ground, 22 + 0.02 * x - out / 1.5, 22 + 0.02 * x + out / 1.5);
  }

  /** Points every half metre along a cut say as little of flaws as the few across it. */
  @ParameterizedTest
  @ValueSource(booleans = {true, false})
  void aStripCutOfGroundIsAsCleanAsTheGround(boolean inside) {
    Mesh ground = Grounds.grid(50, 50, 12, GroundChecksTest::earthworks);
    List<Coordinate> axis = new ArrayList<>();
    for (double x = 60; x <= 540; x += 0.5) {
      axis.add(new Coordinate(Grounds.E + x, Grounds.N + 300 + 40 * Math.sin(x / 90)));
    }
    Geometry strip =
        new GeometryFactory().createLineString(axis.toArray(new Coordinate[0])).buffer(14);
    Mesh cut =
        inside
            ? PlanClip.inside(ground, strip, Progress.NONE)
            : PlanClip.outside(ground, strip, Progress.NONE);
    Mesh clean = SliverFlip.flip(cut, GroundChecks.SLIVER);
    assertThat(clean.vertexCount()).isGreaterThan(1500);
    List<Finding> found = GroundChecks.of(Item.surface("Strip", clean), Progress.NONE);
    assertThat(found)
        .extracting(Finding::code)
        .doesNotContain("terrain.false-level", "terrain.spike", "terrain.overlap");
    assertThat(SurfaceFlaws.of(clean, GroundChecks.SLIVER, Progress.NONE).slivers())
        .hasSizeLessThan(clean.triangleCount() / 500);
  }

  @Test
  void spikesAndFalseLevelsOfASurfaceStandOutFromTheirEdges() {
    Mesh ground = Grounds.grid(50, 50, 12, GroundChecksTest::earthworks);
    double[] xyz = ground.xyz().clone();
    xyz[3 * 1033 + 2] += 8;
    for (int v : new int[] {512, 777, 778}) {
      xyz[3 * v + 2] = -999;
    }
    List<Finding> found =
        GroundChecks.of(Item.surface("G", new Mesh(xyz, ground.triangles())), Progress.NONE);
    assertThat(found)
        .extracting(Finding::code)
        .containsExactly("terrain.false-level", "terrain.spike");
    assertThat(found.getFirst().message()).contains("3 of 2601 points lie at -999.000 m");
  }

  @Test
  void aHoleThatACoverFillsIsNone() {
    Mesh all = Grounds.grid(12, 12, 10, GroundChecksTest::earthworks);
    List<Integer> rest = new ArrayList<>();
    List<Integer> lawn = new ArrayList<>();
    for (int t = 0; t < all.triangleCount(); t++) {
      double e = 0, n = 0;
      for (int k = 0; k < 3; k++) {
        e += (all.east(all.triangles()[3 * t + k]) - all.bounds().minE()) / 3;
        n += (all.north(all.triangles()[3 * t + k]) - all.bounds().minN()) / 3;
      }
      boolean inside = e > 40 && e < 70 && n > 40 && n < 70;
      for (int k = 0; k < 3; k++) {
        (inside ? lawn : rest).add(all.triangles()[3 * t + k]);
      }
    }
    Item ground = Item.surface("G", part(all, rest));
    Item cover = Item.cover("Lawn", part(all, lawn), "grass");
    Item elsewhere = Item.cover("Path", part(all, lawn.subList(0, 3)), "gravel");
    assertThat(GroundChecks.of(ground, Progress.NONE))
        .extracting(Finding::code)
        .containsExactly("terrain.hole");
    assertThat(GroundChecks.of(ground, CoveredPlaces.of(List.of(ground, elsewhere)), Progress.NONE))
        .hasSize(1);
    assertThat(GroundChecks.of(ground, CoveredPlaces.of(List.of(ground, cover)), Progress.NONE))
        .isEmpty();
  }

  private static Mesh part(Mesh m, List<Integer> triangles) {
    return new Mesh(m.xyz(), triangles.stream().mapToInt(i -> i).toArray());
  }

  @Test
  void lookingCanBeCancelled() {
    Progress cancelled =
        new Progress() {
          @Override
          public void report(double fraction, String sentence) {}

          @Override
          public boolean isCancelled() {
            return true;
          }
        };
    assertThatThrownBy(() -> GroundChecks.of(group(hills(500)), cancelled))
        .isInstanceOf(CancellationException.class);
  }
}
