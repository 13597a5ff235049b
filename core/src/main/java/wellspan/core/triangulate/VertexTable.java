package wellspan.core.triangulate;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Box;
import wellspan.core.geom.PlanVertices;
import wellspan.core.geom.Position;

/** Vertices at different places, with the levels that were met at each. */
final class VertexTable {
  private final PlanVertices vertices;
  private final Map<Integer, Met> met = new LinkedHashMap<>();
  private int duplicates;

  /** Levels met at one vertex. */
  private static final class Met {
    final double first;
    double sum;
    int count = 1;
    double lowest;
    double highest;

    Met(double level) {
      first = level;
      sum = level;
      lowest = level;
      highest = level;
    }

    void add(double z) {
      sum += z;
      count++;
      lowest = Math.min(lowest, z);
      highest = Math.max(highest, z);
    }
  }

  VertexTable(double tolerance, Box box, int expected) {
    vertices = new PlanVertices(tolerance, box, expected);
  }

  PlanVertices vertices() {
    return vertices;
  }

  int duplicates() {
    return duplicates;
  }

  /** The vertex at a place; where there is one already, its levels are to be settled. */
  int add(double x, double y, double z) {
    int before = vertices.size();
    int v = vertices.at(x, y, z);
    if (v < before) {
      met.computeIfAbsent(v, k -> new Met(vertices.level(k))).add(z);
      duplicates++;
    }
    return v;
  }

  /** Settles the levels of vertices met more than once and tells where they differed. */
  List<LevelConflict> settle(LevelRule rule, double levelTolerance) {
    List<LevelConflict> out = new ArrayList<>();
    met.forEach(
        (v, m) -> {
          double level = rule.level(m.first, m.sum, m.count, m.lowest, m.highest);
          vertices.setLevel(v, level);
          if (m.highest - m.lowest > levelTolerance) {
            out.add(
                new LevelConflict(
                    LevelConflict.Kind.DUPLICATE,
                    new Position(vertices.east(v), vertices.north(v), level),
                    m.lowest,
                    m.highest));
          }
        });
    return out;
  }
}
