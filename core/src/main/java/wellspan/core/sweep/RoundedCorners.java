package wellspan.core.sweep;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/** Lines of points with arcs instead of corners. */
public final class RoundedCorners {
  /** A bend below this needs no arc, radians. */
  private static final double STRAIGHT = 1e-6;

  private RoundedCorners() {}

  /**
   * Each corner with an arc of a radius; where two corners are too near for it, with one that ends
   * half-way between them. Levels run even along the arc. A closed line keeps its first corner.
   *
   * @param radius metres
   * @param chord how far chords may lie beside an arc, metres
   */
  public static Polyline of(Polyline line, double radius, double chord) {
    int n = line.pointCount();
    List<Position> out = new ArrayList<>();
    out.add(line.point(0));
    for (int i = 1; i + 1 < n; i++) {
      Position a = line.point(i - 1);
      Position p = line.point(i);
      Position b = line.point(i + 1);
      double in = a.planDistanceTo(p);
      double on = p.planDistanceTo(b);
      if (in == 0 || on == 0) {
        continue;
      }
      double[] u = {(p.east() - a.east()) / in, (p.north() - a.north()) / in};
      double[] v = {(b.east() - p.east()) / on, (b.north() - p.north()) / on};
      double bend = Math.atan2(u[0] * v[1] - u[1] * v[0], u[0] * v[0] + u[1] * v[1]);
      double half = Math.tan(Math.abs(bend) / 2);
      if (Math.abs(bend) < STRAIGHT || Math.PI - Math.abs(bend) < STRAIGHT) {
        out.add(p);
        continue;
      }
      double room = Math.min(i == 1 ? in : in / 2, i + 2 == n ? on : on / 2);
      double tangent = Math.min(radius * half, room);
      arc(a, p, b, in, on, u, bend, tangent, tangent / half, chord, out);
    }
    if (n > 1) {
      out.add(line.point(n - 1));
    }
    double[] xyz = new double[3 * out.size()];
    for (int i = 0; i < out.size(); i++) {
      xyz[3 * i] = out.get(i).east();
      xyz[3 * i + 1] = out.get(i).north();
      xyz[3 * i + 2] = out.get(i).level();
    }
    return new Polyline(xyz);
  }

  private static void arc(
      Position a,
      Position p,
      Position b,
      double in,
      double on,
      double[] u,
      double bend,
      double tangent,
      double radius,
      double chord,
      List<Position> out) {
    double sign = Math.signum(bend);
    double e = p.east() - tangent * u[0];
    double n = p.north() - tangent * u[1];
    double first = p.level() + (a.level() - p.level()) * tangent / in;
    double last = p.level() + (b.level() - p.level()) * tangent / on;
    double ce = e - sign * radius * u[1];
    double cn = n + sign * radius * u[0];
    double step = 2 * Math.acos(Math.max(0, 1 - chord / radius));
    int steps = (int) Math.max(1, Math.ceil(Math.abs(bend) / Math.max(step, 1e-3)));
    for (int k = 0; k <= steps; k++) {
      double t = bend * k / steps;
      double x = e - ce;
      double y = n - cn;
      out.add(
          new Position(
              ce + x * Math.cos(t) - y * Math.sin(t),
              cn + x * Math.sin(t) + y * Math.cos(t),
              first + (last - first) * k / steps));
    }
  }
}
