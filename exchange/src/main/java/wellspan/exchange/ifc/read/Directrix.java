package wellspan.exchange.ifc.read;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The curve that a section is carried along, between two parameters. A polyline has its point i at
 * the parameter i; others are taken whole, and their parameters must say so.
 */
final class Directrix {
  private static final double SAME = 1e-6;

  private final CurveReader curves;

  Directrix(CurveReader curves) {
    this.curves = curves;
  }

  /**
   * Points of the curve of a solid that may state a start and an end.
   *
   * @throws Unread if they cut a curve of another kind
   */
  double[] of(Instance solid, Instance curve) {
    double[] line = curves.points(curve);
    boolean from = !(solid.get("StartParam") instanceof Value.Unset);
    boolean to = !(solid.get("EndParam") instanceof Value.Unset);
    if (!from && !to) {
      return line;
    }
    if (isLength(solid.get("StartParam")) || isLength(solid.get("EndParam"))) {
      double whole = length(line);
      double begins = lengthOr(solid, "StartParam", 0);
      double ends = lengthOr(solid, "EndParam", whole);
      if (!(begins >= -SAME && begins < ends && ends <= whole * (1 + SAME))) {
        throw new Unread(
            solid, "is trimmed from " + begins + " to " + ends + " of a curve as long as " + whole);
      }
      return between(line, parameter(line, begins), parameter(line, ends));
    }
    double all = range(curve);
    double start = from ? solid.number("StartParam", 0) : 0;
    double end = to ? solid.number("EndParam", all) : all;
    if (Math.abs(start) <= SAME && Math.abs(end - all) <= SAME * Math.max(1, all)) {
      return line;
    }
    if (!curve.isA("IFCPOLYLINE") || !(start >= 0 && start < end && end <= all + SAME)) {
      throw new Unread(
          solid,
          "is trimmed from parameter "
              + start
              + " to "
              + end
              + " of a curve that ends at "
              + all
              + ", which is not read");
    }
    return between(line, start, Math.min(end, all));
  }

  private static boolean isLength(Value v) {
    return v instanceof Value.Typed(String type, Value _)
        && type.toUpperCase(Locale.ROOT).contains("LENGTH");
  }

  private static double lengthOr(Instance solid, String which, double otherwise) {
    Value v = solid.get(which);
    if (!(v instanceof Value.Unset) && !isLength(v)) {
      throw new Unread(solid, "is trimmed by a length and by a parameter, which is not read");
    }
    return solid.number(which, otherwise);
  }

  private static double length(double[] line) {
    double sum = 0;
    for (int i = 3; i < line.length; i += 3) {
      sum += piece(line, i);
    }
    return sum;
  }

  /** Length of the piece that ends at a point. */
  private static double piece(double[] line, int i) {
    double dx = line[i] - line[i - 3],
        dy = line[i + 1] - line[i - 2],
        dz = line[i + 2] - line[i - 1];
    return Math.sqrt(dx * dx + dy * dy + dz * dz);
  }

  /** Number of the point, with its share of the piece behind it, at a length along a line. */
  private static double parameter(double[] line, double length) {
    double left = Math.max(0, length);
    int i = 3;
    while (i < line.length - 3 && left > piece(line, i)) {
      left -= piece(line, i);
      i += 3;
    }
    double last = piece(line, i);
    return i / 3.0 - 1 + (last > 0 ? Math.min(1, left / last) : 0);
  }

  private static double[] between(double[] line, double start, double end) {
    int first = (int) Math.floor(start) + 1; // the first point behind the start
    int last = (int) Math.ceil(end) - 1;
    double[] out = new double[3 * (Math.max(0, last - first + 1) + 2)];
    System.arraycopy(at(line, start), 0, out, 0, 3);
    int n = 3;
    for (int i = first; i <= last; i++) {
      System.arraycopy(line, 3 * i, out, n, 3);
      n += 3;
    }
    System.arraycopy(at(line, end), 0, out, n, 3);
    return Arrays.copyOf(out, n + 3);
  }

  private static double[] at(double[] line, double parameter) {
    int i = (int) Math.min(Math.floor(parameter), line.length / 3.0 - 2);
    double t = parameter - i;
    double[] p = new double[3];
    for (int k = 0; k < 3; k++) {
      p[k] = line[3 * i + k] * (1 - t) + line[3 * i + 3 + k] * t;
    }
    return p;
  }

  /** The parameter at the end of a curve that begins at 0; NaN where it is not known. */
  private static double range(Instance curve) {
    return switch (curve.entity().name()) {
      case "IfcPolyline" -> curve.refs("Points").size() - 1.0;
      case "IfcIndexedPolyCurve" ->
          curve.get("Segments") instanceof Value.Many(List<Value> s) ? s.size() : Double.NaN;
      case "IfcTrimmedCurve" -> Math.abs(trim(curve, "Trim2") - trim(curve, "Trim1"));
      case "IfcCompositeCurve" ->
          curve.refs("Segments").stream()
              .mapToDouble(s -> s.ref("ParentCurve").map(Directrix::range).orElse(Double.NaN))
              .sum();
      default -> Double.NaN;
    };
  }

  private static double trim(Instance curve, String which) {
    if (curve.get(which) instanceof Value.Many(List<Value> some)) {
      for (Value v : some) {
        if (!(v instanceof Value.Ref)) {
          return Instance.number(v);
        }
      }
    }
    return Double.NaN;
  }
}
