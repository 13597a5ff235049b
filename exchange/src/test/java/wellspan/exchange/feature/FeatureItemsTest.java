package wellspan.exchange.feature;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.locationtech.jts.io.ParseException;
import org.locationtech.jts.io.WKTReader;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;

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
    assertThat(items.entries()).extracting(Received.Entry::layer).containsExactly("a", "b", "b");
    Item.PointGroup a = (Item.PointGroup) items.entries().getFirst().item();
    assertThat(a.points()).extracting(Item.NamedPoint::name).containsExactly("P", "2", "3");
    assertThat(a.points().get(1).position().height()).isNaN();
    assertThat(((Item.StringLine) items.entries().get(1).item()).lines()).hasSize(3);
    assertThat(items.layers()).extracting(l -> l.name()).containsExactly("empty", "a", "b");
    assertThat(items.counts()).containsEntry("point", 4).containsEntry("line", 3);
  }

  @Test
  void looseTrianglesOfALayerBecomeOneSurface() {
    FeatureItems items = new FeatureItems();
    double[] a = {0, 0, 1}, b = {1, 0, 1}, c = {1, 1, 2}, d = {0, 1, 2};
    items.triangle("g", a, b, c);
    items.triangle("g", a, c, d);
    Item.TerrainSurface s = (Item.TerrainSurface) items.entries().getFirst().item();
    assertThat(s.mesh().vertexCount()).isEqualTo(4);
    assertThat(s.mesh().triangles()).containsExactly(0, 1, 2, 0, 2, 3);
  }
}
