package wellspan.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;

/**
 * Quay Road and its branch Yard Link: plan elements one after the other, profiles through given
 * points.
 */
final class QuayRoad {
  private final List<PlanElement> elements = new ArrayList<>();
  private PlanPoint at;

  private QuayRoad(PlanPoint start) {
    at = start;
  }

  private QuayRoad straight(double length) {
    return add(new PlanElement.Line(at, length));
  }

  private QuayRoad arc(double length, double radius) {
    return add(new PlanElement.Arc(at, length, radius));
  }

  private QuayRoad clothoid(double length, double radiusFrom, double radiusTo) {
    return add(
        new PlanElement.Spiral(
            at, length, curvature(radiusFrom), curvature(radiusTo), SpiralLaw.CLOTHOID));
  }

  private static double curvature(double radius) {
    return radius == 0 ? 0 : 1 / radius;
  }

  private QuayRoad add(PlanElement e) {
    elements.add(e);
    at = e.end();
    return this;
  }

  /**
   * The plan of Quay Road: tangents, clothoids, a compound curve (220 m and 140 m) and a reverse
   * curve.
   */
  static List<PlanElement> plan() {
    return new QuayRoad(new PlanPoint(412_052.184, 6_534_702.417, Math.toRadians(33)))
        .straight(96.5)
        .clothoid(60, 0, -220)
        .arc(88, -220)
        .clothoid(30, -220, -140)
        .arc(46.5, -140)
        .clothoid(55, -140, 0)
        .straight(72)
        .clothoid(50, 0, 160)
        .arc(105, 160)
        .clothoid(50, 160, 0)
        .clothoid(50, 0, -180)
        .arc(92, -180)
        .clothoid(50, -180, 0)
        .straight(154)
        .clothoid(45, 0, 250)
        .arc(76, 250)
        .clothoid(45, 250, 0)
        .straight(75)
        .elements;
  }

  /** Points of vertical intersection: distance, level and how the corner is rounded. */
  static List<Pvi> profilePoints(double raise) {
    return List.of(
        pvi(0, 38.40, none()),
        pvi(150, 32.10, new Pvi.Rounding.Parabola(40, 40)),
        pvi(330, 19.68, new Pvi.Rounding.Parabola(35, 50)),
        pvi(420, 17.52, none()),
        pvi(520, 15.90 + raise, new Pvi.Rounding.Parabola(30, 30)),
        pvi(640, 14.70 + raise, new Pvi.Rounding.Circle(2400)),
        pvi(760, 10.62, none()),
        pvi(930, 5.60, new Pvi.Rounding.Parabola(45, 45)),
        pvi(1240, 3.10, none()));
  }

  private static Pvi pvi(double d, double level, Pvi.Rounding r) {
    return new Pvi(d, level, r);
  }

  private static Pvi.Rounding none() {
    return new Pvi.Rounding.None();
  }

  /**
   * @param raise how much revision B lifts the profile between 0+420 and 0+760, metres
   */
  static Alignment quayRoad(double raise) {
    return new Alignment(
        "Quay Road",
        plan(),
        new Chainages(0, List.of()),
        Optional.of(Profile.through("Quay Road design", profilePoints(raise))));
  }

  /** The branch: leaves Quay Road at 0+812 at a right angle, towards the yard. */
  static Alignment yardLink() {
    Alignment main = quayRoad(0);
    var from = main.at(Junction.AT);
    PlanPoint start = new PlanPoint(from.east(), from.north(), from.direction() + Math.PI / 2);
    List<PlanElement> plan =
        new QuayRoad(start)
            .straight(38)
            .clothoid(30, 0, -90)
            .arc(52, -90)
            .clothoid(30, -90, 0)
            .straight(60)
            .elements;
    return new Alignment(
        "Yard Link",
        plan,
        new Chainages(1000, List.of(new Chainages.Equation(100, 1100, 1150, true))),
        Optional.of(Profile.through("Yard Link design", yardLinkPoints())));
  }

  /** Points of vertical intersection of Yard Link, which starts at Quay Road's level. */
  static List<Pvi> yardLinkPoints() {
    double level = quayRoad(0).at(Junction.AT).level();
    return List.of(
        pvi(0, level, none()),
        pvi(70, level + 1.4, new Pvi.Rounding.Parabola(20, 20)),
        pvi(210, level + 2.1, none()));
  }
}
