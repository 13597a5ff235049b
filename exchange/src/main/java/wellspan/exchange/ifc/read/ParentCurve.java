package wellspan.exchange.ifc.read;

import java.util.List;
import java.util.Optional;
import java.util.function.DoubleUnaryOperator;

/**
 * A parent curve in its own plane, by length along it: where it is and which way it goes. Evaluated
 * on its own, from the definitions in ISO 16739-1:2024, so that geometry and layout of an alignment
 * check each other.
 */
interface ParentCurve {
  /** Terms of polynomial spirals by their power of the length. */
  List<String> TERMS =
      List.of(
          "ConstantTerm",
          "LinearTerm",
          "QuadraticTerm",
          "CubicTerm",
          "QuarticTerm",
          "QuinticTerm",
          "SexticTerm",
          "SepticTerm");

  /** x, y and direction (radians) at a length along the curve. */
  double[] at(double s);

  /**
   * @param length of the segment that uses the curve; cosine and sine spirals are defined over it
   * @param metre the length of a metre in the model's unit
   */
  static Optional<ParentCurve> of(Instance curve, double length, double metre) {
    return switch (curve.entity().name()) {
      case "IfcLine" -> {
        double[] p = Placement.point(curve.ref("Pnt"));
        double[] d =
            curve
                .ref("Dir")
                .flatMap(v -> v.ref("Orientation"))
                .map(o -> o.numbers("DirectionRatios"))
                .filter(v -> v.length >= 2)
                .orElse(new double[] {1, 0});
        double a = Math.atan2(d[1], d[0]);
        yield Optional.of(s -> new double[] {p[0] + s * Math.cos(a), p[1] + s * Math.sin(a), a});
      }
      case "IfcCircle" -> {
        double r = curve.number("Radius");
        yield Optional.of(
            s -> new double[] {r * Math.cos(s / r), r * Math.sin(s / r), s / r + Math.PI / 2});
      }
      case "IfcClothoid" -> {
        double a = curve.number("ClothoidConstant");
        yield Optional.of(spiral(metre, s -> Math.signum(a) * s * s / (2 * a * a)));
      }
      case "IfcSecondOrderPolynomialSpiral",
          "IfcThirdOrderPolynomialSpiral",
          "IfcSeventhOrderPolynomialSpiral" ->
          Optional.of(spiral(metre, turned(curve)));
      case "IfcCosineSpiral" -> {
        double k = coefficient(curve, "CosineTerm", 1);
        double k0 = coefficient(curve, "ConstantTerm", 1);
        yield Optional.of(
            spiral(metre, s -> k0 * s + k * length / Math.PI * Math.sin(Math.PI * s / length)));
      }
      case "IfcSineSpiral" -> {
        double k = coefficient(curve, "SineTerm", 1);
        double k1 = coefficient(curve, "LinearTerm", 2);
        double k0 = coefficient(curve, "ConstantTerm", 1);
        double w = 2 * Math.PI / length;
        yield Optional.of(
            spiral(metre, s -> k0 * s + k1 * s * s / 2 + k / w * (1 - Math.cos(w * s))));
      }
      case "IfcPolynomialCurve" ->
          Optional.of(polynomial(curve.numbers("CoefficientsX"), curve.numbers("CoefficientsY")));
      default -> Optional.empty();
    };
  }

  /** The direction along a polynomial spiral: the sum of kₙ·sⁿ⁺¹/(n+1). */
  private static DoubleUnaryOperator turned(Instance curve) {
    double[] k = new double[TERMS.size()];
    for (int n = 0; n < k.length; n++) {
      k[n] = coefficient(curve, TERMS.get(n), n + 1) / (n + 1);
    }
    return s -> {
      double sum = 0;
      for (int n = k.length - 1; n >= 0; n--) {
        sum = (sum + k[n]) * s;
      }
      return sum;
    };
  }

  private static double coefficient(Instance curve, String term, int power) {
    double a = curve.number(term);
    return Double.isNaN(a) ? 0 : Math.signum(a) / Math.pow(Math.abs(a), power);
  }

  /** Integrates the direction by Simpson's rule on quarter metres or finer. */
  private static ParentCurve spiral(double metre, DoubleUnaryOperator direction) {
    return s -> {
      int n = 2 * (int) Math.max(16, Math.ceil(Math.abs(s) / metre * 2));
      double h = s / n;
      double x = 0;
      double y = 0;
      for (int i = 0; i <= n; i++) {
        double w = i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2;
        double a = direction.applyAsDouble(i * h);
        x += w * Math.cos(a);
        y += w * Math.sin(a);
      }
      return new double[] {x * h / 3, y * h / 3, direction.applyAsDouble(s)};
    };
  }

  /** Length along y(x) where x is the parameter itself; found by Newton steps on Simpson sums. */
  private static ParentCurve polynomial(double[] cx, double[] cy) {
    return s -> {
      double t = s;
      for (int i = 0; i < 50; i++) {
        double error = length(cx, cy, t) - s;
        t -= error / Math.hypot(slope(cx, t), slope(cy, t));
        if (Math.abs(error) < 1e-12 * Math.max(1, Math.abs(s))) {
          break;
        }
      }
      return new double[] {value(cx, t), value(cy, t), Math.atan2(slope(cy, t), slope(cx, t))};
    };
  }

  private static double length(double[] cx, double[] cy, double t) {
    int n = 64;
    double h = t / n;
    double sum = 0;
    for (int i = 0; i <= n; i++) {
      double w = i == 0 || i == n ? 1 : i % 2 == 1 ? 4 : 2;
      sum += w * Math.hypot(slope(cx, i * h), slope(cy, i * h));
    }
    return sum * h / 3;
  }

  private static double value(double[] c, double t) {
    double v = 0;
    for (int i = c.length - 1; i >= 0; i--) {
      v = v * t + c[i];
    }
    return v;
  }

  private static double slope(double[] c, double t) {
    double v = 0;
    for (int i = c.length - 1; i >= 1; i--) {
      v = v * t + i * c[i];
    }
    return v;
  }
}
