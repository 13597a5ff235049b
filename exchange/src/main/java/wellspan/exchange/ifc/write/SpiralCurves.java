package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.real;
import static wellspan.exchange.ifc.write.StepValue.reals;
import static wellspan.exchange.ifc.write.StepValue.ref;

import java.io.IOException;
import java.util.List;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;

/**
 * Writes the curves of transitions. Terms by ISO 16739-1:2024: curvature of the clothoid is
 * A/|A³|·s, of the polynomial spirals a sum of sign(Aₙ)/|Aₙ|ⁿ⁺¹·sⁿ, of the cosine spiral 1/A₀ +
 * 1/A₁·cos(πs/L), of the sine spiral 1/A₀ + A₁/|A₁|·(s/A₁)²/s + 1/A₂·sin(2πs/L); the cubic parabola
 * is y = x³/(6·R·L).
 *
 * @param unit metres in the file's unit
 */
record SpiralCurves(StepWriter step, AlignmentCurves curves, double unit) {
  /**
   * The segments of a transition, one but for the law of two halves.
   *
   * @param at where it starts
   */
  List<Integer> segments(PlanElement.Spiral s, String transition, int at) throws IOException {
    double length = s.length() / unit;
    double k0 = s.startCurvature() * unit;
    double change = s.endCurvature() * unit - k0;
    return switch (s.law()) {
      case CLOTHOID -> {
        double a = Math.signum(change) * Math.sqrt(length / Math.abs(change));
        int parent = step.add("IfcClothoid", ref(curves.origin()), real(a));
        yield List.of(curves.segment(transition, at, k0 * a * Math.abs(a), length, parent));
      }
      case BLOSS -> {
        double cubic = term(-2 * change / Math.pow(length, 3), 4);
        double quadratic = term(3 * change / (length * length), 3);
        int parent =
            step.add(
                "IfcThirdOrderPolynomialSpiral",
                ref(curves.origin()),
                real(cubic),
                real(quadratic),
                UNSET,
                constant(k0));
        yield List.of(curves.segment(transition, at, 0, length, parent));
      }
      case COSINE -> {
        int parent =
            step.add(
                "IfcCosineSpiral",
                ref(curves.origin()),
                real(-2 / change),
                constant(k0 + change / 2));
        yield List.of(curves.segment(transition, at, 0, length, parent));
      }
      case SINE -> {
        int parent =
            step.add(
                "IfcSineSpiral",
                ref(curves.origin()),
                real(-2 * Math.PI / change),
                real(term(change / length, 2)),
                constant(k0));
        yield List.of(curves.segment(transition, at, 0, length, parent));
      }
      case BIQUADRATIC -> halves(s, transition, at, length);
      case VIENNESE -> {
        int parent =
            step.add(
                "IfcSeventhOrderPolynomialSpiral",
                ref(curves.origin()),
                real(term(-20 * change / Math.pow(length, 7), 8)),
                real(term(70 * change / Math.pow(length, 6), 7)),
                real(term(-84 * change / Math.pow(length, 5), 6)),
                real(term(35 * change / Math.pow(length, 4), 5)),
                UNSET,
                UNSET,
                UNSET,
                constant(k0));
        yield List.of(curves.segment(transition, at, 0, length, parent));
      }
      case CUBIC_PARABOLA -> {
        boolean opening = s.startCurvature() == 0;
        double bend = change / (6 * length); // run back from its flat end where it flattens
        int parent =
            step.add(
                "IfcPolynomialCurve",
                ref(curves.origin()),
                reals(0, 1),
                reals(0, 0, 0, bend),
                UNSET);
        yield List.of(
            opening
                ? curves.segment(transition, at, 0, length, parent)
                : curves.segment(transition, at, length, -length, parent));
      }
      case CUBIC, BIQUADRATIC_PARABOLA, SINE_HALF_WAVE, RADIOID ->
          throw new IllegalStateException(SpiralTypes.of(s));
    };
  }

  /**
   * Two parabolas of curvature: k₀ + 2·Δ·t² up to the middle, k₀ + Δ·(1 − 2·(1 − t)²) behind it.
   */
  private List<Integer> halves(PlanElement.Spiral s, String transition, int at, double length)
      throws IOException {
    double k0 = s.startCurvature() * unit;
    double change = s.endCurvature() * unit - k0;
    double square = 2 * change / (length * length);
    int first =
        step.add(
            "IfcSecondOrderPolynomialSpiral",
            ref(curves.origin()),
            real(term(square, 3)),
            UNSET,
            constant(k0));
    int second =
        step.add(
            "IfcSecondOrderPolynomialSpiral",
            ref(curves.origin()),
            real(term(-square, 3)),
            real(term(4 * change / length, 2)),
            constant(k0 - change));
    PlanPoint middle = s.at(s.length() / 2);
    int behind = curves.placement(middle.east() / unit, middle.north() / unit, middle.direction());
    return List.of(
        curves.segment("CONTSAMEGRADIENTSAMECURVATURE", at, 0, length / 2, first),
        curves.segment(transition, behind, length / 2, length / 2, second));
  }

  /** The length A with sign(A)/|A|ⁿ = coefficient. */
  private static double term(double coefficient, int power) {
    return Math.signum(coefficient) * Math.pow(Math.abs(coefficient), -1.0 / power);
  }

  private static StepValue constant(double curvature) {
    return curvature == 0 ? UNSET : real(1 / curvature);
  }
}
