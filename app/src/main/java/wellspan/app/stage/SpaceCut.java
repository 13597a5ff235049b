package wellspan.app.stage;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.build.Build;
import wellspan.core.cut.HalfSpace;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;
import wellspan.core.shape.Shape;

/** What is left of the items where planes cut the 3D picture; each body is cut once. */
final class SpaceCut {
  private final List<HalfSpace> planes;
  private final Map<ItemId, Mesh> left = new HashMap<>();

  /**
   * @param planes what lies on their far side is cut away
   */
  SpaceCut(List<HalfSpace> planes, List<Build.BuiltItem> shown) {
    this.planes = planes;
    for (Build.BuiltItem i : isWhole() ? List.<Build.BuiltItem>of() : shown) {
      if (i.item().shape() instanceof Shape.Faces f) {
        Mesh m = f.mesh();
        for (HalfSpace p : planes) {
          m = p.of(m);
        }
        left.put(i.id(), m);
      }
    }
  }

  /** Whether nothing is cut. */
  boolean isWhole() {
    return planes.isEmpty();
  }

  /** The part of a body that is not cut away. */
  Mesh of(ItemId id, Mesh whole) {
    return left.getOrDefault(id, whole);
  }

  Shape.Points of(Shape.Points all) {
    return isWhole()
        ? all
        : new Shape.Points(all.points().stream().filter(p -> keeps(p.position())).toList());
  }

  List<Polyline> of(List<Polyline> whole) {
    List<Polyline> cut = whole;
    for (HalfSpace p : planes) {
      cut = cut.stream().flatMap(l -> p.of(l).stream()).toList();
    }
    return cut;
  }

  boolean keeps(Position p) {
    return planes.stream().allMatch(c -> c.keeps(p));
  }

  /** Extent of what is left of bodies; empty where nothing is cut or nothing is left. */
  Box extent() {
    return left.values().stream()
        .filter(m -> m.triangleCount() > 0)
        .map(Mesh::bounds)
        .reduce(Box.EMPTY, Box::union);
  }
}
