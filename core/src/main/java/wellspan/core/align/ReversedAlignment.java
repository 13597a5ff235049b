package wellspan.core.align;

import java.util.List;
import java.util.Optional;

/** An alignment run through from its end: left turns become right turns, rises become falls. */
public final class ReversedAlignment {
  private ReversedAlignment() {}

  /**
   * @param startChainage label at the new start; labels rise from there, equations are left out,
   *     since they stand at places that were read the other way
   */
  public static Alignment of(Alignment a, double startChainage) {
    List<PlanElement> elements = a.elements().reversed().stream().map(e -> reversed(e)).toList();
    double length = a.length();
    Optional<Profile> profile =
        a.profile()
            .map(
                p ->
                    new Profile(
                        p.name(),
                        p.segments().reversed().stream().map(s -> reversed(s, length)).toList()));
    return new Alignment(a.name(), elements, new Chainages(startChainage, List.of()), profile);
  }

  /** A transition from its end to its start; every law runs the same from either end. */
  static PlanElement.Spiral reversed(PlanElement.Spiral s) {
    return new PlanElement.Spiral(
        backwards(s), s.length(), -s.endCurvature(), -s.startCurvature(), s.law());
  }

  private static PlanPoint backwards(PlanElement e) {
    PlanPoint end = e.end();
    return new PlanPoint(end.east(), end.north(), end.direction() + Math.PI);
  }

  private static PlanElement reversed(PlanElement e) {
    return switch (e) {
      case PlanElement.Line l -> new PlanElement.Line(backwards(l), l.length());
      case PlanElement.Arc r -> new PlanElement.Arc(backwards(r), r.length(), -r.radius());
      case PlanElement.Spiral s -> reversed(s);
      case PlanElement.Irregular i -> {
        double[] xy = new double[i.xy().length];
        for (int n = 0; n < xy.length; n += 2) {
          xy[n] = i.xy()[xy.length - 2 - n];
          xy[n + 1] = i.xy()[xy.length - 1 - n];
        }
        yield new PlanElement.Irregular(xy);
      }
    };
  }

  private static ProfileSegment reversed(ProfileSegment s, double length) {
    double start = length - s.endDistance();
    double level = s.endLevel();
    double first = -s.gradeAt(s.length());
    double last = -s.gradeAt(0);
    return switch (s) {
      case ProfileSegment.Grade g -> new ProfileSegment.Grade(start, g.length(), level, first);
      case ProfileSegment.Parabola q ->
          new ProfileSegment.Parabola(start, q.length(), level, first, last);
      case ProfileSegment.Circle c ->
          new ProfileSegment.Circle(start, c.length(), level, first, last, c.radius());
    };
  }
}
