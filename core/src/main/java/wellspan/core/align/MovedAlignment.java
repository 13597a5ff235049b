package wellspan.core.align;

import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/** Alignments in other coordinates: turned and scaled in plan, in another unit, mirrored. */
public final class MovedAlignment {
  private MovedAlignment() {}

  /**
   * Turned, scaled in plan and shifted. Lengths, radii and distances scale, levels only shift, so
   * grades change by 1/scale. The label at the start stays; labels count target metres from there.
   * A vertical circle stays one through the same tangents; with the scales of map grids (1 ± 0.001)
   * it departs from the exact curve by micrometres.
   */
  public static Alignment by(Similarity s, Alignment a) {
    double k = s.scale();
    double up = s.to().level() - s.from().level();
    List<PlanElement> elements = a.elements().stream().map(e -> by(s, e)).toList();
    Optional<Profile> profile = a.profile().map(p -> scaled(p, k, 1, up));
    return new Alignment(a.name(), elements, labels(a.chainages(), k, 1), profile);
  }

  /** Everything in another unit: plan, levels and labels times a factor. */
  public static Alignment inUnit(double factor, Alignment a) {
    Position zero = new Position(0, 0, 0);
    Similarity s = new Similarity(zero, zero, 0, factor);
    List<PlanElement> elements = a.elements().stream().map(e -> by(s, e)).toList();
    Optional<Profile> profile = a.profile().map(p -> scaled(p, factor, factor, 0));
    return new Alignment(a.name(), elements, labels(a.chainages(), factor, factor), profile);
  }

  /** Eastings and northings exchanged: a mirror image, left turns become right turns. */
  public static Alignment swapped(Alignment a) {
    List<PlanElement> elements = a.elements().stream().map(MovedAlignment::swapped).toList();
    return new Alignment(a.name(), elements, a.chainages(), a.profile());
  }

  static PlanElement by(Similarity s, PlanElement e) {
    PlanPoint p = e.start();
    Position q = s.apply(new Position(p.east(), p.north(), 0));
    PlanPoint start = new PlanPoint(q.east(), q.north(), p.direction() + s.rotation());
    double k = s.scale();
    return switch (e) {
      case PlanElement.Line l -> new PlanElement.Line(start, l.length() * k);
      case PlanElement.Arc r -> new PlanElement.Arc(start, r.length() * k, r.radius() * k);
      case PlanElement.Spiral c ->
          new PlanElement.Spiral(
              start, c.length() * k, c.startCurvature() / k, c.endCurvature() / k, c.law());
      case PlanElement.Irregular i -> {
        double[] xy = i.xy().clone();
        for (int n = 0; n < xy.length; n += 2) {
          Position at = s.apply(new Position(xy[n], xy[n + 1], 0));
          xy[n] = at.east();
          xy[n + 1] = at.north();
        }
        yield new PlanElement.Irregular(xy);
      }
    };
  }

  private static PlanElement swapped(PlanElement e) {
    PlanPoint p = e.start();
    PlanPoint start = new PlanPoint(p.north(), p.east(), Math.PI / 2 - p.direction());
    return switch (e) {
      case PlanElement.Line l -> new PlanElement.Line(start, l.length());
      case PlanElement.Arc r -> new PlanElement.Arc(start, r.length(), -r.radius());
      case PlanElement.Spiral c ->
          new PlanElement.Spiral(
              start, c.length(), -c.startCurvature(), -c.endCurvature(), c.law());
      case PlanElement.Irregular i -> {
        double[] xy = i.xy().clone();
        for (int n = 0; n < xy.length; n += 2) {
          xy[n] = i.xy()[n + 1];
          xy[n + 1] = i.xy()[n];
        }
        yield new PlanElement.Irregular(xy);
      }
    };
  }

  private static Chainages labels(Chainages c, double distances, double labels) {
    return new Chainages(
        c.start() * labels,
        c.equations().stream()
            .map(
                e ->
                    new Chainages.Equation(
                        e.distance() * distances,
                        e.back() * labels,
                        e.ahead() * labels,
                        e.increasing()))
            .toList());
  }

  /**
   * @param along factor of distances
   * @param upwards factor of levels, before the shift
   */
  private static Profile scaled(Profile p, double along, double upwards, double shift) {
    return new Profile(
        p.name(), p.segments().stream().map(s -> scaled(s, along, upwards, shift)).toList());
  }

  private static ProfileSegment scaled(
      ProfileSegment s, double along, double upwards, double shift) {
    double x = s.startDistance() * along;
    double length = s.length() * along;
    double level = s.startLevel() * upwards + shift;
    double grades = upwards / along;
    double g0 = s.startGrade() * grades;
    double g1 = s.endGrade() * grades;
    return switch (s) {
      case ProfileSegment.Grade g -> new ProfileSegment.Grade(x, length, level, g0);
      case ProfileSegment.Parabola p -> new ProfileSegment.Parabola(x, length, level, g0, g1);
      case ProfileSegment.Circle c ->
          grades == 1
              ? new ProfileSegment.Circle(x, length, level, g0, g1, c.radius() * along)
              : new ProfileSegment.Circle(x, length, level, g0, g1, length / (sine(g1) - sine(g0)));
    };
  }

  private static double sine(double grade) {
    return grade / Math.hypot(1, grade);
  }
}
