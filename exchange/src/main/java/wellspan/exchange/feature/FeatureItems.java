package wellspan.exchange.feature;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryCollection;
import org.locationtech.jts.geom.LineString;
import org.locationtech.jts.geom.Point;
import org.locationtech.jts.geom.Polygon;
import wellspan.core.describe.Description;
import wellspan.core.describe.PropertySet;
import wellspan.core.describe.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.PointTable;
import wellspan.core.receive.Layer;
import wellspan.core.receive.Received;
import wellspan.exchange.file.UniqueNames;

/**
 * Gathers the features of a file: the points of a layer become one group, its lines one string.
 * What a feature says of itself goes with the item as a property set, one for each feature.
 */
public final class FeatureItems {
  private static final int GREY = 0x808080;

  /** Name of the property set of a single feature, and what those of several begin with. */
  public static final String ATTRIBUTES = "Attributes";

  private final Map<String, Content> layers = new LinkedHashMap<>();
  private Feature current = new Feature(0, "", Map.of());

  private enum Kind {
    FACES,
    LINES,
    POINTS
  }

  private record Feature(int number, String name, Map<String, PropertyValue> attributes) {}

  private static final class Content {
    final PointTable.Builder points = new PointTable.Builder();
    final List<Polyline> lines = new ArrayList<>();
    final MeshWeld faces = new MeshWeld();
    final Map<String, Integer> counts = new TreeMap<>();
    final Map<Kind, List<Feature>> features = new EnumMap<>(Kind.class);
  }

  /**
   * Begins a feature: what is added from now on is its geometry.
   *
   * @param attributes its fields in their order
   */
  public void feature(String name, Map<String, PropertyValue> attributes) {
    current = new Feature(current.number() + 1, name, attributes);
  }

  private void note(String layer, Kind kind) {
    List<Feature> all = of(layer).features.computeIfAbsent(kind, k -> new ArrayList<>());
    if (!current.attributes().isEmpty()
        && (all.isEmpty() || all.getLast().number() != current.number())) {
      all.add(current);
    }
  }

  private Content of(String layer) {
    return layers.computeIfAbsent(layer, k -> new Content());
  }

  /** A layer, although it may stay empty. */
  public void layer(String name) {
    of(name);
  }

  public void point(String layer, String name, double e, double n, double h) {
    of(layer).points.add(name, e, n, h, "");
    of(layer).counts.merge("point", 1, Integer::sum);
    note(layer, Kind.POINTS);
  }

  /**
   * @param xyz easting, northing, level in threes; fewer than two points are passed over
   */
  public void line(String layer, double[] xyz) {
    if (xyz.length >= 6) {
      of(layer).lines.add(new Polyline(xyz));
      of(layer).counts.merge("line", 1, Integer::sum);
      note(layer, Kind.LINES);
    }
  }

  /** A triangle in space. */
  public void triangle(String layer, double[] a, double[] b, double[] c) {
    MeshWeld w = of(layer).faces;
    note(layer, Kind.FACES);
    w.triangle(w.vertex(a[0], a[1], a[2]), w.vertex(b[0], b[1], b[2]), w.vertex(c[0], c[1], c[2]));
  }

  /** Any geometry; the rings of areas become closed lines. */
  public void add(String layer, String name, Geometry g) {
    switch (g) {
      case Point p when !p.isEmpty() -> {
        Coordinate c = p.getCoordinate();
        point(layer, name, c.getX(), c.getY(), c.getZ());
      }
      case LineString l -> line(layer, xyz(l));
      case Polygon p -> {
        line(layer, xyz(p.getExteriorRing()));
        for (int i = 0; i < p.getNumInteriorRing(); i++) {
          line(layer, xyz(p.getInteriorRingN(i)));
        }
      }
      case GeometryCollection c -> {
        for (int i = 0; i < c.getNumGeometries(); i++) {
          add(layer, name, c.getGeometryN(i));
        }
      }
      default -> {} // an empty point
    }
  }

  private static double[] xyz(LineString l) {
    double[] out = new double[3 * l.getNumPoints()];
    for (int i = 0; i < l.getNumPoints(); i++) {
      Coordinate c = l.getCoordinateN(i);
      out[3 * i] = c.getX();
      out[3 * i + 1] = c.getY();
      out[3 * i + 2] = c.getZ();
    }
    return out;
  }

  /** Items in the order in which their layers came. */
  public List<Received.Entry> entries() {
    UniqueNames names = new UniqueNames();
    List<Received.Entry> out = new ArrayList<>();
    layers.forEach(
        (layer, c) -> {
          if (c.faces.triangleCount() > 0) {
            Mesh mesh = c.faces.mesh();
            out.add(
                entry(
                    layer,
                    new Item.TerrainSurface(names.of("surface", layer), mesh, new int[0]),
                    c.features.get(Kind.FACES)));
          }
          if (!c.lines.isEmpty()) {
            out.add(
                entry(
                    layer,
                    new Item.StringLine(names.of("string", layer), c.lines),
                    c.features.get(Kind.LINES)));
          }
          if (c.points.size() > 0) {
            out.add(
                entry(
                    layer,
                    new Item.PointGroup(names.of("points", layer), c.points.build()),
                    c.features.get(Kind.POINTS)));
          }
        });
    return out;
  }

  private static Received.Entry entry(String layer, Item item, List<Feature> features) {
    List<PropertySet> sets = new ArrayList<>();
    for (Feature f : features == null ? List.<Feature>of() : features) {
      String name =
          features.size() == 1
              ? ATTRIBUTES
              : ATTRIBUTES + " " + f.number() + (f.name().isEmpty() ? "" : " (" + f.name() + ")");
      sets.add(new PropertySet(name, f.attributes()));
    }
    return new Received.Entry(
        item,
        layer,
        sets.isEmpty() ? Optional.empty() : Optional.of(Description.of(sets, Optional.empty())));
  }

  public List<Layer> layers() {
    List<Layer> out = new ArrayList<>();
    layers.forEach((name, c) -> out.add(new Layer(name, GREY, true, c.counts)));
    return out;
  }

  /** Number of things by their kind. */
  public Map<String, Integer> counts() {
    Map<String, Integer> out = new TreeMap<>();
    layers.values().forEach(c -> c.counts.forEach((k, n) -> out.merge(k, n, Integer::sum)));
    return out;
  }
}
