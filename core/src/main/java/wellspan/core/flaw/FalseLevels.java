package wellspan.core.flaw;

import java.util.ArrayList;
import java.util.DoubleSummaryStatistics;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import wellspan.core.geom.Mesh;
import wellspan.core.progress.Progress;

/**
 * Points whose level is a fixed stand-in for "not measured": the same value again and again, far
 * from what lies around each of them. Values that programs like to write count even if they occur
 * once.
 *
 * @param points numbers of the points, ascending
 * @param values how many points have each value, metres
 */
public record FalseLevels(List<Integer> points, Map<Double, Integer> values) {
  /** Levels closer than this are one value, metres. */
  static final double SAME = 5e-4;

  private static final Set<Long> USUAL =
      Set.of(0L, -99L, -999L, -9999L, -99999L, 999L, 9999L, 99999L, -32768L, 32767L);

  /** Levels nearer than this to their surroundings are never called false, metres. */
  private static final double LEAST = 1;

  /** So many of its neighbours a point of a platform has on its own level. */
  private static final int SIDE_BY_SIDE = 2;

  /** A level that so large a share of the points has is looked at beside the others alone. */
  private static final double WIDE = 1.0 / 64;

  /** Side slopes of earthworks are not steeper than this ratio. */
  private static final double STEEPEST = 1;

  /**
   * @param xyz points in threes
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static FalseLevels find(double[] xyz, Progress progress) {
    return find(xyz, Optional.empty(), progress);
  }

  /**
   * Of the vertices of a surface, which must stand out from those that its edges join them with.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static FalseLevels find(Mesh surface, Progress progress) {
    return find(surface.xyz(), Optional.of(VertexRings.of(surface)), progress);
  }

  private static FalseLevels find(double[] xyz, Optional<VertexRings> rings, Progress progress) {
    int n = xyz.length / 3;
    Map<Long, List<Integer>> byValue = new HashMap<>();
    for (int i = 0; i < n; i++) {
      double z = xyz[3 * i + 2];
      if (Double.isFinite(z)) {
        byValue.computeIfAbsent(Math.round(z * 1000), k -> new ArrayList<>(1)).add(i);
      }
    }
    Neighbours near = new Neighbours(xyz, new boolean[n]);
    List<Integer> points = new ArrayList<>();
    Map<Double, Integer> values = new TreeMap<>();
    int asked = 0;
    for (Map.Entry<Long, List<Integer>> e : byValue.entrySet()) {
      boolean usual = isUsual(e.getKey());
      progress.advance((double) asked / n, "Looking for levels that are none");
      asked += e.getValue().size();
      if (!usual && e.getValue().size() < 2) {
        continue;
      }
      Neighbours beside =
          e.getValue().size() > WIDE * n ? besideLevel(xyz, near, e.getValue()) : near;
      List<Integer> off =
          e.getValue().stream()
              .filter(i -> standsOut(xyz, rings, i) && isOff(xyz, beside, i, usual))
              .toList();
      if (isLevelGround(xyz, near, beside, off)) {
        continue;
      }
      // a level that is right where most points have it is a level, whoever else shares it
      if (off.size() * 2 > e.getValue().size() && areApart(xyz, off) || usual && !off.isEmpty()) {
        points.addAll(off);
        values.put(e.getKey() / 1000.0, off.size());
      }
    }
    points.sort(null);
    return new FalseLevels(List.copyOf(points), values);
  }

  /** Points that tell nothing to any of some others, having their level, left out. */
  private static Neighbours besideLevel(double[] xyz, Neighbours near, List<Integer> points) {
    DoubleSummaryStatistics levels =
        points.stream().mapToDouble(i -> xyz[3 * i + 2]).summaryStatistics();
    double from = levels.getMax() - SAME, to = levels.getMin() + SAME;
    return near.among(o -> !(xyz[3 * o + 2] >= from && xyz[3 * o + 2] <= to));
  }

  /**
   * Whether points are a platform rather than stand-ins: most lie side by side, and slopes that can
   * be walked lead to the ground around them, where a stand-in drops off like a wall.
   */
  private static boolean isLevelGround(
      double[] xyz, Neighbours near, Neighbours beside, List<Integer> points) {
    int such = 0;
    for (int p : points) {
      double z = xyz[3 * p + 2];
      int same = 0;
      for (int o : near.of(p)) {
        same += Math.abs(xyz[3 * o + 2] - z) <= SAME ? 1 : 0;
      }
      if (same >= SIDE_BY_SIDE && fall(xyz, beside.otherLevels(p), p) <= STEEPEST) {
        such++;
      }
    }
    return 2 * such > points.size();
  }

  /** Fall from a point to the nearest of others, as a ratio. */
  private static double fall(double[] xyz, int[] others, int point) {
    double nearest = Double.POSITIVE_INFINITY;
    double fall = Double.POSITIVE_INFINITY;
    for (int o : others) {
      double away = Math.hypot(xyz[3 * o] - xyz[3 * point], xyz[3 * o + 1] - xyz[3 * point + 1]);
      if (away < nearest) {
        nearest = away;
        fall = Math.abs(xyz[3 * o + 2] - xyz[3 * point + 2]) / away;
      }
    }
    return fall;
  }

  /** Whether points lie at two places or more; a point measured twice is no pattern. */
  private static boolean areApart(double[] xyz, List<Integer> points) {
    return points.stream()
        .anyMatch(
            i ->
                Math.hypot(
                        xyz[3 * i] - xyz[3 * points.getFirst()],
                        xyz[3 * i + 1] - xyz[3 * points.getFirst() + 1])
                    > 0.001);
  }

  private static boolean standsOut(double[] xyz, Optional<VertexRings> rings, int point) {
    return rings.isEmpty()
        || rings.get().standsOut(point, LEAST, o -> isOther(xyz[3 * o + 2], xyz[3 * point + 2]));
  }

  /** Whether a level says something about another one: it is not the same, and none by itself. */
  static boolean isOther(double level, double than) {
    return Math.abs(level - than) > SAME && !isUsual(level);
  }

  /** Whether programs write this level where they have none. */
  static boolean isUsual(double level) {
    return isUsual(Math.round(level * 1000));
  }

  private static boolean isUsual(long millimetres) {
    return millimetres % 1000 == 0 && USUAL.contains(millimetres / 1000);
  }

  /**
   * Whether a point lies far from what is around it. A level that programs write where they have
   * none is off already where it lies clearly beside its neighbours, on steep ground too; any other
   * must lie far from the middle of them.
   */
  private static boolean isOff(double[] xyz, Neighbours near, int point, boolean usual) {
    double[] around = near.levels(near.otherLevels(point));
    int n = around.length;
    if (n < 3) {
      return false;
    }
    double z = xyz[3 * point + 2];
    // the middle half: a neighbour that is false itself must not widen what is usual here
    double spread = around[n * 3 / 4] - around[n / 4];
    if (usual) {
      double beside = Math.max(around[1] - z, z - around[n - 2]);
      return beside > Math.max(LEAST, spread / 2);
    }
    return Math.abs(z - Neighbours.median(around)) > Math.max(LEAST, 5 * spread);
  }
}
