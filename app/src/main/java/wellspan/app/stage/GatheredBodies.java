package wellspan.app.stage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.paint.Color;
import javafx.scene.shape.TriangleMesh;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/**
 * Puts small bodies of one colour together into few meshes, because a node for each of thousands
 * cannot be turned fluently; a face still tells the item it belongs to. Edges stay hard. Large
 * bodies come first, and bodies of one size in no order of place, so that the first meshes alone
 * show what matters of the whole.
 */
final class GatheredBodies {
  /** Triangles of one mesh, beyond which another one is begun. */
  static final int MOST = 4_000;

  /**
   * Bodies in one mesh.
   *
   * @param solid whether all are closed, so that nobody sees their faces from behind
   * @param size of the largest one, metres
   * @param ends number of the first face behind each item
   */
  record Gathered(
      TriangleMesh mesh, Color colour, boolean solid, double size, int[] ends, List<ItemId> items) {
    /** The item that a face belongs to. */
    ItemId of(int face) {
      int i = Arrays.binarySearch(ends, face + 1);
      return items.get(i >= 0 ? i : -i - 1);
    }

    int triangles() {
      return ends[ends.length - 1];
    }
  }

  private record Alike(Color colour, boolean solid) {}

  /**
   * @param step its size in steps of a half more each, so that like bodies count as equal
   * @param scattered a number that does not follow from where it stands
   */
  private record Body(ItemId id, Mesh mesh, double size, long step, int scattered) {}

  private final Position zero;
  private final Map<Alike, List<Body>> bodies = new LinkedHashMap<>();

  /**
   * @param zero that coordinates in the meshes are relative to
   */
  GatheredBodies(Position zero) {
    this.zero = zero;
  }

  void add(ItemId id, Mesh m, Color colour) {
    if (m.triangleCount() == 0) {
      return;
    }
    List<Body> alike =
        bodies.computeIfAbsent(new Alike(colour, SpaceMeshes.isSolid(m)), a -> new ArrayList<>());
    double size = size(m.bounds());
    long step = Math.round(Math.log(Math.max(1e-3, size)) / Math.log(1.5));
    alike.add(new Body(id, m, size, step, Integer.reverse(alike.size())));
  }

  private static double size(Box b) {
    double tall = b.hasLevels() ? b.maxH() - b.minH() : 0;
    return Math.hypot(Math.hypot(b.width(), b.depth()), tall);
  }

  /** Everything that was added, the meshes of the largest bodies first. */
  List<Gathered> all() {
    List<Gathered> out = new ArrayList<>();
    bodies.forEach(
        (alike, list) -> {
          list.sort(Comparator.comparing(Body::step).reversed().thenComparing(Body::scattered));
          int from = 0;
          while (from < list.size()) {
            int to = end(list, from);
            out.add(together(list.subList(from, to), alike));
            from = to;
          }
        });
    out.sort(Comparator.comparingDouble(Gathered::size).reversed());
    return out;
  }

  /** Behind the last body that the mesh which begins with one takes. */
  private static int end(List<Body> list, int from) {
    int to = from;
    int triangles = 0;
    while (to < list.size()
        && (to == from || triangles + list.get(to).mesh.triangleCount() <= MOST)) {
      triangles += list.get(to++).mesh.triangleCount();
    }
    return to;
  }

  private Gathered together(List<Body> list, Alike alike) {
    float[] points = new float[3 * list.stream().mapToInt(b -> b.mesh.vertexCount()).sum()];
    int[] faces = new int[6 * list.stream().mapToInt(b -> b.mesh.triangleCount()).sum()];
    int[] ends = new int[list.size()];
    int p = 0;
    int f = 0;
    for (int i = 0; i < ends.length; i++) {
      Mesh m = list.get(i).mesh;
      int first = p / 3;
      for (int v = 0; v < m.vertexCount(); v++) {
        double h = m.level(v);
        points[p++] = (float) (m.east(v) - zero.east());
        points[p++] = (float) (m.north(v) - zero.north());
        points[p++] = (float) (Double.isNaN(h) ? 0 : h - zero.level());
      }
      for (int v : m.triangles()) {
        faces[f] = first + v;
        f += 2; // between them the texture's first and only place
      }
      ends[i] = f / 6;
    }
    TriangleMesh mesh = new TriangleMesh();
    mesh.getTexCoords().addAll(0, 0);
    mesh.getPoints().addAll(points);
    mesh.getFaces().addAll(faces);
    mesh.getFaceSmoothingGroups().addAll(new int[faces.length / 6]); // each face flat
    return new Gathered(
        mesh,
        alike.colour,
        alike.solid,
        list.stream().mapToDouble(Body::size).max().orElseThrow(),
        ends,
        list.stream().map(Body::id).toList());
  }
}
