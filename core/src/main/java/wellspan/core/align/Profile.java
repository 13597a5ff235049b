package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;

/** A design line in elevation: segments without gaps, by distance along the alignment. */
public record Profile(String name, List<ProfileSegment> segments) {

  public Profile {
    segments = List.copyOf(segments);
  }

  public double start() {
    return segments.getFirst().startDistance();
  }

  public double end() {
    return segments.getLast().endDistance();
  }

  /**
   * Level at a distance along the alignment, NaN outside the profile; it counts as reaching {@link
   * Alignment#SAME_END} farther, as lengths in files are rounded.
   */
  public double levelAt(double distance) {
    ProfileSegment s = segmentAt(distance);
    return s == null ? Double.NaN : s.levelAt(clamp(distance - s.startDistance(), s.length()));
  }

  /** Grade at a distance along the alignment, NaN outside the profile. */
  public double gradeAt(double distance) {
    ProfileSegment s = segmentAt(distance);
    return s == null ? Double.NaN : s.gradeAt(clamp(distance - s.startDistance(), s.length()));
  }

  private static double clamp(double x, double length) {
    return Math.max(0, Math.min(length, x));
  }

  private ProfileSegment segmentAt(double distance) {
    double slack = Alignment.SAME_END;
    if (segments.isEmpty() || !(distance >= start() - slack && distance <= end() + slack)) {
      return null;
    }
    int low = 0;
    int high = segments.size() - 1;
    while (low < high) {
      int mid = (low + high + 1) >>> 1;
      if (segments.get(mid).startDistance() <= distance) {
        low = mid;
      } else {
        high = mid - 1;
      }
    }
    return segments.get(low);
  }

  /**
   * Builds the segments between points of vertical intersection. An asymmetric parabola becomes two
   * parabolas that meet below or above the point with a common grade (g₁·l₁ + g₂·l₂)/(l₁ + l₂); a
   * circle touches both grades.
   *
   * @throws IllegalArgumentException if points do not advance or roundings overlap; the message
   *     names the distance
   */
  public static Profile through(String name, List<Pvi> points) {
    if (points.size() < 2) {
      throw new IllegalArgumentException(
          "a profile needs two points of vertical intersection, there are " + points.size());
    }
    List<ProfileSegment> out = new ArrayList<>();
    double reached = points.getFirst().distance();
    for (int i = 0; i + 1 < points.size(); i++) {
      Pvi from = points.get(i);
      Pvi to = points.get(i + 1);
      if (!(to.distance() > from.distance())) {
        throw new IllegalArgumentException(
            "points of vertical intersection do not advance at distance " + to.distance());
      }
      double grade = grade(from, to);
      List<ProfileSegment> corner =
          i + 2 < points.size() ? corner(to, grade, grade(to, points.get(i + 2))) : List.of();
      double until = corner.isEmpty() ? to.distance() : corner.getFirst().startDistance();
      if (until < reached - 1e-6) {
        throw new IllegalArgumentException(
            "vertical curves overlap before distance " + to.distance());
      }
      if (until > reached + 1e-9) {
        out.add(
            new ProfileSegment.Grade(
                reached,
                until - reached,
                from.level() + grade * (reached - from.distance()),
                grade));
      }
      out.addAll(corner);
      reached = corner.isEmpty() ? to.distance() : corner.getLast().endDistance();
      if (reached > points.getLast().distance() + 1e-6) {
        throw new IllegalArgumentException(
            "a vertical curve runs past the end of the profile near distance " + to.distance());
      }
    }
    return new Profile(name, out);
  }

  private static double grade(Pvi a, Pvi b) {
    return (b.level() - a.level()) / (b.distance() - a.distance());
  }

  private static List<ProfileSegment> corner(Pvi p, double g1, double g2) {
    return switch (p.rounding()) {
      case Pvi.Rounding.None() -> List.of();
      case Pvi.Rounding.Parabola(double before, double after) -> {
        if (!(before + after > 0) || g1 == g2) {
          yield List.of();
        }
        double x = p.distance() - before;
        double level = p.level() - g1 * before;
        if (before == after) {
          yield List.of(new ProfileSegment.Parabola(x, before + after, level, g1, g2));
        }
        double middle = (g1 * before + g2 * after) / (before + after);
        ProfileSegment first = new ProfileSegment.Parabola(x, before, level, g1, middle);
        yield List.of(
            first, new ProfileSegment.Parabola(p.distance(), after, first.endLevel(), middle, g2));
      }
      case Pvi.Rounding.Circle(double radius) -> {
        double a1 = Math.atan(g1);
        double a2 = Math.atan(g2);
        if (a1 == a2 || !(radius > 0)) {
          yield List.of();
        }
        double tangent = radius * Math.tan(Math.abs(a2 - a1) / 2);
        double x = p.distance() - tangent * Math.cos(a1);
        double length = tangent * (Math.cos(a1) + Math.cos(a2));
        double signed = a2 > a1 ? radius : -radius;
        yield List.of(
            new ProfileSegment.Circle(
                x, length, p.level() - tangent * Math.sin(a1), g1, g2, signed));
      }
    };
  }
}
