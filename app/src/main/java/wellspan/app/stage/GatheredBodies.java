package wellspan.app.stage;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.paint.Color;
import javafx.scene.shape.TriangleMesh;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/**
 * Puts small bodies of one colour together into few meshes, because a node for each of thousands
 * cannot be turned fluently; a face still tells the item it belongs to. Edges stay hard.
 */
final class GatheredBodies {
  /** Triangles of one mesh, beyond which another one is begun. */
  private static final int MOST = 60_000;

  /**
   * Bodies in one mesh.
   *
   * @param solid whether all are closed, so that nobody sees their faces from behind
   * @param ends number of the first face behind each item
   */
  record Gathered(TriangleMesh mesh, Color colour, boolean solid, int[] ends, List<ItemId> items) {
    /** The item that a face belongs to. */
    ItemId of(int face) {
      int i = Arrays.binarySearch(ends, face + 1);
      return items.get(i >= 0 ? i : -i - 1);
    }
  }

  private record Alike(Color colour, boolean solid) {}

  private static final class Open {
    private float[] points = new float[3 * 1024];
    private int[] faces = new int[6 * 1024];
    private int pointLength;
    private int faceLength;
    private final List<Integer> ends = new ArrayList<>();
    private final List<ItemId> items = new ArrayList<>();
  }

  private final Position zero;
  private final Map<Alike, Open> open = new LinkedHashMap<>();
  private final List<Gathered> done = new ArrayList<>();

  /**
   * @param zero that coordinates in the meshes are relative to
   */
  GatheredBodies(Position zero) {
    this.zero = zero;
  }

  void add(ItemId id, Mesh m, Color colour) {
    Alike alike = new Alike(colour, SpaceMeshes.isSolid(m));
    Open o = open.computeIfAbsent(alike, a -> new Open());
    int first = o.pointLength / 3;
    int pointLength = o.pointLength + 3 * m.vertexCount();
    int faceLength = o.faceLength + 2 * m.triangles().length;
    if (pointLength > o.points.length) {
      o.points = Arrays.copyOf(o.points, Math.max(pointLength, 2 * o.points.length));
    }
    if (faceLength > o.faces.length) {
      o.faces = Arrays.copyOf(o.faces, Math.max(faceLength, 2 * o.faces.length));
    }
    for (int v = 0; v < m.vertexCount(); v++) {
      double h = m.level(v);
      o.points[o.pointLength++] = (float) (m.east(v) - zero.east());
      o.points[o.pointLength++] = (float) (m.north(v) - zero.north());
      o.points[o.pointLength++] = (float) (Double.isNaN(h) ? 0 : h - zero.level());
    }
    for (int v : m.triangles()) {
      o.faces[o.faceLength++] = first + v;
      o.faces[o.faceLength++] = 0;
    }
    o.ends.add(o.faceLength / 6);
    o.items.add(id);
    if (o.faceLength / 6 > MOST) {
      done.add(close(o, alike));
      open.remove(alike);
    }
  }

  /** Everything that was added. */
  List<Gathered> all() {
    open.forEach((alike, o) -> done.add(close(o, alike)));
    open.clear();
    return List.copyOf(done);
  }

  private static Gathered close(Open o, Alike alike) {
    TriangleMesh mesh = new TriangleMesh();
    mesh.getTexCoords().addAll(0, 0);
    mesh.getPoints().addAll(o.points, 0, o.pointLength);
    mesh.getFaces().addAll(o.faces, 0, o.faceLength);
    mesh.getFaceSmoothingGroups().addAll(new int[o.faceLength / 6]); // each face flat
    return new Gathered(
        mesh,
        alike.colour,
        alike.solid,
        o.ends.stream().mapToInt(Integer::intValue).toArray(),
        List.copyOf(o.items));
  }
}
