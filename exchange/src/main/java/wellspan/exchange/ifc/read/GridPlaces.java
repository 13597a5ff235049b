package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where two axes of a grid cross, with offsets from them: places in the axes of the grid. Axes are
 * straight, as those of nearly all grids are.
 */
final class GridPlaces {
  /** Axes that meet at a smaller angle (its sine) cross nowhere that could be relied on. */
  private static final double PARALLEL = 1e-6;

  private static final double STRAIGHT = 1e-9;

  private final CurveReader curves;
  private final Map<Integer, Instance> gridOf = new HashMap<>();

  GridPlaces(IfcModel model, CurveReader curves) {
    this.curves = curves;
    for (Instance grid : model.all("IFCGRID")) {
      for (String axes : List.of("UAxes", "VAxes", "WAxes")) {
        grid.refs(axes).forEach(a -> gridOf.putIfAbsent(a.id(), grid));
      }
    }
  }

  /** The grid that a placement refers to. */
  Instance grid(Instance placement) {
    return crossing(placement).refs("IntersectingAxes").stream()
        .flatMap(a -> Optional.ofNullable(gridOf.get(a.id())).stream())
        .findFirst()
        .orElseThrow(() -> new Unread(placement, "names axes of no grid"));
  }

  /**
   * The place in the axes of the grid; x goes along the first axis unless another direction is
   * given.
   *
   * @throws Unread if it cannot be told
   */
  Placement of(Instance placement) {
    Instance crossing = crossing(placement);
    double[] at = point(crossing);
    double[] x = axis(crossing, 0);
    double[] towards = {x[2], x[3], 0};
    Optional<Instance> given = placement.ref("PlacementRefDirection");
    if (given.isPresent()) {
      towards =
          given.get().isA("IFCDIRECTION")
              ? Placement.direction(given, placement)
              : minus(point(given.get()), at);
    }
    double l = Math.hypot(towards[0], towards[1]);
    if (!(l > 0)) {
      throw new Unread(placement, "has a direction that points nowhere");
    }
    double c = towards[0] / l;
    double s = towards[1] / l;
    return new Placement(new double[] {c, -s, 0, at[0], s, c, 0, at[1], 0, 0, 1, at[2]});
  }

  private static Instance crossing(Instance placement) {
    return placement
        .ref("PlacementLocation")
        .orElseThrow(() -> new Unread(placement, "has no PlacementLocation"));
  }

  private double[] point(Instance crossing) {
    double[] offsets = crossing.numbers("OffsetDistances");
    double[] a = axis(crossing, 0);
    double[] b = axis(crossing, 1);
    double turn = a[2] * b[3] - a[3] * b[2];
    if (Math.abs(turn) < PARALLEL) {
      throw new Unread(crossing, "names axes that do not cross");
    }
    shift(a, offsets, 0);
    shift(b, offsets, 1);
    double t = ((b[0] - a[0]) * b[3] - (b[1] - a[1]) * b[2]) / turn;
    return new double[] {a[0] + t * a[2], a[1] + t * a[3], offsets.length > 2 ? offsets[2] : 0};
  }

  /** Moves an axis to its left. */
  private static void shift(double[] axis, double[] offsets, int which) {
    double by = which < offsets.length ? offsets[which] : 0;
    axis[0] -= by * axis[3];
    axis[1] += by * axis[2];
  }

  /** A point of an axis and its direction. */
  private double[] axis(Instance crossing, int which) {
    List<Instance> axes = crossing.refs("IntersectingAxes");
    if (axes.size() <= which) {
      throw new Unread(crossing, "names fewer than two axes");
    }
    Instance axis = axes.get(which);
    Instance curve = axis.ref("AxisCurve").orElseThrow(() -> new Unread(axis, "has no AxisCurve"));
    double[] p = curves.points(curve);
    int n = p.length - 3;
    double dx = p[n] - p[0];
    double dy = p[n + 1] - p[1];
    double l = Math.hypot(dx, dy);
    for (int i = 3; i < n; i += 3) {
      double off = (p[i] - p[0]) * dy - (p[i + 1] - p[1]) * dx;
      if (Math.abs(off) > STRAIGHT * l * l) {
        throw new Unread(axis, "is a curved axis, whose crossings are not read");
      }
    }
    if (!(l > 0)) {
      throw new Unread(axis, "is an axis without length");
    }
    double way = axis.literal("SameSense").equals("F") ? -1 : 1;
    return new double[] {p[0], p[1], way * dx / l, way * dy / l};
  }

  private static double[] minus(double[] a, double[] b) {
    return new double[] {a[0] - b[0], a[1] - b[1], a[2] - b[2]};
  }
}
