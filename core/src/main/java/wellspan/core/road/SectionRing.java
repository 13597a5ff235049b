package wellspan.core.road;

import java.util.Arrays;
import java.util.List;
import wellspan.core.geom.Similarity;

/**
 * The outline of a part in one section, or a line across it.
 *
 * @param distance of the section from the alignment's start, metres
 * @param skew of the section, clockwise, radians
 * @param offset of each point, positive to the right, metres
 * @param level of each point, metres
 * @param code of each point, empty where none is given
 * @param closed whether the last point joins the first
 */
record SectionRing(
    double distance,
    double skew,
    double[] offset,
    double[] level,
    List<String> code,
    boolean closed) {
  /** An area below this is none, square metres. */
  static final double NO_AREA = 1e-9;

  int size() {
    return offset.length;
  }

  /** Area enclosed, positive where the outline runs counter-clockwise seen along the alignment. */
  double area() {
    double sum = 0;
    for (int i = 0; i < size(); i++) {
      int j = (i + 1) % size();
      sum += offset[i] * (level[j] - level[0]) - offset[j] * (level[i] - level[0]);
    }
    return sum / 2;
  }

  /** ∫∫ offset dA, cubic metres; the sign goes with the outline's turn. */
  double moment() {
    double sum = 0;
    for (int i = 0; i < size(); i++) {
      int j = (i + 1) % size();
      sum +=
          (offset[i] + offset[j])
              * (offset[i] * (level[j] - level[0]) - offset[j] * (level[i] - level[0]));
    }
    return sum / 6;
  }

  boolean isFlat() {
    return closed && Math.abs(area()) < NO_AREA;
  }

  /** Whether places on its edges are just its own points in their order. */
  boolean isAll(double[] places) {
    for (int k = 0; k < places.length; k++) {
      if (places[k] != k) {
        return false;
      }
    }
    return places.length == size();
  }

  /** The same outline with other points on its edges: whole numbers are its own points. */
  SectionRing at(double[] places) {
    double[] o = new double[places.length];
    double[] z = new double[places.length];
    String[] c = new String[places.length];
    for (int k = 0; k < places.length; k++) {
      int i = (int) Math.floor(places[k]);
      double t = places[k] - i;
      int a = i % size();
      int b = t == 0 ? a : (i + 1) % size();
      o[k] = offset[a] + t * (offset[b] - offset[a]);
      z[k] = level[a] + t * (level[b] - level[a]);
      c[k] = t == 0 ? code.get(a) : "";
    }
    return new SectionRing(distance, skew, o, z, List.of(c), closed);
  }

  /** Between two outlines of as many points, in distance, offsets and levels alike. */
  SectionRing towards(SectionRing next, double at) {
    double t = next.distance == distance ? 0 : (at - distance) / (next.distance - distance);
    double[] o = new double[size()];
    double[] z = new double[size()];
    for (int i = 0; i < o.length; i++) {
      o[i] = offset[i] + t * (next.offset[i] - offset[i]);
      z[i] = level[i] + t * (next.level[i] - level[i]);
    }
    return new SectionRing(at, skew + t * (next.skew - skew), o, z, code, closed);
  }

  /**
   * An outline without area as an edge: a point that stands alone between the ends has none above
   * or below it to be joined with, and moves to the nearest that has. Outlines with area stay.
   */
  SectionRing asEdge() {
    if (!isFlat()) {
      return this;
    }
    int first = 0;
    int last = 0;
    for (int i = 1; i < size(); i++) {
      first = offset[i] < offset[first] ? i : first;
      last = offset[i] > offset[last] ? i : last;
    }
    double[] o = offset.clone();
    double[] z = level.clone();
    for (int i = 0; i < size(); i++) {
      if (!isPaired(i)) {
        int best =
            Math.abs(offset[i] - offset[first]) < Math.abs(offset[i] - offset[last]) ? first : last;
        for (int j = 0; j < size(); j++) {
          if (isPaired(j) && apart(i, j) < apart(i, best)) {
            best = j;
          }
        }
        if (i != first && i != last) {
          o[i] = offset[best];
          z[i] = level[best];
        }
      }
    }
    return new SectionRing(distance, skew, o, z, code, closed);
  }

  private boolean isPaired(int i) {
    for (int j = 0; j < size(); j++) {
      if (j != i && apart(i, j) < NO_AREA) {
        return true;
      }
    }
    return false;
  }

  private double apart(int i, int j) {
    return Math.hypot(offset[i] - offset[j], level[i] - level[j]);
  }

  /** The same with its distance and offsets scaled and its levels shifted. */
  SectionRing moved(Similarity how) {
    double up = how.to().level() - how.from().level();
    return new SectionRing(
        how.scale() * distance,
        skew,
        Arrays.stream(offset).map(o -> how.scale() * o).toArray(),
        Arrays.stream(level).map(z -> z + up).toArray(),
        code,
        closed);
  }

  /** The same with levels counted from another zero. */
  SectionRing above(double zero) {
    double[] z = level.clone();
    for (int i = 0; i < z.length; i++) {
      z[i] -= zero;
    }
    return new SectionRing(distance, skew, offset, z, code, closed);
  }
}
