package wellspan.core.place;

import java.util.Optional;
import wellspan.core.crs.Crs;
import wellspan.core.crs.Transformation;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/** One step from source to shared coordinates, metres on both sides. */
sealed interface PointMap {

  /** Points in threes, into a new array. */
  double[] apply(double[] xyz) throws Transformation.OutsideAreaException;

  default Position apply(Position p) throws Transformation.OutsideAreaException {
    double[] q = apply(new double[] {p.east(), p.north(), p.level()});
    return new Position(q[0], q[1], q[2]);
  }

  /** The similarity that it is; empty for all others. */
  default Optional<Similarity> similarity() {
    return Optional.empty();
  }

  /** Eastings and northings exchanged. */
  record Swap() implements PointMap {
    @Override
    public double[] apply(double[] xyz) {
      double[] out = xyz.clone();
      for (int i = 0; i + 2 < out.length; i += 3) {
        out[i] = xyz[i + 1];
        out[i + 1] = xyz[i];
      }
      return out;
    }
  }

  /** All coordinates times a factor. */
  record Unit(double factor) implements PointMap {
    @Override
    public double[] apply(double[] xyz) {
      double[] out = new double[xyz.length];
      for (int i = 0; i < out.length; i++) {
        out[i] = xyz[i] * factor;
      }
      return out;
    }
  }

  /** Eastings and northings times a factor; levels stay. */
  record PlanUnit(double factor) implements PointMap {
    @Override
    public double[] apply(double[] xyz) {
      double[] out = xyz.clone();
      for (int i = 0; i + 2 < out.length; i += 3) {
        out[i] *= factor;
        out[i + 1] *= factor;
      }
      return out;
    }
  }

  record Turned(Similarity how) implements PointMap {
    @Override
    public Optional<Similarity> similarity() {
      return Optional.of(how);
    }

    @Override
    public double[] apply(double[] xyz) {
      return how.apply(xyz);
    }
  }

  /** From one reference system to another; levels stay. */
  record Reprojected(Crs from, Crs to) implements PointMap {
    @Override
    public double[] apply(double[] xyz) throws Transformation.OutsideAreaException {
      Transformation t = new Transformation(from, to);
      double in = from.projected() ? from.metresPerUnit() : 1;
      double out = to.projected() ? to.metresPerUnit() : 1;
      double[] q = new double[xyz.length];
      double[] xy = new double[2];
      for (int i = 0; i + 2 < xyz.length; i += 3) {
        xy[0] = xyz[i] / in;
        xy[1] = xyz[i + 1] / in;
        t.apply(xy, 0);
        q[i] = xy[0] * out;
        q[i + 1] = xy[1] * out;
        q[i + 2] = xyz[i + 2];
      }
      return q;
    }
  }
}
