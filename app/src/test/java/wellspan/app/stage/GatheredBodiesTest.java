package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.util.ArrayList;
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
    List<ItemId> expected = new ArrayList<>();
    for (int i = 0; i < 50; i++) {
      ItemId id = new ItemId("a/body/" + i);
      int triangles = 1 + i % 4;
      bodies.add(id, strip(triangles, 412_000 + 10 * i), Color.RED);
      for (int t = 0; t < triangles; t++) {
        expected.add(id);
      }
    }
    bodies.add(new ItemId("a/body/other"), strip(2, 412_000), Color.BLUE);
    List<GatheredBodies.Gathered> all = bodies.all();
    assertThat(all).hasSize(2);
    GatheredBodies.Gathered red = all.getFirst();
    assertThat(red.mesh().getFaces().size() / 6).isEqualTo(expected.size());
    for (int f = 0; f < expected.size(); f++) {
      assertThat(red.of(f)).as("face %d", f).isEqualTo(expected.get(f));
    }
    assertThat(red.mesh().getPoints().get(0)).isZero();
    assertThat(red.mesh().getPoints().get(2)).isEqualTo(2f);
    assertThat(all.get(1).of(1)).isEqualTo(new ItemId("a/body/other"));
  }

  @Test
  void aMeshThatIsFullIsFollowedByAnotherOne() {
    GatheredBodies bodies = new GatheredBodies(new Position(412_000, 6_534_500, 5));
    for (int i = 0; i < 130; i++) {
      bodies.add(new ItemId("a/body/" + i), strip(1000, 412_000), Color.RED);
    }
    List<GatheredBodies.Gathered> all = bodies.all();
    assertThat(all).hasSize(3);
    assertThat(all.stream().mapToInt(g -> g.mesh().getFaces().size() / 6).sum()).isEqualTo(130_000);
    assertThat(all.getLast().of(0)).isEqualTo(all.getLast().items().getFirst());
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
            tuple(false, List.of(new ItemId("inward"), new ItemId("open"))));
  }
}
