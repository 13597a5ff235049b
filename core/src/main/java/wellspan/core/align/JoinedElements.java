package wellspan.core.align;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/**
 * Elements of an alignment put end to end: each keeps its own shape and length and is moved and
 * turned so that it starts where the one before it ends, in its direction. Where two meet at a
 * larger gap or angle than is to be closed, the later one starts where it was given, and those
 * after it follow from there.
 *
 * @param alignment with the elements as moved
 * @param gaps how many gaps were closed
 * @param bends how many angles were closed
 * @param left how many gaps and angles were larger and stay
 * @param farthest how far an end of an element moved at most, metres
 */
public record JoinedElements(Alignment alignment, int gaps, int bends, int left, double farthest) {
  /** Less is how numbers were rounded, metres. */
  private static final double ROUNDED = 1e-6;

  /** The same of directions, radians. */
  private static final double STRAIGHT = 1e-7;

  /**
   * @param gap that is closed at most, metres
   * @param bend that is closed at most, radians
   */
  public static JoinedElements of(Alignment a, double gap, double bend) {
    List<PlanElement> out = new ArrayList<>();
    int gaps = 0;
    int bends = 0;
    int left = 0;
    double farthest = 0;
    PlanElement given = null;
    for (PlanElement e : a.elements()) {
      PlanElement moved = e;
      if (given != null) {
        PlanPoint end = given.end();
        double away = away(end, e.start());
        double turn = turn(end, e.start());
        boolean closable = away <= gap && turn <= bend;
        left += closable ? 0 : 1;
        if (closable) {
          gaps += away > ROUNDED ? 1 : 0;
          bends += turn > STRAIGHT ? 1 : 0;
          moved = at(out.getLast().end(), e);
          farthest = Math.max(farthest, away(moved.end(), e.end()));
        }
      }
      out.add(moved);
      given = e;
    }
    return new JoinedElements(
        new Alignment(a.name(), out, a.chainages(), a.profile()), gaps, bends, left, farthest);
  }

  private static PlanElement at(PlanPoint start, PlanElement e) {
    PlanPoint was = e.start();
    Similarity move =
        new Similarity(
            new Position(was.east(), was.north(), 0),
            new Position(start.east(), start.north(), 0),
            Math.IEEEremainder(start.direction() - was.direction(), 2 * Math.PI),
            1);
    return MovedAlignment.by(move, e);
  }

  private static double away(PlanPoint a, PlanPoint b) {
    return Math.hypot(a.east() - b.east(), a.north() - b.north());
  }

  private static double turn(PlanPoint a, PlanPoint b) {
    return Math.abs(Math.IEEEremainder(b.direction() - a.direction(), 2 * Math.PI));
  }
}
