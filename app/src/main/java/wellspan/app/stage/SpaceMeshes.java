package wellspan.app.stage;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.shape.TriangleMesh;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;
import wellspan.core.picture.Texture;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.ViewMesh;

/**
 * Makes the toolkit's meshes, in floats relative to a local zero, light enough to be shown
 * fluently.
 */
final class SpaceMeshes {
  private static final int TRIANGLES_SHOWN = 60_000;
  private static final int TRIANGLES_IN_TILE = 15_000;
  private static final int LINE_POINTS_SHOWN = 10_000;
  static final int TICK_EVERY = 100;

  private final Position zero;

  SpaceMeshes(Position zero) {
    this.zero = zero;
  }

  /**
   * A surface, simplified for the view where it is heavy, in pieces.
   *
   * @param hard whether its edges stay hard, as those of bodies
   */
  List<TriangleMesh> tiles(Mesh full, boolean hard, Optional<Texture> texture) {
    Mesh mesh = ViewMesh.simplified(full, TRIANGLES_SHOWN);
    List<TriangleMesh> out = new ArrayList<>();
    int n = mesh.triangleCount();
    for (int from = 0; from < n; from += TRIANGLES_IN_TILE) {
      TriangleMesh tile = tile(mesh, from, Math.min(n, from + TRIANGLES_IN_TILE), texture);
      if (hard) {
        tile.getFaceSmoothingGroups().addAll(new int[tile.getFaces().size() / 6]);
      }
      out.add(tile);
    }
    return out;
  }

  /**
   * Whether a mesh is closed and turned outward, so that half of its faces need not be drawn from
   * any side. In the time of its triangles.
   */
  static boolean isSolid(Mesh m) {
    return m.triangleCount() <= TRIANGLES_SHOWN && m.isClosed() && m.volume() > 0;
  }

  private TriangleMesh tile(Mesh mesh, int from, int to, Optional<Texture> texture) {
    TriangleMesh out = texture.isPresent() ? new TriangleMesh() : empty();
    Map<Integer, Integer> numbers = new HashMap<>();
    int[] faces = new int[6 * (to - from)];
    for (int k = 3 * from; k < 3 * to; k++) {
      int v = mesh.triangles()[k];
      Integer number = numbers.get(v);
      if (number == null) {
        number = vertex(out, mesh.east(v), mesh.north(v), mesh.level(v));
        numbers.put(v, number);
        texture.ifPresent(
            t ->
                out.getTexCoords()
                    .addAll(
                        (float) t.across(mesh.east(v), mesh.north(v)),
                        (float) t.down(mesh.east(v), mesh.north(v))));
      }
      faces[2 * (k - 3 * from)] = number;
      faces[2 * (k - 3 * from) + 1] = texture.isPresent() ? number : 0;
    }
    out.getFaces().addAll(faces);
    return out;
  }

  private static TriangleMesh empty() {
    TriangleMesh m = new TriangleMesh();
    m.getTexCoords().addAll(0, 0);
    return m;
  }

  private int vertex(TriangleMesh m, double e, double n, double h) {
    m.getPoints()
        .addAll(
            (float) (e - zero.east()),
            (float) (n - zero.north()),
            (float) ((Double.isNaN(h) ? zero.level() : h) - zero.level()));
    return m.getPoints().size() / 3 - 1;
  }

  /** An alignment as a square bar through its points, with a standing mark every hundred metres. */
  TriangleMesh line(Alignment a, double thickness) {
    TriangleMesh m = empty();
    List<AlignmentPoint> points = a.everyWithEnds(5);
    int previous = -1;
    for (AlignmentPoint p : points) {
      int ring = ring(m, p, thickness);
      if (previous >= 0) {
        join(m, previous, ring);
      }
      previous = ring;
    }
    for (double d = 0; d <= a.length(); d += TICK_EVERY) {
      AlignmentPoint p = a.at(d);
      double c = Math.cos(p.direction()) * thickness;
      double s = Math.sin(p.direction()) * thickness;
      double h = Double.isNaN(p.level()) ? zero.level() : p.level();
      int foot =
          ringAt(
              m,
              p.east() - c / 2,
              p.north() - s / 2,
              h,
              p.direction(),
              thickness * 5,
              thickness / 2);
      int far =
          ringAt(
              m,
              p.east() + c / 2,
              p.north() + s / 2,
              h,
              p.direction(),
              thickness * 5,
              thickness / 2);
      join(m, foot, far);
    }
    return m;
  }

  /** Lines as thin bars; where there are very many points only some of each line are shown. */
  TriangleMesh string(Shape.Lines string, double thickness) {
    TriangleMesh m = empty();
    int stride = Math.ceilDiv(string.pointCount(), LINE_POINTS_SHOWN);
    string.lines().forEach(l -> bar(m, l, stride, thickness));
    return m;
  }

  private void bar(TriangleMesh m, Polyline line, int stride, double thickness) {
    int previous = -1;
    int last = line.pointCount() - 1;
    for (int i = 0; i <= last; i = i < last ? Math.min(last, i + stride) : last + 1) {
      Position p = line.point(i);
      Position q = line.point(i < last ? i + 1 : i - 1);
      double direction = Math.atan2(q.north() - p.north(), q.east() - p.east());
      double h = Double.isNaN(p.level()) ? zero.level() : p.level();
      int ring = ringAt(m, p.east(), p.north(), h, direction, thickness, thickness);
      if (previous >= 0) {
        join(m, previous, ring);
      }
      previous = ring;
    }
  }

  private int ring(TriangleMesh m, AlignmentPoint p, double thickness) {
    return ringAt(
        m,
        p.east(),
        p.north(),
        Double.isNaN(p.level()) ? zero.level() : p.level(),
        p.direction(),
        thickness,
        thickness);
  }

  private int ringAt(
      TriangleMesh m,
      double e,
      double n,
      double h,
      double direction,
      double halfWidth,
      double halfHeight) {
    double x = -Math.sin(direction) * halfWidth;
    double y = Math.cos(direction) * halfWidth;
    int first = vertex(m, e + x, n + y, h - halfHeight);
    vertex(m, e - x, n - y, h - halfHeight);
    vertex(m, e - x, n - y, h + 2 * halfHeight);
    vertex(m, e + x, n + y, h + 2 * halfHeight);
    return first;
  }

  private static void join(TriangleMesh m, int a, int b) {
    for (int k = 0; k < 4; k++) {
      int n = (k + 1) % 4;
      m.getFaces().addAll(a + k, 0, a + n, 0, b + n, 0, a + k, 0, b + n, 0, b + k, 0);
    }
  }

  /** Points as small pyramids standing on their tips. */
  TriangleMesh points(Shape.Points group, double size) {
    TriangleMesh m = empty();
    for (NamedPoint p : group.points()) {
      Position at = p.position();
      double h = Double.isNaN(at.level()) ? zero.level() : at.level();
      int tip = vertex(m, at.east(), at.north(), h);
      int a = vertex(m, at.east() - size, at.north() - size, h + 3 * size);
      vertex(m, at.east() + size, at.north() - size, h + 3 * size);
      vertex(m, at.east(), at.north() + size, h + 3 * size);
      m.getFaces()
          .addAll(
              tip, 0, a, 0, a + 1, 0, tip, 0, a + 1, 0, a + 2, 0, tip, 0, a + 2, 0, a, 0, a, 0,
              a + 2, 0, a + 1, 0);
    }
    return m;
  }
}
