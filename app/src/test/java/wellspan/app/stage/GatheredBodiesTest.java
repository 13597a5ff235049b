package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

class GatheredBodiesTest {
  private static Mesh strip(int triangles, double east) {
    double[] xyz = new double[3 * (triangles + 2)];
    int[] corners = new int[3 * triangles];
    for (int v = 0; v < triangles + 2; v++) {
      xyz[3 * v] = east + v;
      xyz[3 * v + 1] = 6_534_500 + v % 2;
      xyz[3 * v + 2] = 7;
    }
    for (int t = 0; t < triangles; t++) {
      corners[3 * t] = t;
      corners[3 * t + 1] = t + 1;
      corners[3 * t + 2] = t + 2;
    }
    return new Mesh(xyz, corners);
  }

  @Test
  void everyFaceTellsItsItem() {
    GatheredBodies bodies = new GatheredBodies(new Position(412_000, 6_534_500, 5));
    for (int i = 0; i < 50; i++) {
      bodies.add(new ItemId("a/body/" + i), strip(1 + i % 4, 412_000 + 10 * i), Color.RED);
    }
    bodies.add(new ItemId("a/body/other"), strip(2, 412_000), Color.BLUE);
    List<GatheredBodies.Gathered> all = bodies.all();
    assertThat(all).hasSize(2);
    GatheredBodies.Gathered red = of(all, Color.RED);
    assertThat(red.items()).hasSize(50).doesNotHaveDuplicates();
    assertThat(red.triangles()).isEqualTo(12 * 10 + 1 + 2);
    assertThat(red.mesh().getFaces().size() / 6).isEqualTo(red.triangles());
    for (int f = 0; f < red.triangles(); f++) {
      int body = (int) (east(red, f) / 10);
      assertThat(red.of(f)).as("face %d", f).isEqualTo(new ItemId("a/body/" + body));
    }
    assertThat(red.mesh().getPoints().get(2)).as("level above the zero").isEqualTo(2f);
    assertThat(of(all, Color.BLUE).of(1)).isEqualTo(new ItemId("a/body/other"));
  }

  private static GatheredBodies.Gathered of(List<GatheredBodies.Gathered> all, Color colour) {
    return all.stream().filter(g -> g.colour().equals(colour)).findFirst().orElseThrow();
  }

  /** Of the first corner of a face. */
  private static float east(GatheredBodies.Gathered g, int face) {
    return g.mesh().getPoints().get(3 * g.mesh().getFaces().get(6 * face));
  }

  @Test
  void aMeshThatIsFullIsFollowedByAnotherOne() {
    GatheredBodies bodies = new GatheredBodies(new Position(412_000, 6_534_500, 5));
    for (int i = 0; i < 130; i++) {
      bodies.add(new ItemId("a/body/" + i), strip(1000, 412_000), Color.RED);
    }
    bodies.add(new ItemId("a/body/large"), strip(2 * GatheredBodies.MOST, 412_000), Color.RED);
    List<GatheredBodies.Gathered> all = bodies.all();
    assertThat(all).hasSize(1 + 33);
    assertThat(all.getFirst().items()).containsExactly(new ItemId("a/body/large"));
    assertThat(all.stream().flatMap(g -> g.items().stream())).hasSize(131).doesNotHaveDuplicates();
    assertThat(all.stream().mapToInt(GatheredBodies.Gathered::triangles).sum())
        .isEqualTo(130_000 + 2 * GatheredBodies.MOST);
  }

  @Test
  void theFirstMeshesShowWhatIsLargeAndAllPlacesAlike() {
    GatheredBodies bodies = new GatheredBodies(new Position(412_000, 6_534_500, 5));
    for (int i = 0; i < 4000; i++) {
      bodies.add(new ItemId("small/" + i), strip(10, 412_000 + i), Color.RED);
      if (i % 10 == 0) {
        bodies.add(new ItemId("large/" + i), strip(60, 412_000 + i), Color.RED);
      }
    }
    List<GatheredBodies.Gathered> all = bodies.all();
    assertThat(all)
        .extracting(GatheredBodies.Gathered::size)
        .isSortedAccordingTo(Comparator.reverseOrder());
    GatheredBodies.Gathered first = all.getFirst();
    assertThat(first.items()).allMatch(id -> id.value().startsWith("large/"));
    int[] inTenth = new int[10];
    first.items().forEach(id -> inTenth[Integer.parseInt(id.value().substring(6)) / 400]++);
    assertThat(Arrays.stream(inTenth))
        .as("of 66 bodies in each tenth")
        .allMatch(n -> n > 4 && n < 9);
  }

  @Test
  void whatIsCutAwayWholeHasNoFaces() {
    GatheredBodies bodies = new GatheredBodies(new Position(0, 0, 0));
    bodies.add(new ItemId("gone"), new Mesh(new double[0], new int[0]), Color.RED);
    assertThat(bodies.all()).isEmpty();
  }

  @Test
  void onlyWhatIsClosedAndTurnedOutwardIsPutWithSolids() {
    double[] corners = {0, 0, 0, 1, 0, 0, 0, 1, 0, 0, 0, 1};
    Mesh outward = new Mesh(corners, new int[] {0, 2, 1, 0, 1, 3, 1, 2, 3, 2, 0, 3});
    Mesh inward = new Mesh(corners, new int[] {0, 1, 2, 0, 3, 1, 1, 3, 2, 2, 3, 0});
    Mesh open = new Mesh(corners, new int[] {0, 1, 3, 1, 2, 3, 2, 0, 3});
    GatheredBodies bodies = new GatheredBodies(new Position(0, 0, 0));
    bodies.add(new ItemId("outward"), outward, Color.RED);
    bodies.add(new ItemId("inward"), inward, Color.RED);
    bodies.add(new ItemId("open"), open, Color.RED);
    assertThat(bodies.all())
        .extracting(GatheredBodies.Gathered::solid, GatheredBodies.Gathered::items)
        .containsExactly(
            tuple(true, List.of(new ItemId("outward"))),
            tuple(false, List.of(new ItemId("open"), new ItemId("inward"))));
  }
}
