package wellspan.core.align;

/**
 * One element of an alignment in plan. Curvature is positive where the alignment turns left, in
 * 1/m.
 */
public sealed interface PlanElement {
  /** Where the element starts and in which direction. */
  PlanPoint start();

  /** Length along the element, metres. */
  double length();

  double startCurvature();

  double endCurvature();

  /** The point at a distance from the element's start, 0 … length, metres. */
  PlanPoint at(double distance);

  default PlanPoint end() {
    return at(length());
  }

  /** A straight. */
  record Line(PlanPoint start, double length) implements PlanElement {
    @Override
    public double startCurvature() {
      return 0;
    }

    @Override
    public double endCurvature() {
      return 0;
    }

    @Override
    public PlanPoint at(double s) {
      return new PlanPoint(
          start.east() + s * Math.cos(start.direction()),
          start.north() + s * Math.sin(start.direction()),
          start.direction());
    }
  }

  /**
   * A circular arc.
   *
   * @param radius positive to the left, negative to the right, metres
   */
  record Arc(PlanPoint start, double length, double radius) implements PlanElement {
    @Override
    public double startCurvature() {
      return 1 / radius;
    }

    @Override
    public double endCurvature() {
      return 1 / radius;
    }

    @Override
    public PlanPoint at(double s) {
      double turned = s / radius;
      double chord = 2 * radius * Math.sin(turned / 2);
      double towards = start.direction() + turned / 2;
      return new PlanPoint(
          start.east() + chord * Math.cos(towards),
          start.north() + chord * Math.sin(towards),
          start.direction() + turned);
    }
  }

  /**
   * A transition whose curvature runs from one value to another by a law. Positions are integrated
   * numerically (Gauss–Legendre, ten nodes on panels that turn by less than half a radian); error
   * below 1e-12 of the length.
   */
  record Spiral(
      PlanPoint start, double length, double startCurvature, double endCurvature, SpiralLaw law)
      implements PlanElement {
    private static final double[] NODE = {
      0.1488743389816312,
      0.4333953941292472,
      0.6794095682990244,
      0.8650633666889845,
      0.9739065285171717
    };
    private static final double[] WEIGHT = {
      0.2955242247147529,
      0.2692667193099963,
      0.2190863625159820,
      0.1494513491505806,
      0.0666713443086881
    };

    @Override
    public PlanPoint at(double s) {
      double turn = (Math.abs(startCurvature) + Math.abs(endCurvature)) * Math.abs(s);
      int panels = Math.max(2, (int) Math.ceil(turn / 0.5));
      double half = s / panels / 2;
      double x = 0;
      double y = 0;
      for (int p = 0; p < panels; p++) {
        double middle = (2 * p + 1) * half;
        for (int k = 0; k < NODE.length; k++) {
          double a = turned(middle - half * NODE[k]);
          double b = turned(middle + half * NODE[k]);
          x += WEIGHT[k] * (Math.cos(a) + Math.cos(b));
          y += WEIGHT[k] * (Math.sin(a) + Math.sin(b));
        }
      }
      x *= half;
      y *= half;
      double c = Math.cos(start.direction());
      double d = Math.sin(start.direction());
      return new PlanPoint(
          start.east() + x * c - y * d,
          start.north() + x * d + y * c,
          start.direction() + turned(s));
    }

    private double turned(double s) {
      return startCurvature * s + (endCurvature - startCurvature) * length * law.angle(s / length);
    }

    /** Curvature at a distance from the start, 1/m. */
    public double curvatureAt(double s) {
      return startCurvature + (endCurvature - startCurvature) * law.curvature(s / length);
    }
  }
}
