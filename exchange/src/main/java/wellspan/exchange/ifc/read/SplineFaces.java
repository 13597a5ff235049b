package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.SplineSurface;

/** Surfaces given by control points and knots; parameters of a place are sought by steps. */
record SplineFaces(SplineSurface surface, double periodU, double periodV) implements CurvedSurface {
  private static final int GRID = 24;

  static SplineFaces surface(Instance s) {
    if (!(s.get("ControlPointsList") instanceof Value.Many(List<Value> rows))) {
      throw new Unread(s, "has no net of control points");
    }
    double[][] weights = Spline.table(s.get("WeightsData"));
    double[][][] control = new double[rows.size()][][];
    for (int i = 0; i < control.length; i++) {
      List<Instance> row = row(s, rows.get(i));
      control[i] = new double[row.size()][];
      for (int j = 0; j < control[i].length; j++) {
        double[] c = row.get(j).numbers("Coordinates");
        double w = weights.length == 0 ? 1 : weights[i][j];
        control[i][j] = new double[] {w * c[0], w * c[1], w * c[2], w};
      }
    }
    try {
      SplineSurface made =
          new SplineSurface(
              (int) s.number("UDegree"),
              (int) s.number("VDegree"),
              Spline.knots(s, "UMultiplicities", "UKnots"),
              Spline.knots(s, "VMultiplicities", "VKnots"),
              control);
      return new SplineFaces(made, closed(made, true), closed(made, false));
    } catch (IllegalArgumentException | IndexOutOfBoundsException e) {
      throw new Unread(s, "is no sound spline: " + e.getMessage());
    }
  }

  private static List<Instance> row(Instance s, Value of) {
    List<Instance> out = new ArrayList<>();
    if (of instanceof Value.Many(List<Value> points)) {
      for (Value p : points) {
        if (p instanceof Value.Ref(int id)) {
          out.add(s.model().find(id).orElseThrow(() -> new Unread(s, "misses a control point")));
        }
      }
    }
    return out;
  }

  /** The period if both borders are one line. */
  private static double closed(SplineSurface s, boolean alongU) {
    double size = 0;
    double apart = 0;
    for (int i = 0; i <= 4; i++) {
      double[] a, b, m;
      if (alongU) {
        double v = s.fromV() + (s.toV() - s.fromV()) * i / 4;
        a = s.at(s.fromU(), v);
        b = s.at(s.toU(), v);
        m = s.at((s.fromU() + s.toU()) / 2, v);
      } else {
        double u = s.fromU() + (s.toU() - s.fromU()) * i / 4;
        a = s.at(u, s.fromV());
        b = s.at(u, s.toV());
        m = s.at(u, (s.fromV() + s.toV()) / 2);
      }
      apart = Math.max(apart, Direction.distance(a, b));
      size = Math.max(size, Direction.distance(a, m));
    }
    return apart < 1e-6 * size ? alongU ? s.toU() - s.fromU() : s.toV() - s.fromV() : 0;
  }

  @Override
  public double[] at(double u, double v) {
    return surface.at(
        within(u, surface.fromU(), surface.toU(), periodU),
        within(v, surface.fromV(), surface.toV(), periodV));
  }

  private static double within(double t, double from, double to, double period) {
    return period > 0 && (t < from || t > to) ? t - period * Math.floor((t - from) / period) : t;
  }

  /** The nearest of a grid, then nearer by halved steps around it. */
  @Override
  public double[] parameters(double[] place) {
    double stepU = (surface.toU() - surface.fromU()) / GRID;
    double stepV = (surface.toV() - surface.fromV()) / GRID;
    List<double[]> starts = new ArrayList<>();
    double[] best = null;
    double least = Double.POSITIVE_INFINITY;
    for (int i = 0; i <= GRID; i++) {
      for (int j = 0; j <= GRID; j++) {
        double[] uv = {surface.fromU() + i * stepU, surface.fromV() + j * stepV};
        double d = Direction.distance(surface.at(uv[0], uv[1]), place);
        if (d < least) {
          least = d;
          best = uv;
          starts.add(uv);
        }
      }
    }
    double[] found = best;
    for (double[] start : starts.subList(Math.max(0, starts.size() - 3), starts.size())) {
      double[] here = newton(start, place);
      double d = Direction.distance(surface.at(here[0], here[1]), place);
      if (d < least) {
        least = d;
        found = here;
      }
    }
    return found;
  }

  /** Gauss and Newton: the step that would reach the foot on the tangent plane. */
  private double[] newton(double[] start, double[] place) {
    double[] uv = start.clone();
    double du = 1e-6 * (surface.toU() - surface.fromU());
    double dv = 1e-6 * (surface.toV() - surface.fromV());
    for (int i = 0; i < 40; i++) {
      double[] p = surface.at(uv[0], uv[1]);
      double[] su = slope(uv, du, 0);
      double[] sv = slope(uv, 0, dv);
      double[] r = {place[0] - p[0], place[1] - p[1], place[2] - p[2]};
      double a = Direction.dot(su, su), b = Direction.dot(su, sv), c = Direction.dot(sv, sv);
      double det = a * c - b * b;
      if (!(det > 1e-18 * a * c)) {
        return uv;
      }
      double x = (c * Direction.dot(su, r) - b * Direction.dot(sv, r)) / det;
      double y = (a * Direction.dot(sv, r) - b * Direction.dot(su, r)) / det;
      uv[0] = Math.clamp(uv[0] + x, surface.fromU(), surface.toU());
      uv[1] = Math.clamp(uv[1] + y, surface.fromV(), surface.toV());
      if (Math.abs(x) < du * 1e-6 && Math.abs(y) < dv * 1e-6) {
        return uv;
      }
    }
    return uv;
  }

  /** Derivative over a small way that stays within the surface. */
  private double[] slope(double[] uv, double du, double dv) {
    double u0 = Math.max(surface.fromU(), uv[0] - du), u1 = Math.min(surface.toU(), uv[0] + du);
    double v0 = Math.max(surface.fromV(), uv[1] - dv), v1 = Math.min(surface.toV(), uv[1] + dv);
    double[] a = surface.at(u0, v0);
    double[] b = surface.at(u1, v1);
    double way = du > 0 ? u1 - u0 : v1 - v0;
    return new double[] {(b[0] - a[0]) / way, (b[1] - a[1]) / way, (b[2] - a[2]) / way};
  }
}
