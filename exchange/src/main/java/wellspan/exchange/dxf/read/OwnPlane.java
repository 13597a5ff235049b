package wellspan.exchange.dxf.read;

import wellspan.core.geom.Affine;

/**
 * The plane in which flat entities are drawn. Its axes follow from the direction it faces by the
 * format's rule: x is the cross product of the world's y axis and that direction if the direction
 * is within 1/64 of the world's z axis, otherwise of the world's z axis and it.
 */
final class OwnPlane {
  private static final double NEAR_VERTICAL = 1.0 / 64;

  private OwnPlane() {}

  static Affine facing(double[] direction) {
    double length = Math.sqrt(dot(direction, direction));
    if (!(length > 0) || direction[0] == 0 && direction[1] == 0 && direction[2] > 0) {
      return Affine.IDENTITY;
    }
    double[] z = {direction[0] / length, direction[1] / length, direction[2] / length};
    boolean near = Math.abs(z[0]) < NEAR_VERTICAL && Math.abs(z[1]) < NEAR_VERTICAL;
    double[] x = unit(near ? cross(new double[] {0, 1, 0}, z) : cross(new double[] {0, 0, 1}, z));
    return Affine.axes(x, unit(cross(z, x)), z);
  }

  static double[] cross(double[] a, double[] b) {
    return new double[] {
      a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]
    };
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  private static double[] unit(double[] v) {
    double length = Math.sqrt(dot(v, v));
    return new double[] {v[0] / length, v[1] / length, v[2] / length};
  }
}
