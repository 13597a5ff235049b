package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A rigid or scaled placement in space: rows of a 3 × 4 matrix.
 *
 * @param m row by row; the fourth column is the shift
 */
record Placement(double[] m) {
  static final Placement IDENTITY =
      new Placement(new double[] {1, 0, 0, 0, 0, 1, 0, 0, 0, 0, 1, 0});

  /** First the other, then this. */
  Placement after(Placement o) {
    double[] r = new double[12];
    for (int i = 0; i < 12; i += 4) {
      for (int j = 0; j < 4; j++) {
        r[i + j] =
            m[i] * o.m[j] + m[i + 1] * o.m[4 + j] + m[i + 2] * o.m[8 + j] + (j == 3 ? m[i + 3] : 0);
      }
    }
    return new Placement(r);
  }

  boolean isIdentity() {
    return java.util.Arrays.equals(m, IDENTITY.m);
  }

  /** Moves points given in threes, in place. */
  void apply(double[] xyz, int from, int to) {
    for (int i = from; i < to; i += 3) {
      double x = xyz[i], y = xyz[i + 1], z = xyz[i + 2];
      xyz[i] = m[0] * x + m[1] * y + m[2] * z + m[3];
      xyz[i + 1] = m[4] * x + m[5] * y + m[6] * z + m[7];
      xyz[i + 2] = m[8] * x + m[9] * y + m[10] * z + m[11];
    }
  }

  /** An IfcAxis2Placement2D or 3D. */
  static Placement axis(Optional<Instance> of) {
    if (of.isEmpty()) {
      return IDENTITY;
    }
    Instance p = of.get();
    double[] o = point(p.ref("Location"));
    double[] z = direction(p.ref("Axis"), new double[] {0, 0, 1});
    double[] x =
        direction(
            p.ref("RefDirection"),
            Math.abs(z[0]) > 1 - 1e-12 ? new double[] {0, 0, 1} : new double[] {1, 0, 0});
    return frame(o, x, z, 1, 1, 1);
  }

  private static Placement frame(
      double[] o, double[] xHint, double[] z, double sx, double sy, double sz) {
    double d = xHint[0] * z[0] + xHint[1] * z[1] + xHint[2] * z[2];
    double[] x = unit(new double[] {xHint[0] - d * z[0], xHint[1] - d * z[1], xHint[2] - d * z[2]});
    double[] y = {z[1] * x[2] - z[2] * x[1], z[2] * x[0] - z[0] * x[2], z[0] * x[1] - z[1] * x[0]};
    return new Placement(
        new double[] {
          x[0] * sx, y[0] * sy, z[0] * sz, o[0], x[1] * sx, y[1] * sy, z[1] * sz, o[1], x[2] * sx,
          y[2] * sy, z[2] * sz, o[2]
        });
  }

  /** An IfcCartesianTransformationOperator3D. */
  static Placement operator(Optional<Instance> of) {
    if (of.isEmpty()) {
      return IDENTITY;
    }
    Instance t = of.get();
    double s = t.number("Scale", 1);
    return frame(
        point(t.ref("LocalOrigin")),
        direction(t.ref("Axis1"), new double[] {1, 0, 0}),
        direction(t.ref("Axis3"), new double[] {0, 0, 1}),
        s,
        t.number("Scale2", s),
        t.number("Scale3", s));
  }

  /** An object placement with all it is relative to. */
  static Placement of(Optional<Instance> objectPlacement, Map<Integer, Placement> known) {
    return of(objectPlacement, known, new HashSet<>());
  }

  private static Placement of(
      Optional<Instance> objectPlacement, Map<Integer, Placement> known, Set<Integer> open) {
    if (objectPlacement.isEmpty()) {
      return IDENTITY;
    }
    Instance p = objectPlacement.get();
    Placement done = known.get(p.id());
    if (done != null) {
      return done;
    }
    if (!open.add(p.id())) {
      return IDENTITY;
    }
    Placement base = of(p.ref("PlacementRelTo"), known, open);
    Placement own =
        axis(p.isA("IFCLINEARPLACEMENT") ? p.ref("CartesianPosition") : p.ref("RelativePlacement"));
    Placement result = base.after(own);
    known.put(p.id(), result);
    return result;
  }

  static Map<Integer, Placement> memory() {
    return new HashMap<>();
  }

  static double[] point(Optional<Instance> p) {
    double[] c = p.map(i -> i.numbers("Coordinates")).orElse(new double[0]);
    return new double[] {c.length > 0 ? c[0] : 0, c.length > 1 ? c[1] : 0, c.length > 2 ? c[2] : 0};
  }

  private static double[] direction(Optional<Instance> d, double[] otherwise) {
    double[] c = d.map(i -> i.numbers("DirectionRatios")).orElse(new double[0]);
    return c.length < 2 ? otherwise : unit(new double[] {c[0], c[1], c.length > 2 ? c[2] : 0});
  }

  private static double[] unit(double[] v) {
    double l = Math.sqrt(v[0] * v[0] + v[1] * v[1] + v[2] * v[2]);
    return l > 0 ? new double[] {v[0] / l, v[1] / l, v[2] / l} : new double[] {1, 0, 0};
  }
}
