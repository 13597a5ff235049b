package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Position;
import wellspan.core.shape.NamedPoint;

/** The axes of a grid, which say where it lies whether or not lines are drawn for it. */
final class GridAxes {
  private GridAxes() {}

  private static List<Instance> of(Instance grid) {
    List<Instance> out = new ArrayList<>(grid.refs("UAxes"));
    out.addAll(grid.refs("VAxes"));
    out.addAll(grid.refs("WAxes"));
    return out;
  }

  static List<Instance> curves(Instance grid) {
    return of(grid).stream().flatMap(a -> a.ref("AxisCurve").stream()).toList();
  }

  /** The tags of its axes, each where its axis begins. */
  static List<NamedPoint> tags(Instance grid, LineReader lines) {
    List<NamedPoint> out = new ArrayList<>();
    for (Instance axis : of(grid)) {
      List<double[]> curve = lines.lines(grid, axis.ref("AxisCurve").stream().toList());
      if (!axis.text("AxisTag").isEmpty() && !curve.isEmpty()) {
        double[] p = curve.getFirst();
        boolean turned = axis.literal("SameSense").equals("F");
        int i = turned ? p.length - 3 : 0;
        out.add(
            new NamedPoint(
                axis.text("AxisTag"), new Position(p[i], p[i + 1], p[i + 2]), "grid axis"));
      }
    }
    return out;
  }
}
