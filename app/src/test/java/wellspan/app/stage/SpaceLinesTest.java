package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import javafx.scene.shape.MeshView;
import javafx.scene.shape.TriangleMesh;
import org.junit.jupiter.api.Test;

/** Lines in space are as fine as a picture's points, near and far. */
class SpaceLinesTest {
  private final List<Double> made = new ArrayList<>();

  private SpaceLines lines() {
    SpaceLines lines = new SpaceLines();
    lines.clear(2);
    lines.add(
        new MeshView(),
        t -> {
          made.add(t);
          return new TriangleMesh();
        });
    return lines;
  }

  @Test
  void theyFollowTheDistance() {
    SpaceLines lines = lines();
    assertThat(lines.thickness()).isEqualTo(2);
    lines.follow(0.1);
    assertThat(lines.thickness()).isCloseTo(0.1, within(1e-12));
    lines.follow(0.09);
    lines.follow(0.13);
    assertThat(made).as("little changes make nothing anew").hasSize(1);
    lines.follow(0.2);
    assertThat(made).hasSize(2);
  }

  @Test
  void theyAreNeverFatterThanFromAfarNorThinnerThanCanBeSeen() {
    SpaceLines lines = lines();
    lines.follow(1e-6);
    assertThat(lines.thickness()).isGreaterThan(1e-3);
    lines.follow(50);
    assertThat(lines.thickness()).isEqualTo(2);
  }

  @Test
  void whatIsBuiltAnewKeepsTheDistance() {
    SpaceLines lines = lines();
    lines.follow(0.1);
    lines.clear(3);
    assertThat(lines.thickness()).isCloseTo(0.1, within(1e-12));
  }
}
