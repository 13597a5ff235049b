package wellspan.core.road;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.geom.Similarity;

/**
 * The places at which all sections of a road are taken for a chord tolerance. Parts that lie beside
 * each other take the same ones, so that their faces meet.
 *
 * <p>Steps give equal deviation: their number is ∫√(κ(1+κo))dl/√(8s) over the outermost string, κ
 * its curvature in plan and in profile together (for a clothoid that is equal steps of l^1.5).
 */
final class RoadStations {
  /** Chords of an arc lose 4s/3R of the volume; s is kept to a share of R that loses less. */
  private static final double SHARE_OF_RADIUS = 3e-4;

  /** Share of a volume that may be lost by an odd number of steps. */
  private static final double LOST = 2e-4;

  private static final int SAMPLES = 48;

  /** Where a reach is cut, steps are no shorter than this, metres. */
  private static final double SHORTEST = 0.02;

  private final RoadLine line;
  private final Map<List<Double>, Interval> intervals = new HashMap<>();

  /**
   * Between two neighbouring sections.
   *
   * @param left smallest offset, metres
   * @param right largest offset
   * @param twist largest sum of alternating corner levels of a strip, metres
   * @param loss largest share of a part's volume that diagonals all one way would cost in one step
   */
  record Interval(double from, double to, double left, double right, double twist, double loss) {}

  RoadStations(RoadLine line) {
    this.line = line;
  }

  RoadLine line() {
    return line;
  }

  /** What a part needs between two of its sections. */
  void need(SectionRing a, SectionRing b) {
    double left = Math.min(min(a), min(b));
    double right = Math.max(max(a), max(b));
    double twist = 0;
    for (int i = 0; i < a.size(); i++) {
      int j = (i + 1) % a.size();
      twist = Math.max(twist, twist(a, b, i, j));
    }
    need(new Interval(a.distance(), b.distance(), left, right, twist, loss(a, b)));
  }

  private void need(Interval more) {
    intervals.merge(
        List.of(more.from, more.to),
        more,
        (v, w) ->
            new Interval(
                v.from,
                v.to,
                Math.min(v.left, w.left),
                Math.max(v.right, w.right),
                Math.max(v.twist, w.twist),
                Math.max(v.loss, w.loss)));
  }

  /** Those of a stretch: parts that are cut alike still take the same places. */
  RoadStations within(double from, double to) {
    RoadStations out = new RoadStations(line);
    for (Interval v : intervals.values()) {
      double low = Math.max(from, v.from);
      double high = Math.min(to, v.to);
      if (low < high) {
        double share = (high - low) / (v.to - v.from);
        out.need(new Interval(low, high, v.left, v.right, v.twist * share, v.loss * share * share));
      }
    }
    return out;
  }

  /** The same along the moved line. */
  RoadStations moved(Similarity how, RoadLine there) {
    RoadStations out = new RoadStations(there);
    double k = how.scale();
    for (Interval v : intervals.values()) {
      out.need(new Interval(k * v.from, k * v.to, k * v.left, k * v.right, v.twist, v.loss));
    }
    return out;
  }

  /** How far the fourth corner of a strip lies off the plane of the others. */
  private static double twist(SectionRing a, SectionRing b, int i, int j) {
    double ao = a.offset()[j] - a.offset()[i];
    double az = a.level()[j] - a.level()[i];
    double bo = b.offset()[j] - b.offset()[i];
    double bz = b.level()[j] - b.level()[i];
    double o = ao + bo;
    double z = az + bz;
    double length = Math.hypot(o, z);
    return length < 1e-9 ? 0 : Math.abs((bz - az) * o - (bo - ao) * z) / length;
  }

  /**
   * What diagonals cost of a volume whose thickness changes across: a face that is twisted by δ
   * holds δ/12 of its area less or more than its two triangles.
   */
  private static double loss(SectionRing a, SectionRing b) {
    double volume = Math.abs(a.area()) + Math.abs(b.area());
    if (!a.closed() || volume < SectionRing.NO_AREA) {
      return 0;
    }
    double sum = 0;
    for (int i = 0; i < a.size(); i++) {
      int j = (i + 1) % a.size();
      double ao = a.offset()[j] - a.offset()[i];
      double az = a.level()[j] - a.level()[i];
      double bo = b.offset()[j] - b.offset()[i];
      double bz = b.level()[j] - b.level()[i];
      sum += Math.signum(ao + bo) * ((ao + bo) * (bz - az) - (az + bz) * (bo - ao)) / 2;
    }
    return Math.abs(sum) / 12 / (volume / 2);
  }

