package wellspan.core.solid;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;

/**
 * Bodies cut by bodies: binary space partition of closed meshes after Thibault and Naylor, "Set
 * operations on polyhedra using binary space partitioning trees", 1987. Corners that the cutting
 * leaves on neighbouring edges are put into these edges afterwards, so that the result is closed as
 * its parts were. Meant for building parts: cost grows with the product of the bodies' faces.
 */
public final class SolidBoolean {
  /** Beyond this many triangles in both bodies together a cut would take minutes. */
  public static final int MOST_TRIANGLES = 20_000;

  private SolidBoolean() {}

  /**
   * What is left of one body when another is taken away.
   *
   * @throws IllegalArgumentException if the bodies are too large
   */
  public static Mesh difference(Mesh a, Mesh b) {
    Cut cut = new Cut(a, b);
    Partition x = cut.tree(a);
    Partition y = cut.tree(b);
    x.invert();
    x.clipTo(y);
    y.clipTo(x);
    y.invert();
    y.clipTo(x);
    y.invert();
    x.add(y.polygons());
    x.invert();
    return cut.mesh(x);
  }

  /** What belongs to both bodies; exceptions as above. */
  public static Mesh intersection(Mesh a, Mesh b) {
    Cut cut = new Cut(a, b);
    Partition x = cut.tree(a);
    Partition y = cut.tree(b);
    x.invert();
    y.clipTo(x);
    y.invert();
    x.clipTo(y);
    y.clipTo(x);
    x.add(y.polygons());
    x.invert();
    return cut.mesh(x);
  }

  /** What belongs to one of the bodies or to both; exceptions as above. */
  public static Mesh union(Mesh a, Mesh b) {
    Cut cut = new Cut(a, b);
    Partition x = cut.tree(a);
    Partition y = cut.tree(b);
    x.clipTo(y);
    y.clipTo(x);
    y.invert();
    y.clipTo(x);
    y.invert();
    x.add(y.polygons());
    return cut.mesh(x);
  }

  /** Works about the middle of both bodies, where doubles are finest. */
  private static final class Cut {
    private final double[] zero;
    private final double tolerance;

    Cut(Mesh a, Mesh b) {
      if (a.triangleCount() + b.triangleCount() > MOST_TRIANGLES) {
        throw new IllegalArgumentException(
            "bodies of "
                + (a.triangleCount() + b.triangleCount())
                + " triangles are too large to be cut");
      }
      Box box = a.bounds().union(b.bounds());
      zero =
          new double[] {
            (box.minE() + box.maxE()) / 2,
            (box.minN() + box.maxN()) / 2,
            (box.minH() + box.maxH()) / 2
          };
      double reach =
          Math.hypot(
              Math.hypot(box.maxE() - box.minE(), box.maxN() - box.minN()),
              box.maxH() - box.minH());
      tolerance = 1e-9 * Math.max(reach, 1e-3);
    }

    Partition tree(Mesh m) {
      List<Partition.Polygon> polygons = new ArrayList<>();
      for (int t = 0; t < m.triangleCount(); t++) {
        double[][] corners = new double[3][];
        for (int k = 0; k < 3; k++) {
          int v = m.triangles()[3 * t + k];
          corners[k] =
              new double[] {m.east(v) - zero[0], m.north(v) - zero[1], m.level(v) - zero[2]};
        }
        Partition.Polygon.of(List.of(corners)).ifPresent(polygons::add);
      }
      Partition tree = new Partition(tolerance);
      tree.add(polygons);
      return tree;
    }

    Mesh mesh(Partition tree) {
      return SharedEdges.mesh(tree.polygons(), zero, 20 * tolerance);
    }
  }
}
