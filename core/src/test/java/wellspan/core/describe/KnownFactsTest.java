package wellspan.core.describe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

class KnownFactsTest {
  private static final Mesh SQUARE =
      new Mesh(new double[] {0, 0, 3, 4, 0, 3, 4, 4, 3, 0, 4, 3}, new int[] {0, 1, 2, 0, 2, 3});

  private static Map<String, PropertyValue> facts(Item item) {
    return KnownFacts.of(item, "road.xml", "Rev B").values();
  }

  @Test
  void everyItemSaysWhereItComesFrom() {
    Map<String, PropertyValue> v = facts(Item.points("control", List.of()));
    assertThat(v)
        .containsEntry("SourceFile", new PropertyValue.Label("road.xml"))
        .containsEntry("SourceRevision", new PropertyValue.Label("Rev B"))
        .containsEntry("SourceName", new PropertyValue.Label("control"))
        .containsEntry("Points", new PropertyValue.Count(0));
  }

  @Test
  void surfacesSayAreasAndLevels() {
    Map<String, PropertyValue> v =
        facts(Item.of("G", Kind.TERRAIN, new Shape.Faces(SQUARE, new int[] {0, 1, 2})));
    assertThat(v)
        .containsEntry("Triangles", new PropertyValue.Count(2))
        .containsEntry("PlanArea", new PropertyValue.Area(16))
        .containsEntry("SurfaceArea", new PropertyValue.Area(16))
        .containsEntry("LowestLevel", new PropertyValue.Length(3))
        .containsEntry("HighestLevel", new PropertyValue.Length(3))
        .containsEntry("InvisibleFaces", new PropertyValue.Count(1));
  }

  @Test
  void aBodyHasTheSameFactsAsAMeshWithoutInvisibleFaces() {
    Map<String, PropertyValue> v = facts(Item.body("B", SQUARE, Band.STRUCTURES));
    assertThat(v).containsKey("PlanArea").doesNotContainKey("InvisibleFaces");
  }

  @Test
  void anEmptySurfaceHasNoLevels() {
    Map<String, PropertyValue> v = facts(Item.surface("E", new Mesh(new double[0], new int[0])));
    assertThat(v)
        .doesNotContainKey("LowestLevel")
        .containsEntry("Triangles", new PropertyValue.Count(0));
  }

  @Test
  void alignmentsSayTheirChainageRange() {
    Alignment a =
        new Alignment(
            "A",
            List.of(new PlanElement.Line(new PlanPoint(0, 0, 0), 250)),
            new Chainages(100, List.of()),
            Optional.empty());
    assertThat(facts(Item.alignment("A", a)))
        .containsEntry("Length", new PropertyValue.Length(250))
        .containsEntry("StartChainage", new PropertyValue.Length(100))
        .containsEntry("EndChainage", new PropertyValue.Length(350))
        .containsEntry("HasProfile", new PropertyValue.Flag(false));
  }

  @Test
  void valuesAreShownWithTheirUnits() {
    assertThat(new PropertyValue.Length(1.5).show()).isEqualTo("1.500 m");
    assertThat(new PropertyValue.Area(2).show()).isEqualTo("2.00 m\u00b2");
    assertThat(new PropertyValue.Flag(true).show()).isEqualTo("yes");
    assertThat(new PropertyValue.Count(7).show()).isEqualTo("7");
    assertThat(new PropertyValue.Real(0.25).show()).isEqualTo("0.25");
    assertThat(new PropertyValue.Label("x").show()).isEqualTo("x");
  }

  @Test
  void setsKeepTheirOrderAndCannotBeChanged() {
    PropertySet s =
        KnownFacts.of(
            Item.points("p", List.of(new NamedPoint("A", new Position(0, 0, 0), ""))), "f", "r");
    assertThat(s.values().keySet())
        .containsExactly("SourceFile", "SourceRevision", "SourceName", "Points");
    assertThatThrownBy(() -> s.values().clear()).isInstanceOf(UnsupportedOperationException.class);
  }

  @Test
  void whatAFileStatesOfTheSameThingTravels() {
    Item body = Item.body("B", SQUARE, Band.STRUCTURES);
    PropertySet stated = KnownFacts.of(body, "road.xml", "Rev B");
    PropertySet now = KnownFacts.of(body, "model.ifc", "");
    double hair = 1e-8; // coordinates are rounded in files
    Mesh moved =
        new Mesh(
            new double[] {0, 0, 3, 4 + hair, 0, 3, 4 + hair, 4, 3, 0, 4, 3 + hair},
            SQUARE.triangles());
    Item received = Item.body("B", moved, Band.STRUCTURES).saying(saying(stated));
    assertThat(KnownFacts.stillTrue(KnownFacts.of(received, "model.ifc", ""), received))
        .isEqualTo(stated);
    assertThat(KnownFacts.stillTrue(now, body)).as("nothing was stated").isEqualTo(now);

    Mesh half = new Mesh(SQUARE.xyz(), new int[] {0, 1, 2});
    Item changed = Item.body("B", half, Band.STRUCTURES).saying(saying(stated));
    PropertySet fresh = KnownFacts.of(changed, "model.ifc", "");
    assertThat(KnownFacts.stillTrue(fresh, changed)).as("another thing now").isEqualTo(fresh);
  }

  private static Description saying(PropertySet set) {
    return Description.NONE.withSets(List.of(set));
  }
}
