package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Reads the edges of faces as points, each edge once, so that the faces on both of its sides share
 * them. For one shell.
 */
final class EdgeReader {
  private final CurveReader curves;
  private final MeshBuilder mesh;
  private final Map<Integer, Integer> vertices = new HashMap<>();
  private final Map<Integer, List<Integer>> edges = new HashMap<>();

  /**
   * @param mesh takes the points
   */
  EdgeReader(CurveReader curves, MeshBuilder mesh) {
    this.curves = curves;
    this.mesh = mesh;
  }

  /** Numbers of the points of a loop, the first one once. */
  List<Integer> loop(Instance loop) {
    List<Integer> out = new ArrayList<>();
    if (loop.isA("IFCPOLYLOOP")) {
      loop.refs("Polygon").forEach(p -> out.add(vertex(p)));
      return out;
    }
    if (!loop.isA("IFCEDGELOOP")) {
      throw Unread.kind(loop);
    }
    for (Instance oriented : loop.refs("EdgeList")) {
      List<Integer> points =
          edges.computeIfAbsent(
              SolidReader.part(oriented, "EdgeElement").id(),
              k -> edge(SolidReader.part(oriented, "EdgeElement")));
      if (oriented.literal("Orientation").equals("F")) {
        points = points.reversed();
      }
      if (!out.isEmpty() && !out.getLast().equals(points.getFirst())) {
        throw new Unread(loop, "has edges that do not follow each other");
      }
      out.addAll(out.isEmpty() ? points : points.subList(1, points.size()));
    }
    if (out.size() < 2 || !out.getFirst().equals(out.getLast())) {
      throw new Unread(loop, "does not come back to its start");
    }
    out.removeLast();
    return out;
  }

  private int vertex(Instance point) {
    return vertices.computeIfAbsent(
        point.id(),
        k -> {
          double[] p = Placement.point(java.util.Optional.of(point));
          return mesh.vertex(p[0], p[1], p[2]);
        });
  }

  private int end(Instance edge, String which) {
    Instance v = SolidReader.part(edge, which);
    if (!v.isA("IFCVERTEXPOINT")) {
      throw Unread.kind(v);
    }
    return vertex(SolidReader.part(v, "VertexGeometry"));
  }

  /** From its start to its end. */
  private List<Integer> edge(Instance edge) {
    int start = end(edge, "EdgeStart");
    int end = end(edge, "EdgeEnd");
    List<Integer> out = new ArrayList<>(List.of(start));
    if (edge.isA("IFCEDGECURVE")) {
      double[] from = place(start);
      double[] to = place(end);
      boolean same = !edge.literal("SameSense").equals("F");
      Instance curve = SolidReader.part(edge, "EdgeGeometry");
      if (curve.isA("IFCSURFACECURVE")) {
        curve = SolidReader.part(curve, "Curve3D");
      }
      List<double[]> between =
          same ? between(curve, from, to, start == end) : between(curve, to, from, start == end);
      if (!same) {
        Collections.reverse(between);
      }
      between.forEach(p -> out.add(mesh.vertex(p[0], p[1], p[2])));
    }
    out.add(end);
    return out;
  }

  /** Places that are nearer are one, in the file's unit. */
  private double same() {
    return curves.gap() / 1000;
  }

  private double[] place(int vertex) {
    return java.util.Arrays.copyOfRange(mesh.coordinates(), 3 * vertex, 3 * vertex + 3);
  }

  /**
   * Points of a curve between two of its places, in its own sense.
   *
   * @param once whether both are one, and the curve is gone round once
   */
  private List<double[]> between(Instance curve, double[] from, double[] to, boolean once) {
    if (curve.isA("IFCLINE")) {
      return new ArrayList<>();
    }
    double[] all =
        curve.isA("IFCCONIC") ? conic(curve, from, to, once) : cut(curves.points(curve), from, to);
    List<double[]> out = new ArrayList<>();
    for (int i = 3; i < all.length - 3; i += 3) {
      double[] p = {all[i], all[i + 1], all[i + 2]};
      if (Direction.distance(p, from) > same() && Direction.distance(p, to) > same()) {
        out.add(p);
      }
    }
    return out;
  }

  private double[] conic(Instance curve, double[] from, double[] to, boolean once) {
    boolean circle = curve.isA("IFCCIRCLE");
    double a = curve.number(circle ? "Radius" : "SemiAxis1");
    double b = curve.number(circle ? "Radius" : "SemiAxis2");
    Placement at = Placement.axis(curve.ref("Position"));
    double[] p = at.local(from);
    double[] q = at.local(to);
    double start = Math.atan2(p[1] / b, p[0] / a);
    double sweep = Math.atan2(q[1] / b, q[0] / a) - start;
    if (sweep <= 1e-9) {
      sweep += 2 * Math.PI;
    }
    double[] m = at.m();
    return curves.chords(
        new double[] {m[3], m[7], m[11]},
        new double[] {a * m[0], a * m[4], a * m[8]},
        new double[] {b * m[1], b * m[5], b * m[9]},
        start,
        once ? 2 * Math.PI : sweep);
  }

  /** The part of a line between the places on it that are nearest to two given ones. */
  private double[] cut(double[] line, double[] from, double[] to) {
    double start = nearest(line, from);
    double end = nearest(line, to);
    int last = line.length / 3 - 1;
    boolean closed = Direction.distance(at(line, 0), at(line, last)) <= same();
    List<double[]> out = new ArrayList<>(List.of(from));
    if (end > start + 1e-9) {
      points(line, start, end, out);
    } else if (closed) { // over the seam, or once round
      points(line, start, last, out);
      out.add(at(line, 0));
      points(line, 0, end, out);
    }
    out.add(to);
    return out.stream().flatMapToDouble(java.util.Arrays::stream).toArray();
  }

  private static void points(double[] line, double start, double end, List<double[]> out) {
    for (int i = (int) Math.floor(start) + 1; i < end; i++) {
      out.add(at(line, i));
    }
  }

  private static double[] at(double[] line, int i) {
    return java.util.Arrays.copyOfRange(line, 3 * i, 3 * i + 3);
  }

  private static double nearest(double[] line, double[] p) {
    double best = Double.POSITIVE_INFINITY;
    double out = 0;
    for (int i = 0; i + 1 < line.length / 3; i++) {
      double[] a = at(line, i);
      double[] b = at(line, i + 1);
      double[] d = {b[0] - a[0], b[1] - a[1], b[2] - a[2]};
      double[] w = {p[0] - a[0], p[1] - a[1], p[2] - a[2]};
      double t = Direction.dot(w, d) / Direction.dot(d, d);
      t = Double.isFinite(t) ? Math.clamp(t, 0.0, 1.0) : 0;
      double off =
          Direction.distance(p, new double[] {a[0] + t * d[0], a[1] + t * d[1], a[2] + t * d[2]});
      if (off < best) {
        best = off;
        out = i + t;
      }
    }
    return out;
  }
}
