package wellspan.core.align;

/**
 * A transition that is given as a curve over the tangent at its flat end, which lies at the zero
 * and runs along x. The curvature at the other end is the nominal one of the formula; the true one
 * is slightly smaller, as y″ stands for it.
 */
final class TangentCurve {
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

  private final SpiralLaw law;
  private final double length;
  private final double curvature;

  /** Length along the tangent; for the radioid the chord. */
  private final double run;

  /**
   * @param length along the curve, positive
   * @param curvature nominal one at the end, positive to the left
   */
  TangentCurve(SpiralLaw law, double length, double curvature) {
    this.law = law;
    this.length = length;
    this.curvature = curvature;
    double x = length;
    for (int i = 0; i < 60; i++) { // the run is that whose curve has the length
      double next = x * length / lengthOver(x, x);
      if (Math.abs(next - x) <= 1e-15 * length) {
        break;
      }
      x = next;
    }
    run = x;
  }

  /** x, y and direction at a length along the curve from its flat end. */
  double[] at(double s) {
    double x = Math.min(s, run);
    for (int i = 0; i < 60; i++) {
      double error = lengthOver(x, run) - s;
      x -= error / rate(x, run);
      if (Math.abs(error) <= 1e-14 * length) {
        break;
      }
    }
    if (law == SpiralLaw.RADIOID) {
      double a2 = 3 * run / Math.abs(curvature);
      double polar = Math.asin(Math.min(1, x * x / a2)) / 2;
      double side = Math.signum(curvature);
      return new double[] {x * Math.cos(polar), side * x * Math.sin(polar), side * 3 * polar};
    }
    return new double[] {x, height(x, run), Math.atan(slope(x, run))};
  }

  /** Length of the curve from its flat end to x. */
  private double lengthOver(double x, double whole) {
    double knee = law.knee() * whole;
    return x <= knee
        ? lengthOver(0, x, whole)
        : lengthOver(0, knee, whole) + lengthOver(knee, x, whole);
  }

  /** By Gauss–Legendre on eight panels. */
  private double lengthOver(double from, double to, double whole) {
    int panels = 8;
    double half = (to - from) / panels / 2;
    double sum = 0;
    for (int p = 0; p < panels; p++) {
      double middle = from + (2 * p + 1) * half;
      for (int k = 0; k < NODE.length; k++) {
        sum +=
            WEIGHT[k]
                * (rate(middle - half * NODE[k], whole) + rate(middle + half * NODE[k], whole));
      }
    }
    return sum * half;
  }

  /** Length along the curve for each metre of x, or of the chord. */
  private double rate(double x, double whole) {
    if (law == SpiralLaw.RADIOID) {
      double q = x * x * curvature / (3 * whole); // (r/a)², with a² = 3·C/k
      return 1 / Math.sqrt(Math.max(1e-12, 1 - q * q));
    }
    return Math.hypot(1, slope(x, whole));
  }

  private double height(double x, double whole) {
    double u = x / whole;
    double scale = curvature * whole * whole;
    return switch (law) {
      case CUBIC -> scale * u * u * u / 6;
      case CUBIC_PARABOLA -> curvature * x * x * x / (6 * length);
      case BIQUADRATIC_PARABOLA ->
          u < 0.5
              ? scale * u * u * u * u / 6
              : scale * (u * u / 2 - u / 2 - Math.pow(1 - u, 4) / 6 + 7.0 / 48);
      case SINE_HALF_WAVE ->
          scale * (u * u / 4 - (1 - Math.cos(Math.PI * u)) / (2 * Math.PI * Math.PI));
      default -> throw new IllegalStateException(law.name());
    };
  }

  private double slope(double x, double whole) {
    double u = x / whole;
    double scale = curvature * whole;
    return switch (law) {
      case CUBIC -> scale * u * u / 2;
      case CUBIC_PARABOLA -> curvature * x * x / (2 * length);
      case BIQUADRATIC_PARABOLA ->
          u < 0.5 ? scale * 2 * u * u * u / 3 : scale * (u - 0.5 + 2 * Math.pow(1 - u, 3) / 3);
      case SINE_HALF_WAVE -> scale * (u / 2 - Math.sin(Math.PI * u) / (2 * Math.PI));
      default -> throw new IllegalStateException(law.name());
    };
  }
}
