package wellspan.core.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.ProfileSegment;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

class ComparisonTest {
  private static final Item GROUND = Item.surface("G", new Mesh(new double[0], new int[0]));

  private static Mesh strip(int n) {
    double[] xyz = new double[3 * (n + 2)];
    int[] t = new int[3 * n];
    for (int i = 0; i < n + 2; i++) {
      xyz[3 * i] = 412_000 + Math.floorDiv(i, 2) * 5.0;
      xyz[3 * i + 1] = 6_534_000 + i % 2 * 5.0;
      xyz[3 * i + 2] = i * 0.1;
    }
    for (int i = 0; i < n; i++) {
      t[3 * i] = i;
      t[3 * i + 1] = i % 2 == 0 ? i + 2 : i + 1;
      t[3 * i + 2] = i % 2 == 0 ? i + 1 : i + 2;
    }
    return new Mesh(xyz, t);
  }

  /** Whichever vertex moves by whatever is seen: it is the one named, by as much. */
  @Property(tries = 200)
  void everyMovedVertexIsFound(
      @ForAll @IntRange(min = 0, max = 49) int vertex,
      @ForAll @IntRange(min = 0, max = 2) int axis,
      @ForAll @DoubleRange(min = 0.01, max = 1000) double by) {
    Mesh sent = strip(48);
    double[] moved = sent.xyz().clone();
    moved[3 * vertex + axis] += by;
    ItemComparison c =
        MeshComparison.compare(GROUND, sent, new Mesh(moved, sent.triangles()), 1e-5);
    assertThat(c.figures().maxDeviation()).isCloseTo(by, within(1e-8));
    assertThat(c.figures().identical()).isFalse();
    assertThat(c.differences())
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.message()).contains("vertex " + (vertex + 1) + " of 50");
              assertThat(f.place()).contains(sent.vertex(vertex));
            });
  }

  @Property(tries = 100)
  void everyTurnedTriangleIsFound(@ForAll @IntRange(min = 0, max = 47) int triangle) {
    Mesh sent = strip(48);
    int[] t = sent.triangles().clone();
    int keep = t[3 * triangle];
    t[3 * triangle] = t[3 * triangle + 1];
    t[3 * triangle + 1] = keep;
    ItemComparison c = MeshComparison.compare(GROUND, sent, new Mesh(sent.xyz(), t), 1e-5);
    assertThat(c.figures().maxDeviation()).isZero();
    assertThat(c.differences())
        .singleElement()
        .satisfies(
            f ->
                assertThat(f.message())
                    .contains("triangle " + (triangle + 1) + " has other corners"));
  }

  @Test
  void aDifferentNumberOfVerticesCannotBePaired() {
    ItemComparison c = MeshComparison.compare(GROUND, strip(4), strip(6), 1e-5);
    assertThat(c.figures().deviations()).isEmpty();
    assertThat(c.differences())
        .extracting(d -> d.finding().code())
        .containsExactly("proof.geometry", "proof.triangles");
  }

  private static ItemComparison compare(Item sent, Item arrived) {
    return AlignmentComparison.compare(sent, alignment(sent), alignment(arrived), 1e-5);
  }

  private static Alignment alignment(Item i) {
    return ((Shape.Axis) i.shape()).alignment();
  }

  private static Item line(double radius, double level, double start) {
    PlanElement.Arc arc = new PlanElement.Arc(new PlanPoint(412_000, 6_534_000, 1), 80, radius);
    Profile p = new Profile("p", List.of(new ProfileSegment.Grade(0, 80, level, 0.02)));
    return Item.alignment(
        "A", new Alignment("A", List.of(arc), new Chainages(start, List.of()), Optional.of(p)));
  }

  @Test
  void equalAlignmentsAreIdenticalAtEveryMetre() {
    ItemComparison c = compare(line(200, 5, 0), line(200, 5, 0));
    assertThat(c.differences()).isEmpty();
    assertThat(c.figures().identical()).isTrue();
    assertThat(c.figures().deviations()).hasSize(81).containsOnly(0);
  }

  @Test
  void otherRadiusLevelOrChainageIsFound() {
    ItemComparison radius = compare(line(200, 5, 0), line(201, 5, 0));
    double sagitta = 80 * 80 / 2.0 * (1 / 200.0 - 1 / 201.0);
    assertThat(radius.figures().maxDeviation()).isCloseTo(sagitta, within(0.01));
    assertThat(radius.differences().getFirst().message()).contains("worst at 0+080.000");
    ItemComparison level = compare(line(200, 5, 0), line(200, 5.002, 0));
    assertThat(level.figures().maxDeviation()).isCloseTo(0.002, within(1e-9));
    ItemComparison chainage = compare(line(200, 5, 0), line(200, 5, 10));
    assertThat(chainage.differences())
        .extracting(d -> d.finding().code())
        .containsExactly("proof.geometry");
  }

  @Test
  void aProfileThatDidNotArriveIsFound() {
    Alignment whole = alignment(line(200, 5, 0));
    Item flat =
        Item.alignment(
            "A", new Alignment("A", whole.elements(), whole.chainages(), Optional.empty()));
    ItemComparison c = compare(line(200, 5, 0), flat);
    assertThat(c.differences()).extracting(d -> d.finding().code()).contains("proof.geometry");
    assertThat(c.figures().identical()).isFalse();
  }
}
