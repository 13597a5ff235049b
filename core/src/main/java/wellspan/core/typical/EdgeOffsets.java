package wellspan.core.typical;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.Footpoint;
import wellspan.core.geom.Polyline;
import wellspan.core.geom.Position;

/**
 * How far a string lies beside an alignment and how high, at each of its corners. Between corners
 * offsets and levels run linear in distance along the alignment.
 */
public final class EdgeOffsets {
  /** A string is looked at so often that its chords lie on it beside a curve, metres. */
  private static final double STEP = 5;

  /** From the step to a micrometre. */
  private static final int HALVINGS = 24;

  private final List<Foot> feet;

  /**
   * @param level of the string, NaN where it has none
   */
  private record Foot(double distance, double offset, double level) {}

  /** From one corner of a string to the next. */
  private record Piece(Alignment a, Position from, Position to) {
    /** In plan, metres. */
    double length() {
      return Math.hypot(to.east() - from.east(), to.north() - from.north());
    }

    /** Beside the alignment at a share of the piece; empty before its start and beyond its end. */
    Optional<Foot> at(double t) {
      double level = from.level() + t * (to.level() - from.level());
      return Footpoint.of(
              a,
              from.east() + t * (to.east() - from.east()),
              from.north() + t * (to.north() - from.north()))
          .map(f -> new Foot(f.distance(), f.offset(), level));
    }

    /**
     * Where the string passes the alignment's start or end: corners of a file that is rounded lie a
     * hair before it.
     *
     * @param inside whether the first of both shares lies beside the alignment
     */
    Foot end(double first, double second, boolean inside) {
      double in = inside ? first : second;
      double out = inside ? second : first;
      for (int i = 0; i < HALVINGS; i++) {
        double middle = (in + out) / 2;
        if (at(middle).isPresent()) {
          in = middle;
        } else {
          out = middle;
        }
      }
      return at(in).orElseThrow();
    }
  }

  private EdgeOffsets(List<Foot> feet) {
    this.feet = feet;
  }

  /** Parts of the string that lie before the alignment's start or beyond its end do not count. */
  public static EdgeOffsets of(Alignment a, List<Polyline> lines) {
    List<Foot> feet = new ArrayList<>();
    for (Polyline l : lines) {
      for (int i = 0; i + 1 < l.pointCount(); i++) {
        Piece piece = new Piece(a, l.point(i), l.point(i + 1));
        int n = (int) Math.max(1, Math.ceil(piece.length() / STEP));
        Optional<Foot> before = piece.at(0);
        if (i == 0) {
          before.ifPresent(feet::add);
        }
        for (int k = 1; k <= n; k++) {
          Optional<Foot> now = piece.at((double) k / n);
          if (before.isPresent() != now.isPresent()) {
            feet.add(piece.end((k - 1.0) / n, (double) k / n, before.isPresent()));
          }
          now.ifPresent(feet::add);
          before = now;
        }
      }
    }
    feet.sort(Comparator.comparingDouble(Foot::distance));
    return new EdgeOffsets(feet);
  }

  /** Distances at which sections are needed between two others. */
  Set<Double> distances(double from, double to) {
    Set<Double> out = new TreeSet<>();
    double last = Double.NEGATIVE_INFINITY;
    for (Foot f : feet) {
      if (f.distance() > from + 1e-3 && f.distance() < to - 1e-3 && f.distance() > last + 1e-3) {
        out.add(f.distance());
        last = f.distance();
      }
    }
    return out;
  }

  /** Whether the string lies beside the alignment anywhere. */
  boolean isEmpty() {
    return feet.size() < 2;
  }

  /** Distance at which the string begins beside the alignment. */
  double from() {
    return feet.getFirst().distance();
  }

  /** Distance at which the string ends beside the alignment. */
  double to() {
    return feet.getLast().distance();
  }

  /** The offset at a distance, positive to the right; empty where the string has no place there. */
  Optional<Double> at(double distance) {
    return foot(distance).map(Foot::offset);
  }

  /** The level at a distance; empty where the string has no place there, NaN where it has none. */
  Optional<Double> levelAt(double distance) {
    return foot(distance).map(Foot::level);
  }

  private Optional<Foot> foot(double distance) {
    for (int i = 0; i + 1 < feet.size(); i++) {
      Foot p = feet.get(i);
      Foot q = feet.get(i + 1);
      if (distance >= p.distance() - 1e-6 && distance <= q.distance() + 1e-6) {
        double run = q.distance() - p.distance();
        double t = run < 1e-9 ? 0 : Math.clamp((distance - p.distance()) / run, 0.0, 1.0);
        return Optional.of(
            new Foot(
                distance,
                p.offset() + t * (q.offset() - p.offset()),
                p.level() + t * (q.level() - p.level())));
      }
    }
    return Optional.empty();
  }
}
