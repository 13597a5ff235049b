package wellspan.exchange.feature;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;

class FeatureItemsTest {
  @Test
  void featuresAreGatheredByLayerAndKind() throws ParseException {
    FeatureItems items = new FeatureItems();
    WKTReader wkt = new WKTReader();
    items.layer("empty");
    items.add("a", "P", wkt.read("POINT Z (1 2 3)"));
    items.add("a", "", wkt.read("MULTIPOINT ((4 5), (6 7))"));
    items.add("b", "", wkt.read("POLYGON ((0 0, 9 0, 9 9, 0 0), (1 1, 2 1, 2 2, 1 1))"));
    items.add(
        "b", "", wkt.read("GEOMETRYCOLLECTION (LINESTRING (0 0, 1 1), POINT EMPTY, POINT (3 3))"));
    items.line("b", new double[] {1, 1, 1}); // a single point is no line
    assertThat(items.items()).extracting(Item::layer).containsExactly("a", "b", "b");
    Shape.Points a = (Shape.Points) items.items().getFirst().shape();
    assertThat(a.points()).extracting(NamedPoint::name).containsExactly("P", "2", "3");
    assertThat(a.points().get(1).position().level()).isNaN();
    assertThat(((Shape.Lines) items.items().get(1).shape()).lines()).hasSize(3);
    assertThat(items.layers()).extracting(l -> l.name()).containsExactly("empty", "a", "b");
    assertThat(items.counts()).containsEntry("point", 4).containsEntry("line", 3);
  }

  @Test
  void looseTrianglesOfALayerBecomeOneSurface() {
    FeatureItems items = new FeatureItems();
    double[] a = {0, 0, 1}, b = {1, 0, 1}, c = {1, 1, 2}, d = {0, 1, 2};
    items.triangle("g", a, b, c);
    items.triangle("g", a, c, d);
    Shape.Faces s = (Shape.Faces) items.items().getFirst().shape();
    assertThat(s.mesh().vertexCount()).isEqualTo(4);
    assertThat(s.mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
  }

  private static FeatureItems fences(int n, java.util.function.IntToDoubleFunction level) {
    FeatureItems items = new FeatureItems();
    for (int i = 0; i < n; i++) {
      items.feature(i % 2 == 0 ? "Fence " + i : "", Map.of("no", new PropertyValue.Count(i)));
      double h = level.applyAsDouble(i);
      items.line("fences", new double[] {i, 0, h, i, 1, h, i, 2, h});
      items.line("fences", new double[] {i, 3, h, i, 4, h, i, 5, h});
    }
    return items;
  }

  @Test
  void featuresThatSayWhatTheyAreStayItemsOfTheirOwn() {
    List<Item> all = fences(3, i -> Double.NaN).items();
    assertThat(all).extracting(e -> e.name()).containsExactly("Fence 0", "fences", "Fence 2");
    assertThat(all).allSatisfy(e -> assertThat(((Shape.Lines) e.shape()).lines()).hasSize(2));
    assertThat(all.get(1).said().propertySets())
        .containsExactly(
            new PropertySet(FeatureItems.ATTRIBUTES, Map.of("no", new PropertyValue.Count(1))));
  }

  @Test
  void contoursAndVeryManyFeaturesAreOneItemWithASetForEach() {
    for (FeatureItems many :
        List.of(fences(4, i -> 5 * i), fences(FeatureItems.OWN_ITEMS + 1, i -> Double.NaN))) {
      Item e = many.items().getFirst();
      assertThat(many.items()).hasSize(1);
      assertThat(e.said().propertySets()).hasSize(((Shape.Lines) e.shape()).lines().size() / 2);
    }
  }

  @Test
  void bodiesStayApartAndLooseFacesOfFeaturesDoNot() throws ParseException {
    double[] a = {0, 0, 1}, b = {1, 0, 1}, c = {1, 1, 2}, d = {0, 1, 2};
    FeatureItems loose = new FeatureItems();
    FeatureItems sheets = new FeatureItems();
    for (String name : List.of("A", "B")) {
      loose.feature(name, Map.of());
      loose.triangle("g", a, b, c);
      sheets.feature(name, Map.of());
      sheets.triangle("g", a, b, c);
      sheets.triangle("g", a, c, d);
    }
    assertThat(loose.items()).hasSize(1);
    assertThat(sheets.items()).extracting(e -> e.name()).containsExactly("A", "B");
    FeatureItems roofs = new FeatureItems();
    for (int i = 0; i < 2; i++) { // level, but no contours
      roofs.feature("roof", Map.of());
      roofs.add(
          "r",
          "",
          new WKTReader()
              .read("POLYGON Z ((0 0 %d, 9 0 %d, 9 9 %d, 0 0 %d))".formatted(i, i, i, i)));
    }
    assertThat(roofs.items()).extracting(e -> e.name()).containsExactly("roof", "roof (2)");
  }
}
