package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/** A line on which places are told by their distance from its start. */
abstract sealed class LineByDistance permits ChordLine, LaidLine {

  /**
   * The curve of an alignment as it is defined, any other curve by its chords.
   *
   * @throws Unread if it cannot be read
   */
  static LineByDistance of(Instance curve, CurveReader reader) {
    return LaidLine.read(curve, reader)
        .map(l -> (LineByDistance) l)
        .orElseGet(() -> new ChordLine(reader.points(curve), curve.isA("IFCGRADIENTCURVE")));
  }

  abstract double length();

  /**
   * Where a section that is carried from one distance to another has to stand between them, rising.
   *
   * @param reach how far it reaches to a side, in the file's unit
   */
  abstract Set<Double> corners(double from, double to, double reach);

  /** Where a distance lies, and how the line runs there. */
  record Stand(double[] point, double heading, double mitre, double slope) {}

  abstract Stand at(double distance);

  /** A section at a distance along the line, moved to the left and up. */
  List<double[]> stand(List<double[]> loops, double[] at) {
    Stand s = at(at[0]);
    double lx = -Math.sin(s.heading());
    double ly = Math.cos(s.heading());
    List<double[]> out = new ArrayList<>();
    for (double[] xy : loops) {
      double[] q = new double[xy.length / 2 * 3];
      for (int k = 0; k < xy.length / 2; k++) {
        double left = (xy[2 * k] + at[1]) * s.mitre();
        q[3 * k] = s.point()[0] + left * lx;
        q[3 * k + 1] = s.point()[1] + left * ly;
        q[3 * k + 2] = s.point()[2] + xy[2 * k + 1] + at[2];
      }
      out.add(q);
    }
    return out;
  }

  /**
   * A thing that stands at a distance, its x axis along the line.
   *
   * @param offset to the left, up, and on along the line
   * @param upright whether its z axis points up; else it is square to the line
   */
  Placement placement(double distance, double[] offset, boolean upright) {
    Stand s = at(distance);
    double c = Math.cos(s.heading());
    double d = Math.sin(s.heading());
    double rise = upright ? 0 : Math.atan(s.slope());
    double[] x = {c * Math.cos(rise), d * Math.cos(rise), Math.sin(rise)};
    double[] y = {-d, c, 0};
    double[] z = {-c * Math.sin(rise), -d * Math.sin(rise), Math.cos(rise)};
    double[] o = new double[3];
    for (int k = 0; k < 3; k++) {
      o[k] = s.point()[k] + offset[0] * y[k] + offset[1] * z[k] + offset[2] * x[k];
    }
    return new Placement(
        new double[] {x[0], y[0], z[0], o[0], x[1], y[1], z[1], o[1], x[2], y[2], z[2], o[2]});
  }
}
