package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Reads profile outlines as loops of x y pairs, the outer one first. */
final class ProfileReader {
  private static final int CIRCLE_CORNERS = 64;

  private ProfileReader() {}

  /** Empty if the profile or one of its curves is of a kind that is not read. */
  static Optional<List<double[]>> loops(Instance profile) {
    return switch (profile.entity().name()) {
      case "IfcArbitraryClosedProfileDef", "IfcArbitraryProfileDefWithVoids" -> arbitrary(profile);
      case "IfcRectangleProfileDef" -> {
        double x = profile.number("XDim") / 2;
        double y = profile.number("YDim") / 2;
        yield Optional.of(List.of(placed(profile, new double[] {-x, -y, x, -y, x, y, -x, y})));
      }
      case "IfcCircleProfileDef" -> {
        double[] xy = new double[2 * CIRCLE_CORNERS];
        for (int i = 0; i < CIRCLE_CORNERS; i++) {
          double a = 2 * Math.PI * i / CIRCLE_CORNERS;
          xy[2 * i] = profile.number("Radius") * Math.cos(a);
          xy[2 * i + 1] = profile.number("Radius") * Math.sin(a);
        }
        yield Optional.of(List.of(placed(profile, xy)));
      }
      default -> Optional.empty();
    };
  }

  private static Optional<List<double[]>> arbitrary(Instance profile) {
    List<double[]> out = new ArrayList<>();
    List<Instance> curves = new ArrayList<>(profile.ref("OuterCurve").stream().toList());
    curves.addAll(profile.refs("InnerCurves"));
    for (Instance c : curves) {
      Optional<double[]> loop = closed(c);
      if (loop.isEmpty()) {
        return Optional.empty();
      }
      out.add(loop.get());
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(out);
  }

  private static Optional<double[]> closed(Instance curve) {
    List<double[]> points = new ArrayList<>();
    if (curve.isA("IFCPOLYLINE")) {
      curve.refs("Points").forEach(p -> points.add(Placement.point(Optional.of(p))));
    } else if (curve.isA("IFCINDEXEDPOLYCURVE")
        && curve.get("Segments") instanceof Value.Unset
        && curve.ref("Points").map(p -> p.get("CoordList")).orElse(Value.UNSET)
            instanceof Value.Table(double[] v, int columns)) {
      for (int i = 0; i < v.length; i += columns) {
        points.add(new double[] {v[i], v[i + 1]});
      }
    } else {
      return Optional.empty();
    }
    if (points.size() > 1
        && Math.hypot(
                points.getFirst()[0] - points.getLast()[0],
                points.getFirst()[1] - points.getLast()[1])
            < 1e-9) {
      points.removeLast();
    }
    if (points.size() < 3) {
      return Optional.empty();
    }
    double[] xy = new double[2 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      xy[2 * i] = points.get(i)[0];
      xy[2 * i + 1] = points.get(i)[1];
    }
    return Optional.of(xy);
  }

  private static double[] placed(Instance profile, double[] xy) {
    Placement p = Placement.axis(profile.ref("Position"));
    double[] out = new double[xy.length];
    for (int i = 0; i < xy.length; i += 2) {
      double[] q = {xy[i], xy[i + 1], 0};
      p.apply(q, 0, 3);
      out[i] = q[0];
      out[i + 1] = q[1];
    }
    return out;
  }

  /** The loop turned counter-clockwise, or clockwise. */
  static double[] turned(double[] xy, boolean counterClockwise) {
    double twice = 0;
    int n = xy.length;
    for (int i = 0; i < n; i += 2) {
      twice += xy[i] * xy[(i + 3) % n] - xy[i + 1] * xy[(i + 2) % n];
    }
    if (twice > 0 == counterClockwise) {
      return xy;
    }
    double[] out = new double[n];
    for (int i = 0; i < n; i += 2) {
      out[i] = xy[n - 2 - i];
      out[i + 1] = xy[n - 1 - i];
    }
    return out;
  }
}
