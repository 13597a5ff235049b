package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.attribute.Attributes;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.item.Item;

/** Objects set up along a line, turned with it. */
public final class CarriedObjects {
  private static final int MOST = 2000;

  private CarriedObjects() {}

  /**
   * Distances from a line's start at a spacing.
   *
   * @throws IllegalArgumentException with a sentence, if there are too many
   */
  public static List<Double> every(LineOfWork line, double spacing) {
    int n = (int) Math.floor((line.to() - line.from()) / spacing + 1e-9) + 1;
    if (n > MOST) {
      throw new IllegalArgumentException(
          n + " objects would be too many; at most " + MOST + " are made. Take a larger distance.");
    }
    List<Double> out = new ArrayList<>();
    for (int i = 0; i < n; i++) {
      out.add(Math.min(line.to(), line.from() + i * spacing));
    }
    return out;
  }

  private static List<Mesh> meshes(
      ObjectShape object, LineOfWork line, List<Double> at, double offset, double height) {
    List<Mesh> out = new ArrayList<>();
    for (double d : at) {
      SweepPath.Station s = line.at(d);
      double[] f = s.forward();
      double[] right = {f[1], -f[0]};
      double e = s.east() + offset * right[0];
      double north = s.north() + offset * right[1];
      double level = line.ground() == null ? s.level() : line.groundAt(e, north);
      if (!Double.isFinite(level)) {
        throw new IllegalArgumentException(
            String.format(
                Locale.ROOT,
                "there is no level at chainage %.3f m. Choose a ground that lies under all of it, or a line with levels.",
                line.chainage(d)));
      }
      out.add(object.at(e, north, level + height, right));
    }
    return out;
  }

  /**
   * Each an item of its own, numbered along the line.
   *
   * @param at distances from the line's start, metres
   * @throws IllegalArgumentException with a sentence, if one of them has no level, or there are too
   *     many
   */
  public static List<Item> each(
      String name,
      ObjectShape object,
      LineOfWork line,
      List<Double> at,
      double offset,
      double height) {
    List<Item> out = new ArrayList<>();
    List<Mesh> meshes = meshes(object, line, at, offset, height);
    for (int i = 0; i < at.size(); i++) {
      Map<String, PropertyValue> v = new LinkedHashMap<>();
      v.put("Along", new PropertyValue.Label(line.name()));
      v.put("Chainage", new PropertyValue.Length(line.chainage(at.get(i))));
      v.put("Offset", new PropertyValue.Length(offset));
      Attributes made = Attributes.ofMaterial(object.material()).withLayer(line.name());
      out.add(
          new Item(
              name + " " + (i + 1),
              object.kind(),
              Standing.of(line.shape().follows(), List.of(at.get(i)), List.of(meshes.get(i))),
              made.with(made.said().withSets(List.of(new PropertySet("Wellspan_Object", v))))));
    }
    return out;
  }

  /** All of them one item, where they belong to something else. */
  public static Item together(
      String name,
      ObjectShape object,
      LineOfWork line,
      List<Double> at,
      double offset,
      double height) {
    return new Item(
        name,
        object.kind(),
        Standing.of(line.shape().follows(), at, meshes(object, line, at, offset, height)),
        Attributes.ofMaterial(object.material()).withLayer(line.name()));
  }
}
