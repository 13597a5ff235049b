package wellspan.core.earthwork;

import java.util.ArrayList;
import java.util.List;

/**
 * How a side of a road runs out on the ground.
 *
 * @param cut metres out for each metre up where the ground lies higher
 * @param fill metres out for each metre down where it lies lower
 * @param ditchDepth below the edge of the formation, where it is cut; 0 for no ditch
 * @param ditchWidth of the ditch's bottom, metres
 * @param bermEvery height between berms, metres; 0 for none
 * @param bermWidth metres
 */
public record SideSlope(
    double cut,
    double fill,
    double ditchDepth,
    double ditchWidth,
    double bermEvery,
    double bermWidth) {
  /** Furthest that a slope is followed, metres. */
  static final double FURTHEST = 150;

  private static final int MOST_BERMS = 8;

  /** A steeper slope is a wall, metres out for each metre. */
  private static final double UPRIGHT = 1e-6;

  /** Number of points of every side: equal ones stand in one place. */
  static final int POINTS = 3 + 2 * MOST_BERMS + 1;

  /**
   * The side as distances out and levels, from the edge to where it meets the ground.
   *
   * @param points distance out and level, as many as {@link #POINTS}, behind the edge
   * @param open whether the ground was not met; it ends at the end of the ground then
   */
  record Side(List<double[]> points, boolean open) {}

  /**
   * @param edge level of the edge of the formation
   * @param ground from the edge outwards
   */
  Side from(double edge, GroundLine ground) {
    double g = ground.levelAt(0);
    if (!Double.isFinite(g)) {
      return side(List.of(), new double[] {0, edge}, true);
    }
    boolean isCut = g > edge;
    List<double[]> bends = new ArrayList<>();
    double at = 0;
    double level = edge;
    if (isCut && ditchDepth > 0) {
      bends.add(new double[] {at += cut * ditchDepth, level -= ditchDepth});
      bends.add(new double[] {at += ditchWidth, level});
    }
    double rise = isCut ? 1 : -1;
    double run = isCut ? cut : fill;
    double[] last = {0, edge};
    for (double[] b : bends) {
      double met = meets(last, b, ground, isCut);
      if (Double.isFinite(met)) {
        return side(bends.subList(0, bends.indexOf(b)), on(last, b, met), false);
      }
      last = b;
    }
    int berms = 0;
    if (run < UPRIGHT) {
      double h = ground.levelAt(at);
      double[] wall = {at, Double.isFinite(h) ? h : level};
      return side(bends, wall, !Double.isFinite(h));
    }
    while (at < FURTHEST) {
      boolean next = bermEvery > 0 && berms < MOST_BERMS;
      double step = next ? bermEvery : Math.max(1, (FURTHEST - at) / Math.max(run, 0.01));
      double[] up = {at + run * step, level + rise * step};
      double met = meets(last, up, ground, isCut);
      if (Double.isFinite(met)) {
        return side(bends, on(last, up, met), false);
      }
      if (!next) {
        break;
      }
      double[] flat = {up[0] + bermWidth, up[1]};
      met = meets(up, flat, ground, isCut);
      bends.add(up);
      if (Double.isFinite(met)) {
        return side(bends, on(up, flat, met), false);
      }
      bends.add(flat);
      last = flat;
      at = flat[0];
      level = flat[1];
      berms++;
    }
    return side(bends, last, true);
  }

  private static double[] on(double[] a, double[] b, double s) {
    double u = b[0] > a[0] ? (s - a[0]) / (b[0] - a[0]) : 0;
    return new double[] {s, a[1] + u * (b[1] - a[1])};
  }

  /** First distance at which a straight piece goes through the ground; NaN if it does not. */
  private static double meets(double[] a, double[] b, GroundLine ground, boolean isCut) {
    double sign = isCut ? 1 : -1;
    double[] s = ground.at();
    for (int i = 0; i + 1 < s.length; i++) {
      double from = Math.max(a[0], s[i]);
      double to = Math.min(b[0], s[i + 1]);
      if (!(to > from) || !Double.isFinite(ground.level()[i])) {
        continue;
      }
      double below0 = sign * (ground.levelAt(from + 1e-12) - on(a, b, from)[1]);
      double below1 = sign * (level(ground, i, to) - on(a, b, to)[1]);
      if (below1 <= 0) {
        return below0 <= 0 ? from : from + (to - from) * below0 / (below0 - below1);
      }
    }
    return Double.NaN;
  }

  private static double level(GroundLine g, int i, double s) {
    double u = (s - g.at()[i]) / (g.at()[i + 1] - g.at()[i]);
    return g.level()[i] + u * (g.level()[i + 1] - g.level()[i]);
  }

  /** Always as many points: those that are not needed stand at the end. */
  private static Side side(List<double[]> bends, double[] end, boolean open) {
    List<double[]> out = new ArrayList<>(bends);
    while (out.size() < POINTS) {
      out.add(end);
    }
    return new Side(out, open);
  }
}
