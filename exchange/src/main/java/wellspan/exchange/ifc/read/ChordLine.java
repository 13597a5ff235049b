package wellspan.exchange.ifc.read;

import java.util.Arrays;
import java.util.Set;
import java.util.TreeSet;

/** A line of chords with the distance of each of its corners from the start. */
final class ChordLine extends LineByDistance {
  /** Corners are at one place where they are no farther apart than this part of the line. */
  private static final double REPEATED = 1e-8;

  /** Corners up to this are those of a curve, whose direction changes all the way. */
  private static final double SMOOTH = Math.toRadians(10);

  private final double[] xyz;
  private final double[] reached;
  private final double[] heading;

  /**
   * @param inPlan whether distances are measured in plan
   */
  ChordLine(double[] xyz, boolean inPlan) {
    this.xyz = withoutRepeated(xyz);
    int n = this.xyz.length / 3;
    reached = new double[n];
    heading = new double[n - 1];
    for (int i = 1; i < n; i++) {
      reached[i] = reached[i - 1] + distance(this.xyz, i - 1, this.xyz, i, inPlan);
      heading[i - 1] =
          Math.atan2(
              this.xyz[3 * i + 1] - this.xyz[3 * i - 2], this.xyz[3 * i] - this.xyz[3 * i - 3]);
    }
  }

  /**
   * Two corners at one place, as where elements of a curve meet, have no direction between them.
   */
  private static double[] withoutRepeated(double[] xyz) {
    int n = xyz.length / 3;
    double all = 0;
    for (int i = 1; i < n; i++) {
      all += distance(xyz, i - 1, xyz, i, false);
    }
    double[] out = xyz.clone();
    int kept = 1;
    for (int i = 1; i < n; i++) {
      boolean last = i == n - 1;
      boolean apart = distance(out, kept - 1, xyz, i, false) > REPEATED * all;
      if (!apart && last && kept > 1) {
        kept--; // the end stays where it is
      }
      if (apart || last) {
        System.arraycopy(xyz, 3 * i, out, 3 * kept++, 3);
      }
    }
    return Arrays.copyOf(out, 3 * kept);
  }

  private static double distance(double[] a, int i, double[] b, int k, boolean inPlan) {
    double dx = b[3 * k] - a[3 * i];
    double dy = b[3 * k + 1] - a[3 * i + 1];
    double dz = inPlan ? 0 : b[3 * k + 2] - a[3 * i + 2];
    return Math.sqrt(dx * dx + dy * dy + dz * dz);
  }

  @Override
  double length() {
    return reached[reached.length - 1];
  }

  @Override
  Set<Double> corners(double from, double to, double reach) {
    Set<Double> out = new TreeSet<>();
    for (double d : reached) {
      if (d > from + 1e-9 * to && d < to - 1e-9 * to) {
        out.add(d);
      }
    }
    return out;
  }

  private int piece(double d) {
    int i = 0;
    while (i + 2 < reached.length && reached[i + 1] <= d) {
      i++;
    }
    return i;
  }

  /** Turn from one piece to another, −π … π. */
  private double turn(int a, int b) {
    return Math.IEEEremainder(heading[b] - heading[a], 2 * Math.PI);
  }

  @Override
  Stand at(double distance) {
    int i = piece(distance);
    double run = reached[i + 1] - reached[i];
    double t = run == 0 ? 0 : (distance - reached[i]) / run;
    double here = heading[i];
    double mitre = 1;
    boolean corner = i > 0 && Math.abs(distance - reached[i]) <= 1e-9 * Math.max(1, distance);
    if (corner) {
      double half = turn(i - 1, i) / 2;
      here = heading[i - 1] + half;
      mitre = 1 / Math.cos(half);
    } else {
      double before = i > 0 ? turn(i - 1, i) : 0;
      double after = i + 1 < heading.length ? turn(i, i + 1) : 0;
      before = i > 0 && Math.abs(before) < SMOOTH ? before : after;
      after = i + 1 < heading.length && Math.abs(after) < SMOOTH ? after : before;
      if (Math.abs(before) < SMOOTH && Math.abs(after) < SMOOTH) {
        here += -before / 2 * (1 - t) + after / 2 * t;
      }
    }
    double[] p = new double[3];
    for (int k = 0; k < 3; k++) {
      p[k] = xyz[3 * i + k] + t * (xyz[3 * i + 3 + k] - xyz[3 * i + k]);
    }
    double plan = Math.hypot(xyz[3 * i + 3] - xyz[3 * i], xyz[3 * i + 4] - xyz[3 * i + 1]);
    double slope = plan == 0 ? 0 : (xyz[3 * i + 5] - xyz[3 * i + 2]) / plan;
    return new Stand(p, here, mitre, slope);
  }
}
