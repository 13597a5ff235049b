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
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.MeshWeld;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.receive.Layer;
import wellspan.core.shape.PointTable;
import wellspan.core.shape.Shape;
import wellspan.exchange.file.UniqueNames;

/**
 * Gathers the features of a file. The points of a layer become one group. Lines and faces that
 * belong to features with a name or attributes become an item for each feature; loose ones,
 * contours and very many become one item of their layer. What a feature says of itself goes with
 * its item as a property set, one for each feature where an item holds several.
 */
public final class FeatureItems {
  private static final int GREY = 0x808080;

  /** Features of a layer that are items of their own; more would be no list to read. */
  static final int OWN_ITEMS = 500;

  /** Name of the property set of a single feature, and what those of several begin with. */
  public static final String ATTRIBUTES = "Attributes";

  private final Map<String, Content> layers = new LinkedHashMap<>();
  private Feature current = new Feature(0, "", Map.of());

  private enum Kind {
    FACES,
    LINES,
    POINTS
  }

  private record Feature(int number, String name, Map<String, PropertyValue> attributes) {
    boolean saysAnything() {
      return !name.isEmpty() || !attributes.isEmpty();
    }
  }

  /** A line or face with the feature it belongs to. */
  private record Of<T>(Feature feature, T shape) {}

  private record Face(double[] a, double[] b, double[] c) {}

  /** All shapes of one feature. */
  private record Own<T>(Feature feature, List<T> shapes) {}

  private static final class Content {
    final PointTable.Builder points = new PointTable.Builder();
    final List<Of<Polyline>> lines = new ArrayList<>();
    final List<Of<Face>> faces = new ArrayList<>();
    final Map<String, Integer> counts = new TreeMap<>();
    final Map<Kind, List<Feature>> features = new EnumMap<>(Kind.class);
    boolean areas;

    List<Polyline> allLines() {
      return lines.stream().map(Of::shape).toList();
    }
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
    if (current.saysAnything() && (all.isEmpty() || all.getLast().number() != current.number())) {
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
      of(layer).lines.add(new Of<>(current, new Polyline(xyz)));
      of(layer).counts.merge("line", 1, Integer::sum);
      note(layer, Kind.LINES);
    }
  }

  /** A triangle in space. */
  public void triangle(String layer, double[] a, double[] b, double[] c) {
    of(layer).faces.add(new Of<>(current, new Face(a, b, c)));
    note(layer, Kind.FACES);
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
        of(layer).areas = true;
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
  public List<Item> items() {
    UniqueNames names = new UniqueNames();
    List<Item> out = new ArrayList<>();
    layers.forEach(
        (layer, c) -> {
          faces(layer, c, names, out);
          lines(layer, c, names, out);
          if (c.points.size() > 0) {
            out.add(
                entry(
                    layer,
                    Item.points(names.of("points", layer), c.points.build()),
                    c.features.getOrDefault(Kind.POINTS, List.of())));
          }
        });
    return out;
  }

  private static void faces(String layer, Content c, UniqueNames names, List<Item> out) {
    if (c.faces.isEmpty()) {
      return;
    }
    List<Own<Face>> by = byFeature(c.faces);
    // a surface in loose triangles stays one
    boolean bodies = by.stream().allMatch(f -> f.shapes().size() > 1);
    if (bodies && standAlone(by)) {
      for (Own<Face> o : by) {
        String name = names.of("surface", nameOf(o.feature(), layer));
        out.add(entry(layer, surface(name, o.shapes()), List.of(o.feature())));
      }
    } else {
      out.add(
          entry(
              layer,
              surface(names.of("surface", layer), c.faces.stream().map(Of::shape).toList()),
              c.features.getOrDefault(Kind.FACES, List.of())));
    }
  }

  private static Item surface(String name, List<Face> faces) {
    MeshWeld w = new MeshWeld();
    for (Face f : faces) {
      w.triangle(vertex(w, f.a()), vertex(w, f.b()), vertex(w, f.c()));
    }
    return Item.surface(name, w.mesh());
  }

  private static int vertex(MeshWeld w, double[] p) {
    return w.vertex(p[0], p[1], p[2]);
  }

  private static void lines(String layer, Content c, UniqueNames names, List<Item> out) {
    if (c.lines.isEmpty()) {
      return;
    }
    List<Own<Polyline>> by = byFeature(c.lines);
    boolean contours = !c.areas && new Shape.Lines(c.allLines()).isContours();
    if (!contours && standAlone(by)) {
      for (Own<Polyline> o : by) {
        String name = names.of("string", nameOf(o.feature(), layer));
        out.add(entry(layer, Item.string(name, o.shapes()), List.of(o.feature())));
      }
    } else {
      out.add(
          entry(
              layer,
              Item.string(names.of("string", layer), c.allLines()),
              c.features.getOrDefault(Kind.LINES, List.of())));
    }
  }

  private static boolean standAlone(List<? extends Own<?>> features) {
    return (features.size() > 1 || !features.getFirst().feature().name().isEmpty())
        && features.size() <= OWN_ITEMS
        && features.stream().allMatch(o -> o.feature().saysAnything());
  }

  /** Shapes by the feature they came with; those of one feature came one after the other. */
  private static <T> List<Own<T>> byFeature(List<Of<T>> all) {
    List<Own<T>> out = new ArrayList<>();
    for (Of<T> o : all) {
      if (out.isEmpty() || out.getLast().feature().number() != o.feature().number()) {
        out.add(new Own<>(o.feature(), new ArrayList<>()));
      }
      out.getLast().shapes().add(o.shape());
    }
    return out;
  }

  private static String nameOf(Feature f, String layer) {
    return f.name().isEmpty() ? layer : f.name();
  }

  private static Item entry(String layer, Item item, List<Feature> features) {
    List<Feature> told = features.stream().filter(f -> !f.attributes().isEmpty()).toList();
    List<PropertySet> sets = new ArrayList<>();
    for (Feature f : told) {
      String name =
          told.size() == 1
              ? ATTRIBUTES
              : ATTRIBUTES + " " + f.number() + (f.name().isEmpty() ? "" : " (" + f.name() + ")");
      sets.add(new PropertySet(name, f.attributes()));
    }
    return item.on(layer).saying(Description.of(sets, Optional.empty()));
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
