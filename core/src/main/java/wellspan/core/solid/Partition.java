package wellspan.core.solid;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Optional;

/** A binary partition of space by the planes of convex polygons; inside is behind all of them. */
final class Partition {
  /** A convex flat polygon with its plane n·p = d. */
  record Polygon(List<double[]> corners, double[] n, double d) {
    /** Empty if it has no area. */
    static Optional<Polygon> of(List<double[]> corners) {
      double[] a = corners.get(0);
      double[] n = new double[3];
      for (int i = 1; i + 1 < corners.size(); i++) {
        double[] b = corners.get(i);
        double[] c = corners.get(i + 1);
        n[0] += (b[1] - a[1]) * (c[2] - a[2]) - (b[2] - a[2]) * (c[1] - a[1]);
        n[1] += (b[2] - a[2]) * (c[0] - a[0]) - (b[0] - a[0]) * (c[2] - a[2]);
        n[2] += (b[0] - a[0]) * (c[1] - a[1]) - (b[1] - a[1]) * (c[0] - a[0]);
      }
      double l = Math.sqrt(dot(n, n));
      if (!(l > 0)) {
        return Optional.empty();
      }
      double[] unit = {n[0] / l, n[1] / l, n[2] / l};
      return Optional.of(new Polygon(corners, unit, dot(unit, a)));
    }

    Polygon flipped() {
      return new Polygon(corners.reversed(), new double[] {-n[0], -n[1], -n[2]}, -d);
    }
  }

  private final double tolerance;
  private double[] n;
  private double d;
  private List<Polygon> here = new ArrayList<>();
  private Partition front;
  private Partition back;

  Partition(double tolerance) {
    this.tolerance = tolerance;
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  /**
   * Every partition below this one and itself; without recursion, as trees of curved bodies run
   * deep.
   */
  private List<Partition> all() {
    List<Partition> out = new ArrayList<>();
    Deque<Partition> open = new ArrayDeque<>(List.of(this));
    while (!open.isEmpty()) {
      Partition p = open.pop();
      out.add(p);
      if (p.front != null) {
        open.push(p.front);
      }
      if (p.back != null) {
        open.push(p.back);
      }
    }
    return out;
  }

  List<Polygon> polygons() {
    List<Polygon> out = new ArrayList<>();
    all().forEach(p -> out.addAll(p.here));
    return out;
  }

  /** Inside becomes outside. */
  void invert() {
    for (Partition p : all()) {
      p.here = new ArrayList<>(p.here.stream().map(Polygon::flipped).toList());
      if (p.n != null) {
        p.n = new double[] {-p.n[0], -p.n[1], -p.n[2]};
        p.d = -p.d;
      }
      Partition f = p.front;
      p.front = p.back;
      p.back = f;
    }
  }

  private record Task(Partition at, List<Polygon> polygons) {}

  void add(List<Polygon> more) {
    Deque<Task> open = new ArrayDeque<>(List.of(new Task(this, more)));
    while (!open.isEmpty()) {
      Task task = open.pop();
      Partition p = task.at;
      if (task.polygons.isEmpty()) {
        continue;
      }
      if (p.n == null) {
        Polygon first = task.polygons.get(task.polygons.size() / 2);
        p.n = first.n;
        p.d = first.d;
      }
      List<Polygon> ahead = new ArrayList<>();
      List<Polygon> behind = new ArrayList<>();
      for (Polygon each : task.polygons) {
        p.split(each, p.here, p.here, ahead, behind);
      }
      if (!ahead.isEmpty()) {
        p.front = p.front == null ? new Partition(tolerance) : p.front;
        open.push(new Task(p.front, ahead));
      }
      if (!behind.isEmpty()) {
        p.back = p.back == null ? new Partition(tolerance) : p.back;
        open.push(new Task(p.back, behind));
      }
    }
  }

  /** Takes away of all polygons here what lies inside another partition. */
  void clipTo(Partition other) {
    for (Partition p : all()) {
      p.here = other.outside(p.here);
    }
  }

  private List<Polygon> outside(List<Polygon> polygons) {
    List<Polygon> out = new ArrayList<>();
    Deque<Task> open = new ArrayDeque<>(List.of(new Task(this, polygons)));
    while (!open.isEmpty()) {
      Task task = open.pop();
      Partition p = task.at;
      if (p.n == null) {
        out.addAll(task.polygons);
        continue;
      }
      List<Polygon> ahead = new ArrayList<>();
      List<Polygon> behind = new ArrayList<>();
      for (Polygon each : task.polygons) {
        p.split(each, ahead, behind, ahead, behind);
      }
      if (p.front == null) {
        out.addAll(ahead);
      } else if (!ahead.isEmpty()) {
        open.push(new Task(p.front, ahead));
      }
      if (p.back != null && !behind.isEmpty()) {
        open.push(new Task(p.back, behind));
      }
    }
    return out;
  }

  /** Deals a polygon to the sides of the plane here; those in the plane by the way they face. */
  private void split(
      Polygon polygon,
      List<Polygon> alike,
      List<Polygon> opposed,
      List<Polygon> ahead,
      List<Polygon> behind) {
    int size = polygon.corners.size();
    double[] off = new double[size];
    boolean over = false;
    boolean under = false;
    for (int i = 0; i < size; i++) {
      off[i] = dot(n, polygon.corners.get(i)) - d;
      over |= off[i] > tolerance;
      under |= off[i] < -tolerance;
    }
    if (!over && !under) {
      (dot(n, polygon.n) > 0 ? alike : opposed).add(polygon);
    } else if (!under) {
      ahead.add(polygon);
    } else if (!over) {
      behind.add(polygon);
    } else {
      List<double[]> f = new ArrayList<>();
      List<double[]> b = new ArrayList<>();
      for (int i = 0; i < size; i++) {
        int j = (i + 1) % size;
        double[] p = polygon.corners.get(i);
        double[] q = polygon.corners.get(j);
        if (off[i] >= -tolerance) {
          f.add(p);
        }
        if (off[i] <= tolerance) {
          b.add(p);
        }
        if (off[i] > tolerance && off[j] < -tolerance
            || off[i] < -tolerance && off[j] > tolerance) {
          double t = off[i] / (off[i] - off[j]);
          double[] x = {
            p[0] + t * (q[0] - p[0]), p[1] + t * (q[1] - p[1]), p[2] + t * (q[2] - p[2])
          };
          f.add(x);
          b.add(x);
        }
      }
      if (f.size() >= 3) {
        ahead.add(new Polygon(f, polygon.n, polygon.d));
      }
      if (b.size() >= 3) {
        behind.add(new Polygon(b, polygon.n, polygon.d));
      }
    }
  }
}
