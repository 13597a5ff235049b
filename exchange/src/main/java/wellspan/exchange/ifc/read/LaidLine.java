package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/**
 * The curve of an alignment, in plan or with its profile, at any distance as its segments define
 * it. Distances are those in plan.
 */
final class LaidLine extends LineByDistance {
  /** Steps in which the turn of a segment is looked at. */
  private static final int STEPS = 8;

  private static final int ROUNDS = 12;
  private static final double MOST_PIECES = 1e6;

  private final List<Piece> plan;
  private final List<Piece> profile;
  private final double chord;

  /**
   * A segment.
   *
   * @param start where it begins, by distance in plan
   * @param run how long it is in plan
   * @param length how long it is itself
   */
  private record Piece(double start, double run, double length, ParentCurve curve) {}

  /** The largest curvature of a segment, by the turn of its eighths; it may be a little larger. */
  static double curvature(ParentCurve curve, double length) {
    double most = 0;
    double before = curve.at(0)[2];
    for (int i = 1; i <= STEPS; i++) {
      double here = curve.at(length * i / STEPS)[2];
      most = Math.max(most, Math.abs(Math.IEEEremainder(here - before, 2 * Math.PI)));
      before = here;
    }
    return most * STEPS / length * (1 + 1.0 / STEPS);
  }

  private LaidLine(List<Piece> plan, List<Piece> profile, double chord) {
    this.plan = plan;
    this.profile = profile;
    this.chord = chord;
  }

  /** Empty for a curve of other segments. */
  static Optional<LaidLine> read(Instance curve, CurveReader reader) {
    boolean gradient = curve.isA("IFCGRADIENTCURVE");
    Optional<Instance> base = gradient ? curve.ref("BaseCurve") : Optional.of(curve);
    // a curve of cants is a composite one too, but its segments are no plan
    if (base.isEmpty()
        || !base.get().entity().name().equals("IfcCompositeCurve")
        || !isLaid(base.get())
        || gradient && !isLaid(curve)) {
      return Optional.empty();
    }
    List<Piece> plan = pieces(base.get(), reader, false);
    List<Piece> profile = gradient ? pieces(curve, reader, true) : List.of();
    return plan.isEmpty()
        ? Optional.empty()
        : Optional.of(new LaidLine(plan, profile, reader.tolerance()));
  }

  private static boolean isLaid(Instance curve) {
    List<Instance> segments = curve.isA("IFCCOMPOSITECURVE") ? curve.refs("Segments") : List.of();
    return !segments.isEmpty() && segments.stream().allMatch(s -> s.isA("IFCCURVESEGMENT"));
  }

  private static List<Piece> pieces(Instance curve, CurveReader reader, boolean upright) {
    List<Piece> out = new ArrayList<>();
    double reached = 0;
    double[] last = null;
    for (Instance s : curve.refs("Segments")) {
      double length = Math.abs(s.number("SegmentLength", 0));
      ParentCurve c = CurveCheck.laid(s, reader.metre()).orElseThrow(() -> Unread.kind(s));
      if (!(length > 0)) {
        continue;
      }
      double[] from = c.at(0);
      double[] to = c.at(length);
      if (last != null && !(Math.hypot(from[0] - last[0], from[1] - last[1]) <= reader.gap())) {
        throw new Unread(
            curve,
            String.format(
                Locale.ROOT,
                "has a jump of %.4f m between its segments",
                Math.hypot(from[0] - last[0], from[1] - last[1]) / reader.metre()));
      }
      last = to;
      double run = upright ? to[0] - from[0] : length;
      if (!(run > 0)) {
        throw new Unread(s, "does not go on along its alignment");
      }
      out.add(new Piece(upright ? from[0] : reached, run, length, c));
      reached += length;
    }
    return out;
  }

  @Override
  double length() {
    Piece last = plan.getLast();
    return last.start() + last.run();
  }

  @Override
  Set<Double> corners(double from, double to, double reach) {
    TreeSet<Double> out = new TreeSet<>();
    double slack = 1e-9 * Math.max(1, to);
    for (List<Piece> some : List.of(plan, profile)) {
      for (Piece p : some) {
        double low = Math.max(from, p.start());
        double high = Math.min(to, p.start() + p.run());
        if (!(high - low > slack)) {
          continue;
        }
        double k = curvature(p.curve(), p.length());
        double outer = some == plan ? 1 + k * reach : 1;
        double pieces = Math.ceil((high - low) * Math.sqrt(k * outer / (8 * chord)) - 1e-9);
        if (!(pieces <= MOST_PIECES)) {
          throw new Left("the line it is carried along bends too sharply, or its unit is wrong");
        }
        int n = (int) pieces;
        for (int i = 0; i <= n; i++) {
          out.add(low + (high - low) * i / Math.max(1, n));
        }
        out.add(high);
      }
    }
    return out.subSet(from + slack, false, to - slack, false);
  }

  private static Piece piece(List<Piece> pieces, double distance) {
    int i = 0;
    while (i + 1 < pieces.size() && pieces.get(i + 1).start() <= distance) {
      i++;
    }
    return pieces.get(i);
  }

  @Override
  Stand at(double distance) {
    Piece p = piece(plan, distance);
    double[] there = p.curve().at(Math.clamp(distance - p.start(), 0, p.length()));
    double[] level = profile.isEmpty() ? new double[3] : level(distance);
    return new Stand(new double[] {there[0], there[1], level[1]}, there[2], 1, Math.tan(level[2]));
  }

  /** Distance, level and slope angle of the profile; at its ends where it does not reach. */
  private double[] level(double distance) {
    Piece p = piece(profile, distance);
    double d = Math.clamp(distance, p.start(), p.start() + p.run());
    double s = p.run() == 0 ? 0 : (d - p.start()) / p.run() * p.length();
    double[] at = p.curve().at(s);
    for (int i = 0; i < ROUNDS && Math.abs(d - at[0]) > 1e-12 * Math.max(1, d); i++) {
      s = Math.clamp(s + (d - at[0]) / Math.cos(at[2]), 0, p.length());
      at = p.curve().at(s);
    }
    return at;
  }
}
