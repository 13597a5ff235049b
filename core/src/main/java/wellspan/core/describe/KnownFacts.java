package wellspan.core.describe;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.OptionalDouble;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Measure;
import wellspan.core.shape.Shape;

/** The property set that every item gets from what is known without asking anybody. */
public final class KnownFacts {
  /** Name of the set in deliveries. */
  public static final String SET = "Wellspan_KnownFacts";

  /** By which figures of one thing differ from file to file, as a share. */
  private static final double ROUNDING = 1e-6;

  private KnownFacts() {}

  /**
   * @param file name of the source file, without its path
   * @param revision label of the source's revision
   */
  public static PropertySet of(Item item, String file, String revision) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("SourceFile", new PropertyValue.Label(file));
    v.put("SourceRevision", new PropertyValue.Label(revision));
    v.put("SourceName", new PropertyValue.Label(item.name()));
    Shape shape = item.shape();
    if (shape instanceof Shape.Faces faces) {
      mesh(v, faces);
      if (item.kind().is(Kind.TERRAIN)) {
        v.put("InvisibleFaces", new PropertyValue.Count(faces.invisibleCount()));
      }
      if (item.kind().is(Kind.COVER)) {
        v.put("Material", new PropertyValue.Label(item.attributes().material()));
      }
      return new PropertySet(SET, v);
    }
    count(v, "Points", shape.measure(Measure.POINTS));
    length(v, "Length", shape.measure(Measure.LENGTH));
    length(v, "StartChainage", shape.measure(Measure.START_CHAINAGE));
    length(v, "EndChainage", shape.measure(Measure.END_CHAINAGE));
    if (shape.measure(Measure.ELEMENTS).isPresent()) {
      boolean profile = shape.measure(Measure.PROFILE_PIECES).isPresent();
      v.put("HasProfile", new PropertyValue.Flag(profile));
    }
    count(v, "Columns", shape.measure(Measure.COLUMNS));
    count(v, "Rows", shape.measure(Measure.ROWS));
    return new PropertySet(SET, v);
  }

  /**
   * What the file that an item was received in states by this set, as long as its figures are those
   * of the item: then it is the thing that was described there, and the set travels as any other.
   * Otherwise what is known now. Figures may differ by the rounding of coordinates.
   *
   * @param now of {@link #of}
   */
  public static PropertySet stillTrue(PropertySet now, Item item) {
    return item.said().propertySets().stream()
        .filter(s -> s.name().equals(SET) && s.values().keySet().containsAll(now.values().keySet()))
        .filter(
            s ->
                now.values().entrySet().stream()
                    .allMatch(e -> agrees(e.getValue(), s.values().get(e.getKey()))))
        .findFirst()
        .orElse(now);
  }

  private static boolean agrees(PropertyValue now, PropertyValue stated) {
    return switch (now) {
      case PropertyValue.Label l -> stated instanceof PropertyValue.Label; // where it came from
      case PropertyValue.Length(double a) ->
          stated instanceof PropertyValue.Length(double b) && close(a, b);
      case PropertyValue.Area(double a) ->
          stated instanceof PropertyValue.Area(double b) && close(a, b);
      default -> now.equals(stated);
    };
  }

  private static boolean close(double a, double b) {
    return Math.abs(a - b) <= ROUNDING * Math.max(1, Math.abs(a));
  }

  private static void count(Map<String, PropertyValue> v, String name, OptionalDouble number) {
    number.ifPresent(n -> v.put(name, new PropertyValue.Count((long) n)));
  }

  private static void length(Map<String, PropertyValue> v, String name, OptionalDouble metres) {
    metres.ifPresent(m -> v.put(name, new PropertyValue.Length(m)));
  }

  private static void mesh(Map<String, PropertyValue> v, Shape.Faces faces) {
    Mesh mesh = faces.mesh();
    Box b = mesh.bounds();
    v.put("Triangles", new PropertyValue.Count(mesh.triangleCount()));
    v.put("PlanArea", new PropertyValue.Area(faces.planArea()));
    v.put("SurfaceArea", new PropertyValue.Area(mesh.surfaceArea()));
    if (b.hasLevels()) {
      v.put("LowestLevel", new PropertyValue.Length(b.minH()));
      v.put("HighestLevel", new PropertyValue.Length(b.maxH()));
    }
  }
}
