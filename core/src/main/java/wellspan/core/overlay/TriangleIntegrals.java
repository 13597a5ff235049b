package wellspan.core.overlay;

/**
 * Exact integrals of a function that is linear over a triangle, from its three corner values.
 * Formulas follow from integrating barycentric coordinates over the triangle.
 */
final class TriangleIntegrals {
  private TriangleIntegrals() {}

  /** ∫ d². */
  static double square(double area, double a, double b, double c) {
    return area / 6 * (a * a + b * b + c * c + a * b + b * c + c * a);
  }

  /** ∫ max(d, 0). */
  static double positive(double area, double a, double b, double c) {
    double sum = area / 3 * (a + b + c);
    int above = (a > 0 ? 1 : 0) + (b > 0 ? 1 : 0) + (c > 0 ? 1 : 0);
    return switch (above) {
      case 0 -> 0;
      case 3 -> sum;
      case 1 ->
          a > 0 ? corner(area, a, b, c) : b > 0 ? corner(area, b, c, a) : corner(area, c, a, b);
      default ->
          a <= 0
              ? sum - corner(area, a, b, c)
              : b <= 0 ? sum - corner(area, b, c, a) : sum - corner(area, c, a, b);
    };
  }

  /**
   * ∫ d over the part where it has the sign of its value at one corner, the others' being other.
   */
  private static double corner(double area, double d, double o, double p) {
    return d == 0 ? 0 : area * d * d * d / (3 * (d - o) * (d - p));
  }

  /** Area of the part where d &lt; level. */
  static double areaBelow(double level, double area, double a, double b, double c) {
    double low = Math.min(a, Math.min(b, c));
    double high = Math.max(a, Math.max(b, c));
    double mid = Math.max(Math.min(a, b), Math.min(Math.max(a, b), c));
    if (level <= low) {
      return 0;
    }
    if (level >= high) {
      return area;
    }
    if (level <= mid) {
      return area * (level - low) * (level - low) / ((mid - low) * (high - low));
    }
    return area * (1 - (high - level) * (high - level) / ((high - mid) * (high - low)));
  }
}
