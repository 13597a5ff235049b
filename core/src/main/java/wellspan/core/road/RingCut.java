package wellspan.core.road;

/** Cuts outlines at offsets and keeps the number of their points. */
final class RingCut {
  private RingCut() {}

  /** The part of an outline between two offsets; points beyond move to where it crosses them. */
  static SectionRing between(SectionRing r, double left, double right) {
    return beyond(beyond(r, right, 1), left, -1);
  }

  private static SectionRing beyond(SectionRing r, double limit, int side) {
    int n = r.size();
    boolean any = false;
    boolean all = true;
    for (double o : r.offset()) {
      boolean out = side * (o - limit) > 0;
      any |= out;
      all &= out;
    }
    if (!any) {
      return r;
    }
    double[] offset = r.offset().clone();
    double[] level = r.level().clone();
    for (int i = 0; i < n; i++) {
      if (side * (r.offset()[i] - limit) <= 0) {
        continue;
      }
      offset[i] = limit;
      if (!all) {
        level[i] = crossing(r, i, limit, side);
      }
    }
    return new SectionRing(r.distance(), r.skew(), offset, level, r.code(), r.closed());
  }

  /** Level at which the outline, followed to the nearer side from a point, comes back within. */
  private static double crossing(SectionRing r, int from, double limit, int side) {
    int n = r.size();
    for (int step = 1; step < n; step++) {
      for (int way : new int[] {-1, 1}) {
        int i = from + way * step;
        if (!r.closed() && (i < 0 || i >= n)) {
          continue;
        }
        int in = Math.floorMod(i, n);
        int out = Math.floorMod(i - way, n);
        if (side * (r.offset()[in] - limit) <= 0) {
          double t = (limit - r.offset()[out]) / (r.offset()[in] - r.offset()[out]);
          return r.level()[out] + t * (r.level()[in] - r.level()[out]);
        }
      }
    }
    return r.level()[from];
  }
}
