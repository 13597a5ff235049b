package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.nio.file.Path;
import java.util.Map;
import java.util.Optional;
import javafx.scene.shape.TriangleMesh;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import wellspan.core.build.Build;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.progress.Progress;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;
import wellspan.exchange.intake.SourceIntake;

class LongSectionTest {
  @TempDir static Path dir;
  private static Build build;

  @BeforeAll
  static void read() throws IOException {
    JobStore store = new JobStore(dir);
    Job job =
        SourceIntake.take(
                store,
                Job.named("j"),
                Path.of("..", "demo", "road", "quay-road.xml"),
                Optional.empty(),
                java.time.Clock.systemUTC(),
                Progress.NONE)
            .job();
    build = SourceIntake.build(store, job, Progress.NONE);
  }

  @Test
  void theFirstAlignmentIsCutWhereNoneIsChosen() {
    LongSection s = LongSection.of(build, Optional.empty()).orElseThrow();
    assertThat(s.name()).isEqualTo("Quay Road");
    assertThat(s.surface()).isEqualTo("Design ground");
    assertThat(s.length()).isCloseTo(1240, within(1e-6));
    assertThat(s.low()).isLessThan(3.1);
    assertThat(s.high()).isGreaterThan(38.4);
  }

  @Test
  void groundAndDesignAreTheLevelsAtTheSamePlaces() {
    LongSection s =
        LongSection.of(build, Optional.of(ItemId.of("quay-road", "alignment", "Yard Link")))
            .orElseThrow();
    assertThat(s.name()).isEqualTo("Yard Link");
    Mesh ground =
        build
            .items()
            .get(ItemId.of("quay-road", "terrain surface", "Design ground"))
            .item()
            .ground()
            .orElseThrow();
    TriangleIndex index = new TriangleIndex(ground);
    assertThat(s.ground()).hasSameSizeAs(s.design());
    for (int i = 0; i < s.ground().size(); i += 20) {
      var p = s.alignment().at(s.ground().get(i)[0]);
      assertThat(s.ground().get(i)[1]).isEqualTo(index.levelAt(p.east(), p.north()));
      assertThat(s.design().get(i)[1]).isEqualTo(p.level());
    }
  }

  @Test
  void withoutAnAlignmentThereIsNoSection() {
    assertThat(LongSection.of(Build.of(Job.named("empty"), Map.of()), Optional.empty())).isEmpty();
  }

  @Test
  void meshesForTheScreenAreNearZeroAndLight() {
    Mesh ground =
        build
            .items()
            .get(ItemId.of("quay-road", "terrain surface", "Design ground"))
            .item()
            .ground()
            .orElseThrow();
    Position zero = ground.bounds().centre();
    SpaceMeshes meshes = new SpaceMeshes(zero);
    int triangles = 0;
    for (TriangleMesh tile : meshes.tiles(ground, false, java.util.Optional.empty())) {
      triangles += tile.getFaces().size() / 6;
      for (int i = 0; i < tile.getPoints().size(); i++) {
        assertThat(Math.abs(tile.getPoints().get(i))).isLessThan(800);
      }
      assertThat(tile.getFaces().size() / 6).isLessThanOrEqualTo(15_000);
    }
    assertThat(triangles).isEqualTo(ground.triangleCount());
    TriangleMesh first = meshes.tiles(ground, false, java.util.Optional.empty()).getFirst();
    assertThat((double) first.getPoints().get(0))
        .isCloseTo(ground.east(ground.triangles()[0]) - zero.east(), within(1e-3));
  }

  @Test
  void alignmentsAndPointsBecomeClosedBars() {
    SpaceMeshes meshes = new SpaceMeshes(new Position(412_600, 6_534_700, 20));
    var road =
        ((Shape.Axis)
                build.items().get(ItemId.of("quay-road", "alignment", "Quay Road")).item().shape())
            .alignment();
    TriangleMesh bar = meshes.line(road, 2);
    assertThat(bar.getFaces().size() / 6).isGreaterThan(8 * 240);
    TriangleMesh point =
        meshes.points(
            new Shape.Points(
                java.util.List.of(
                    new NamedPoint("A", new Position(412_600, 6_534_700, Double.NaN), ""))),
            3);
    assertThat(point.getFaces().size() / 6).isEqualTo(4);
    assertThat(point.getPoints().get(2)).isZero();
  }
}
