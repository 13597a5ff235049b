package wellspan.exchange.dxf.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Envelope;
import org.locationtech.jts.index.strtree.STRtree;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.Item;
import wellspan.core.shape.NamedPoint;
import wellspan.exchange.file.UniqueNames;

/**
 * Makes items of what stands on each layer: all loose faces one surface, all lines one string item,
 * points, markers and texts one group of points each; closed meshes are bodies of their own.
 */
final class LayerItems {
  /**
   * Circles and crosses up to this size mark a place; larger ones are drawn things. Metres; in a
   * drawing that does not say its unit it is taken as if that were millimetres, as a marker too
   * many does less harm than a missing one.
   */
  private static final double LARGEST_MARK = 2.5;

  private static final double SMALLEST_USUAL_UNIT = 0.001;

  private static final String MARKERS = " markers";

  /** Name of the property set of a block's attributes, and what those of several begin with. */
  private static final String ATTRIBUTES = "Attributes";

  private final Map<String, LayerShapes> layers;
  private final double largestMark;
  private final double metres;
  private final List<Finding> findings;
  private final UniqueNames names = new UniqueNames();
  private final STRtree labels = new STRtree();
  private final Set<LayerShapes.Label> used = new HashSet<>();
  private final Map<String, List<NamedPoint>> plain = new HashMap<>();
  private final Map<String, List<NamedPoint>> named = new HashMap<>();
  private final List<Item> items = new ArrayList<>();

  /**
   * @param unit metres in the drawing's unit, 0 if it does not say: metres are taken
   * @param findings takes what was found on the way
   */
  LayerItems(Map<String, LayerShapes> layers, double unit, List<Finding> findings) {
    this.layers = layers;
    this.metres = unit > 0 ? unit : 1;
    this.largestMark = LARGEST_MARK / (unit > 0 ? unit : SMALLEST_USUAL_UNIT);
    this.findings = findings;
  }

  List<Item> items() {
    layers
        .values()
        .forEach(
            l ->
                l.labels()
                    .forEach(
                        t -> labels.insert(new Envelope(new Coordinate(t.at()[0], t.at()[1])), t)));
    // a text that names a marker is no point of its own, on whatever layer it stands
    layers.forEach((layer, shapes) -> plain.put(layer, plain(shapes)));
    layers.forEach((layer, shapes) -> named.put(layer, named(shapes)));
    layers.forEach(this::layer);
    return items;
  }

  private void layer(String layer, LayerShapes shapes) {
    int first = items.size();
    if (shapes.faces().triangleCount() > 0) {
      Mesh m = shapes.faces().mesh();
      take(
          layer,
          Item.surface(names.of("surface", layer), new Mesh(inMetres(m.xyz()), m.triangles())));
    }
    for (Mesh b : shapes.bodies()) {
      take(
          layer,
          Item.body(
              names.of("body", layer),
              new Mesh(inMetres(b.xyz()), b.triangles()),
              Band.STRUCTURES));
    }
    if (!shapes.lines().isEmpty()) {
      List<Polyline> lines =
          shapes.lines().stream().map(l -> new Polyline(inMetres(l.xyz()))).toList();
      take(layer, Item.string(names.of("string", layer), lines));
    }
    points(layer, shapes);
    attributes(first, shapes);
  }

  private void take(String layer, Item item) {
    items.add(item.on(layer));
  }

  /**
   * What blocks say of themselves goes with their places; where only one block of a layer says
   * anything, it goes with everything on the layer.
   */
  private void attributes(int first, LayerShapes shapes) {
    List<LayerShapes.Mark> told =
        shapes.marks().stream().filter(m -> !m.attributes().isEmpty()).toList();
    if (told.isEmpty()) {
      return;
    }
    List<PropertySet> sets = new ArrayList<>();
    for (LayerShapes.Mark m : told) {
      Map<String, PropertyValue> values = new LinkedHashMap<>();
      m.attributes().forEach((tag, words) -> values.put(tag, new PropertyValue.Label(words)));
      String number = told.size() == 1 ? "" : " " + (sets.size() + 1);
      sets.add(
          new PropertySet(
              ATTRIBUTES
                  + number
                  + (number.isEmpty() || m.name().isEmpty() ? "" : " (" + m.name() + ")"),
              values));
    }
    Description said = Description.of(sets, Optional.empty());
    for (int i = first; i < items.size(); i++) {
      boolean places = items.get(i).name().endsWith(MARKERS);
      if (places || told.size() == 1) {
        items.set(i, items.get(i).saying(said));
      }
    }
  }

