package wellspan.exchange.ifc.read;

import java.util.Optional;

/**
 * Surfaces of a profile that is drawn out or turned. The profile is followed by its chords: the
 * whole part of its parameter is a corner, the rest a share of the chord behind it.
 *
 * @param line corners of the profile in the surface's own place, in threes
 * @param axis direction of drawing out, or of the axis it turns about
 * @param centre of turning; null where it is drawn out
 */
record SweptSurface(Placement at, double[] line, double[] axis, double[] centre)
    implements CurvedSurface {
  static SweptSurface of(Instance s, CurveReader curves) {
    Instance profile = SolidReader.part(s, "SweptCurve");
    if (!profile.isA("IFCARBITRARYOPENPROFILEDEF")) {
      throw new Unread(s, "sweeps a " + profile.entity().name() + ", which is not read");
    }
    double[] line = curves.points(SolidReader.part(profile, "Curve"));
    Placement at = Placement.axis(s.ref("Position"));
    if (s.isA("IFCSURFACEOFLINEAREXTRUSION")) {
      return new SweptSurface(at, line, Placement.direction(s.ref("ExtrudedDirection"), s), null);
    }
    Instance axis = SolidReader.part(s, "AxisPosition");
    double[] up =
        axis.ref("Axis").isPresent()
            ? Placement.direction(axis.ref("Axis"), axis)
            : new double[] {0, 0, 1};
    return new SweptSurface(at, line, up, Placement.point(axis.ref("Location")));
  }

  private boolean turns() {
    return centre != null;
  }

  @Override
  public double[] at(double u, double v) {
    double[] p = onLine(turns() ? v : u);
    if (turns()) {
      p = turned(p, u);
    } else {
      for (int k = 0; k < 3; k++) {
        p[k] += v * axis[k];
      }
    }
    at.apply(p, 0, 3);
    return p;
  }

  private double[] onLine(double parameter) {
    int i = (int) Math.clamp(Math.floor(parameter), 0, line.length / 3.0 - 2);
    double[] p = new double[3];
    for (int k = 0; k < 3; k++) {
      p[k] = line[3 * i + k] + (parameter - i) * (line[3 * i + 3 + k] - line[3 * i + k]);
    }
    return p;
  }

  private double[] turned(double[] p, double by) {
    double[] v = {p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]};
    double along = Direction.dot(v, axis);
    double[] side = Direction.cross(axis, v);
    double[] out = new double[3];
    for (int k = 0; k < 3; k++) {
      double up = along * axis[k];
      out[k] = centre[k] + up + Math.cos(by) * (v[k] - up) + Math.sin(by) * side[k];
    }
    return out;
  }

  /** Distance from the axis, and along it. */
  private double[] fromAxis(double[] p) {
    double[] v = {p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]};
    double along = Direction.dot(v, axis);
    return new double[] {Math.sqrt(Math.max(0, Direction.dot(v, v) - along * along)), along};
  }

  @Override
  public double periodU() {
    if (turns()) {
      return 2 * Math.PI;
    }
    int n = line.length - 3;
    double gap =
        Math.hypot(Math.hypot(line[0] - line[n], line[1] - line[n + 1]), line[2] - line[n + 2]);
    return gap < 1e-9 * (1 + Math.abs(line[0]) + Math.abs(line[1])) ? n / 3.0 : 0;
  }

  @Override
  public double[] parameters(double[] place) {
    double[] p = at.local(place);
    return turns() ? turnedParameters(p) : drawnParameters(p);
  }

  /** The profile is sought in the half plane in which distance and way along the axis count. */
  private double[] turnedParameters(double[] p) {
    double[] wanted = fromAxis(p);
    double best = Double.POSITIVE_INFINITY;
    double v = 0;
    for (int i = 0; i + 1 < line.length / 3; i++) {
      double[] a = fromAxis(onLine(i));
      double[] b = fromAxis(onLine(i + 1));
      double dx = b[0] - a[0], dy = b[1] - a[1];
      double t = ((wanted[0] - a[0]) * dx + (wanted[1] - a[1]) * dy) / (dx * dx + dy * dy);
      t = Double.isFinite(t) ? Math.clamp(t, 0.0, 1.0) : 0;
      double off = Math.hypot(a[0] + t * dx - wanted[0], a[1] + t * dy - wanted[1]);
      if (off < best) {
        best = off;
        v = i + t;
      }
    }
    double size = Math.max(Math.abs(wanted[1]), fromAxis(onLine(0))[0]);
    if (wanted[0] < 1e-9 * Math.max(size, 1e-3)) {
      return new double[] {Double.NaN, v};
    }
    double[] q = onLine(v);
    double[] from = square(q);
    double[] to = square(p);
    double u = Math.atan2(Direction.dot(Direction.cross(from, to), axis), Direction.dot(from, to));
    return new double[] {u, v};
  }

  /** From the axis to a place, square to the axis. */
  private double[] square(double[] p) {
    double[] v = {p[0] - centre[0], p[1] - centre[1], p[2] - centre[2]};
    double along = Direction.dot(v, axis);
    return new double[] {v[0] - along * axis[0], v[1] - along * axis[1], v[2] - along * axis[2]};
  }

  /** The profile is sought as it is seen along the direction of drawing out. */
  private double[] drawnParameters(double[] p) {
    double best = Double.POSITIVE_INFINITY;
    double[] out = new double[2];
    for (int i = 0; i + 1 < line.length / 3; i++) {
      double[] a = onLine(i);
      double[] b = onLine(i + 1);
      double[] d = across(b, a);
      double[] w = across(p, a);
      double t = Direction.dot(w, d) / Direction.dot(d, d);
      t = Double.isFinite(t) ? Math.clamp(t, 0.0, 1.0) : 0;
      double[] rest = {w[0] - t * d[0], w[1] - t * d[1], w[2] - t * d[2]};
      double off = Direction.dot(rest, rest);
      if (off < best) {
        best = off;
        double[] q = onLine(i + t);
        out[0] = i + t;
        out[1] = Direction.dot(new double[] {p[0] - q[0], p[1] - q[1], p[2] - q[2]}, axis);
      }
    }
    return out;
  }

  private double[] across(double[] p, double[] from) {
    double[] v = {p[0] - from[0], p[1] - from[1], p[2] - from[2]};
    double along = Direction.dot(v, axis);
    return new double[] {v[0] - along * axis[0], v[1] - along * axis[1], v[2] - along * axis[2]};
  }

  @Override
  public Optional<Double> pole(boolean upper) {
    if (!turns()) {
      return Optional.empty();
    }
    double v = upper ? line.length / 3.0 - 1 : 0;
    double[] end = fromAxis(onLine(v));
    return end[0] < 1e-9 * Math.max(1e-3, Math.abs(end[1])) ? Optional.of(v) : Optional.empty();
  }
}
