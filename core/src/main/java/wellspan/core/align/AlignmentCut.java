package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** The part of an alignment between two distances, with its labels and its profile there. */
public final class AlignmentCut {
  /** Transitions other than clothoids are cut into clothoids of this length at most, metres. */
  private static final double PIECE = 1;

  private static final double NOTHING = 1e-9;

  private AlignmentCut() {}

  /**
   * @param from distance from the alignment's start, metres
   * @param to distance from the alignment's start, metres
   * @throws IllegalArgumentException if nothing lies between
   */
  public static Alignment between(Alignment a, double from, double to) {
    List<PlanElement> out = new ArrayList<>();
    double d = 0;
    for (PlanElement e : a.elements()) {
      double low = Math.max(0, from - d);
      double high = Math.min(e.length(), to - d);
      if (high - low > NOTHING) {
        if (low <= NOTHING && high >= e.length() - NOTHING) {
          out.add(e);
        } else {
          part(e, low, high, out);
        }
      }
      d += e.length();
    }
    return new Alignment(
        a.name(),
        out,
        chainages(a.chainages(), from, to),
        a.profile().flatMap(p -> profile(p, from, to)));
  }

  private static void part(PlanElement e, double low, double high, List<PlanElement> out) {
    switch (e) {
      case PlanElement.Line l -> out.add(new PlanElement.Line(l.at(low), high - low));
      case PlanElement.Arc c -> out.add(new PlanElement.Arc(c.at(low), high - low, c.radius()));
      case PlanElement.Irregular i -> {
        double d = 0;
        List<Double> xy = new ArrayList<>();
        for (PlanElement piece : i.pieces()) {
          double a = Math.max(0, low - d);
          double b = Math.min(piece.length(), high - d);
          if (b - a > NOTHING) {
            if (xy.isEmpty()) {
              add(xy, piece.at(a));
            }
            add(xy, piece.at(b));
          }
          d += piece.length();
        }
        out.add(new PlanElement.Irregular(xy.stream().mapToDouble(v -> v).toArray()));
      }
      case PlanElement.Spiral s when s.law() == SpiralLaw.CLOTHOID ->
          out.add(
              new PlanElement.Spiral(
                  s.at(low), high - low, s.curvatureAt(low), s.curvatureAt(high), s.law()));
      case PlanElement.Spiral s -> {
        int n = (int) Math.ceil((high - low) / PIECE);
        for (int k = 0; k < n; k++) {
          double p = low + (high - low) * k / n;
          double q = low + (high - low) * (k + 1) / n;
          out.add(
              new PlanElement.Spiral(
                  s.at(p), q - p, s.curvatureAt(p), s.curvatureAt(q), SpiralLaw.CLOTHOID));
        }
      }
    }
  }

  private static void add(List<Double> xy, PlanPoint p) {
    xy.add(p.east());
    xy.add(p.north());
  }

  private static Chainages chainages(Chainages c, double from, double to) {
    List<Chainages.Equation> out = new ArrayList<>();
    double start = c.start() + from;
    for (Chainages.Equation e : c.equations()) {
      if (e.distance() <= from && e.increasing()) {
        start = e.ahead() + from - e.distance();
      } else if (e.distance() <= from) { // labels fall from the start on
        out.clear();
        start = c.at(from);
        out.add(new Chainages.Equation(0, start, start, false));
      } else if (e.distance() < to) {
        out.add(new Chainages.Equation(e.distance() - from, e.back(), e.ahead(), e.increasing()));
      }
    }
    return new Chainages(start, out);
  }

  private static Optional<Profile> profile(Profile p, double from, double to) {
    List<ProfileSegment> out = new ArrayList<>();
    for (ProfileSegment s : p.segments()) {
      double low = Math.max(0, from - s.startDistance());
      double high = Math.min(s.length(), to - s.startDistance());
      if (high - low <= NOTHING) {
        continue;
      }
      double start = s.startDistance() + low - from;
      double length = high - low;
      double level = s.levelAt(low);
      double g1 = s.gradeAt(low);
      double g2 = s.gradeAt(high);
      out.add(
          switch (s) {
            case ProfileSegment.Grade g -> new ProfileSegment.Grade(start, length, level, g1);
            case ProfileSegment.Parabola q ->
                new ProfileSegment.Parabola(start, length, level, g1, g2);
            case ProfileSegment.Circle c ->
                new ProfileSegment.Circle(start, length, level, g1, g2, c.radius());
          });
    }
    return out.isEmpty() ? Optional.empty() : Optional.of(new Profile(p.name(), out));
  }
}
