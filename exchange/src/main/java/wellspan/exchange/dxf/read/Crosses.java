package wellspan.exchange.dxf.read;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Polyline;

/** Finds crosses: two lines of one length that halve each other at a right angle. */
final class Crosses {
  private static final double SLACK = 0.01;

  private Crosses() {}

  private record Arm(double x, double y, double z, double dx, double dy, double length) {}

  /**
   * @param lines of one layer
   * @param longest length of an arm that still counts, in the drawing's unit
   */
  static List<LayerShapes.Mark> in(List<Polyline> lines, double longest) {
    Map<Long, List<Arm>> byPlace = new HashMap<>();
    List<LayerShapes.Mark> out = new ArrayList<>();
    double cell = longest * SLACK;
    for (Polyline line : lines) {
      double[] p = line.xyz();
      double dx = p[3] - p[0];
      double dy = p[4] - p[1];
      double length = Math.hypot(dx, dy);
      if (p.length == 6 && length > 0 && length <= longest) {
        Arm arm = new Arm((p[0] + p[3]) / 2, (p[1] + p[4]) / 2, (p[2] + p[5]) / 2, dx, dy, length);
        Arm other = partner(arm, byPlace, cell);
        if (other == null) {
          byPlace.computeIfAbsent(key(arm.x, arm.y, cell, 0, 0), k -> new ArrayList<>()).add(arm);
        } else {
          double[] at = {(arm.x + other.x) / 2, (arm.y + other.y) / 2, (arm.z + other.z) / 2};
          out.add(new LayerShapes.Mark(at, length / 2, "", "cross"));
        }
      }
    }
    return out;
  }

  /** Takes the arm that makes a cross with this one out of those that wait for a partner. */
  private static Arm partner(Arm a, Map<Long, List<Arm>> byPlace, double cell) {
    for (int i = -1; i <= 1; i++) {
      for (int j = -1; j <= 1; j++) {
        List<Arm> near = byPlace.getOrDefault(key(a.x, a.y, cell, i, j), List.of());
        for (Arm b : near) {
          double slack = SLACK * a.length;
          boolean crossed =
              Math.abs(a.length - b.length) <= slack
                  && Math.hypot(a.x - b.x, a.y - b.y) <= slack
                  && Math.abs(a.dx * b.dx + a.dy * b.dy) <= slack * b.length;
          if (crossed) {
            near.remove(b);
            return b;
          }
        }
      }
    }
    return null;
  }

  private static long key(double x, double y, double cell, int i, int j) {
    return ((long) Math.floor(x / cell) + i) * 0x9E3779B97F4A7C15L
        + ((long) Math.floor(y / cell) + j);
  }
}