  private void points(String layer, LayerShapes shapes) {
    group(layer, layer, plain.get(layer));
    group(layer, layer + MARKERS, named.get(layer));
    texts(layer, shapes.labels().stream().filter(l -> !used.contains(l)).toList());
  }

  /** Point entities; a text that stands exactly at one names it. */
  private List<NamedPoint> plain(LayerShapes shapes) {
    List<NamedPoint> points = new ArrayList<>();
    for (double[] p : shapes.points()) {
      String name = Integer.toString(points.size() + 1);
      for (Object o : labels.query(new Envelope(new Coordinate(p[0], p[1])))) {
        LayerShapes.Label l = (LayerShapes.Label) o;
        if (l.at()[2] == p[2] && used.add(l)) {
          name = l.words();
          break;
        }
      }
      points.add(new NamedPoint(name, position(p), ""));
    }
    return points;
  }

  private List<NamedPoint> named(LayerShapes shapes) {
    List<NamedPoint> marks = new ArrayList<>();
    for (LayerShapes.Mark m : marks(shapes)) {
      String name = m.name().isEmpty() ? nearby(m) : m.name();
      marks.add(
          new NamedPoint(
              name.isEmpty() ? m.kind() + " " + (marks.size() + 1) : name,
              position(m.at()),
              m.kind()));
    }
    return marks;
  }

  private List<LayerShapes.Mark> marks(LayerShapes shapes) {
    List<LayerShapes.Mark> out = new ArrayList<>(shapes.marks());
    out.removeIf(m -> m.size() > largestMark);
    out.addAll(Crosses.in(shapes.lines(), 2 * largestMark));
    return out;
  }

  private void group(String layer, String name, List<NamedPoint> points) {
    if (!points.isEmpty()) {
      take(layer, Item.points(names.of("points", name), points));
    }
  }

  /** The text that stands at a marker: the nearest one within a few sizes of marker and letters. */
  private String nearby(LayerShapes.Mark m) {
    double reach = 4 * m.size();
    Envelope around = new Envelope(new Coordinate(m.at()[0], m.at()[1]));
    around.expandBy(2 * reach);
    LayerShapes.Label best = null;
    double nearest = Double.MAX_VALUE;
    for (Object o : labels.query(around)) {
      LayerShapes.Label l = (LayerShapes.Label) o;
      double d = Math.hypot(l.at()[0] - m.at()[0], l.at()[1] - m.at()[1]);
      if (d < nearest && d <= reach + 2 * l.height() && !used.contains(l)) {
        nearest = d;
        best = l;
      }
    }
    if (best == null) {
      return "";
    }
    used.add(best);
    return best.words();
  }

  /** Texts as points; where all of a layer's texts are levels at height zero, they are at them. */
  private void texts(String layer, List<LayerShapes.Label> all) {
    if (all.isEmpty()) {
      return;
    }
    boolean levels = all.stream().allMatch(l -> l.at()[2] == 0 && isLevel(l.words()));
    List<NamedPoint> out = new ArrayList<>();
    for (LayerShapes.Label l : all) {
      Position p = position(l.at());
      double height = levels ? Double.parseDouble(l.words().replace(',', '.')) : p.level();
      out.add(new NamedPoint(l.words(), new Position(p.east(), p.north(), height), "text"));
    }
    if (levels) {
      findings.add(
          Finding.note(
                  RECEIVE,
                  "drawing.levels",
                  layer,
                  "All texts of layer "
                      + layer
                      + " are numbers and lie at height zero; they are read as levels in metres.")
              .withFigure(Figure.count(all.size(), "texts")));
    }
    group(layer, layer + " texts", out);
  }

  /** A number with decimals, as levels are written; plain whole numbers may be point numbers. */
  private static boolean isLevel(String words) {
    return words.matches("[-+]?\\d{1,4}[.,]\\d{1,4}");
  }

  private Position position(double[] p) {
    return new Position(p[0] * metres, p[1] * metres, p[2] * metres);
  }

  private double[] inMetres(double[] xyz) {
    if (metres == 1) {
      return xyz;
    }
    double[] out = new double[xyz.length];
    for (int i = 0; i < xyz.length; i++) {
      out[i] = xyz[i] * metres;
    }
    return out;
  }
}
