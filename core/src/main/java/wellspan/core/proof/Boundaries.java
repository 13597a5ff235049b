package wellspan.core.proof;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/**
 * The boundaries that a file gives for a surface.
 *
 * @param surface name of the surface
 * @param rings the lines
 * @param types {@code outer}, {@code void} or {@code island} of each
 */
public record Boundaries(String surface, List<Polyline> rings, List<String> types) {
  /** Name of the set by which readers mark such lines. */
  public static final String SET = "Boundary";

  private static final String SURFACE = "surface";
  private static final String TYPE = "bndType";

  /** The set that marks lines as the boundaries of a surface. */
  public static PropertySet set(String surface, List<String> types) {
    return new PropertySet(
        SET,
        Map.of(
            SURFACE,
            new PropertyValue.Label(surface),
            TYPE,
            new PropertyValue.Label(String.join(" ", types))));
  }

  /** Empty for all other lines. */
  public static Optional<Boundaries> of(Item e) {
    if (!(e.shape() instanceof Shape.Lines lines)) {
      return Optional.empty();
    }
    return e.said().propertySets().stream()
        .filter(s -> s.name().equals(SET) && s.values().containsKey(SURFACE))
        .findFirst()
        .map(
            s ->
                new Boundaries(
                    s.values().get(SURFACE).show(),
                    lines.lines(),
                    List.of(s.values().get(TYPE).show().split(" "))));
  }

  /** They are held against the surface's own triangles. */
  public OutlineCheck against(Mesh mesh) {
    return types.size() != rings.size()
        ? new OutlineCheck(Optional.of("boundaries without a type"), 0)
        : OutlineCheck.of(mesh, rings, types.stream().map(t -> !t.equals("void")).toList());
  }
}