  private static double min(SectionRing r) {
    return Arrays.stream(r.offset()).min().orElse(0);
  }

  private static double max(SectionRing r) {
    return Arrays.stream(r.offset()).max().orElse(0);
  }

  /** Distances between two neighbouring sections, both of them among them. */
  List<Double> between(double from, double to, double chord) {
    Interval v = intervals.get(List.of(from, to));
    if (v == null) {
      throw new IllegalArgumentException("No part runs between these sections.");
    }
    List<Double> ends = new ArrayList<>();
    ends.add(from);
    ends.addAll(line.breaksBetween(from, to));
    ends.add(to);
    List<Double> out = new ArrayList<>();
    for (int i = 0; i + 1 < ends.size(); i++) {
      steps(ends.get(i), ends.get(i + 1), v, chord, out);
    }
    out.add(to);
    return line.isSharpFor(v.left) || line.isSharpFor(v.right) ? refined(out, v, chord) : out;
  }

  /** More places where the reach to a side bends between two of them. */
  private List<Double> refined(List<Double> at, Interval v, double chord) {
    Reach left = new Reach(line, v.left);
    Reach right = new Reach(line, v.right);
    List<Double> out = new ArrayList<>();
    for (int i = 0; i + 1 < at.size(); i++) {
      out.add(at.get(i));
      halve(at.get(i), at.get(i + 1), left, right, chord, out);
    }
    out.add(at.getLast());
    return out;
  }

  private static void halve(
      double from, double to, Reach left, Reach right, double chord, List<Double> out) {
    if (to - from < SHORTEST || !left.bends(from, to, chord) && !right.bends(from, to, chord)) {
      return;
    }
    double middle = (from + to) / 2;
    halve(from, middle, left, right, chord, out);
    out.add(middle);
    halve(middle, to, left, right, chord, out);
  }

  /** How far sections reach to one side; a place is looked at once, for halves ask again. */
  private record Reach(RoadLine line, double offset, Map<Double, Double> known) {
    Reach(RoadLine line, double offset) {
      this(line, offset, new HashMap<>());
    }

    double at(double distance) {
      return known.computeIfAbsent(distance, d -> line.reach(d, offset));
    }

    /** Whether the reach between two places is off the straight line between them. */
    boolean bends(double from, double to, double chord) {
      double a = at(from);
      double b = at(to);
      for (int k = 1; k < 4; k++) {
        double t = k / 4.0;
        if (Math.abs(at(from + t * (to - from)) - (a + t * (b - a))) > chord) {
          return true;
        }
      }
      return false;
    }
  }

  private void steps(double from, double to, Interval v, double chord, List<Double> out) {
    double[] sum = new double[SAMPLES + 1];
    double h = (to - from) / SAMPLES;
    double twists = v.twist / (4 * chord) / (v.to - v.from);
    for (int i = 0; i < SAMPLES; i++) { // midpoints: nothing is asked of the law beyond its ends
      double d = from + (i + 0.5) * h;
      sum[i + 1] = sum[i] + h * Math.max(density(d, v, chord), twists);
    }
    int n = Math.max(1, (int) Math.ceil(sum[SAMPLES] - 1e-6));
    double share = (to - from) / (v.to - v.from);
    if (n % 2 == 1 && v.loss * share * share / n > LOST) {
      n++; // what diagonals cost in one step they give back in the next
    }
    out.add(from);
    int i = 0;
    for (int k = 1; k < n; k++) {
      double wanted = sum[SAMPLES] * k / n;
      while (sum[i + 1] < wanted) {
        i++;
      }
      out.add(from + h * (i + (wanted - sum[i]) / (sum[i + 1] - sum[i])));
    }
  }

  /** Steps per metre. */
  private double density(double d, Interval v, double chord) {
    double k = line.curvature(d);
    double outer = Math.max(1, Math.max(1 + k * v.right, 1 + k * v.left));
    double plan = Math.abs(k) / outer;
    double allowed = k == 0 ? chord : Math.min(chord, SHARE_OF_RADIUS / Math.abs(k));
    double bend = line.bend(d) / (outer * outer);
    return outer
        * Math.sqrt(Math.hypot(plan, bend) / (8 * (plan > Math.abs(bend) ? allowed : chord)));
  }
}
