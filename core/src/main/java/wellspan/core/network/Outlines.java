package wellspan.core.network;

import java.util.Arrays;

/** Outlines of sections as points, offset and level in turn. */
final class Outlines {
  private Outlines() {}

  /** Radius of the polygon of equal area over that of the circle. */
  static double equalArea(int corners) {
    double a = 2 * Math.PI / corners;
    return Math.sqrt(a / Math.sin(a));
  }

  static double area(double[] outline) {
    double sum = 0;
    int n = outline.length / 2;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      sum += outline[2 * i] * outline[2 * j + 1] - outline[2 * j] * outline[2 * i + 1];
    }
    return sum / 2;
  }

  static double perimeter(double[] outline) {
    double sum = 0;
    int n = outline.length / 2;
    for (int i = 0; i < n; i++) {
      int j = (i + 1) % n;
      sum += Math.hypot(outline[2 * i] - outline[2 * j], outline[2 * i + 1] - outline[2 * j + 1]);
    }
    return sum;
  }

  /**
   * An egg of three arcs that touch: the crown of radius r = W/2 about the height H − r, sides of
   * radius R through the crown's widest points about (±(R − r), H − r), the bottom of radius b =
   * r/2 (less in flat eggs) about (0, b). The sides touch the bottom where R = (h² + (r² − b²)) /
   * (2 (r − b)), h = H − r − b the height between the centres.
   */
  static double[] egg(double height, double width, double beyond, int corners) {
    double r = width / 2;
    double b = r / 2;
    double h = height - r - b;
    double side = (h * h + r * r - b * b) / (2 * (r - b));
    double crown = height - r;
    double turn = Math.atan2(h, side - r); // of the side arc, from the widest point down
    double[] angles = {turn, Math.PI - 2 * turn};
    int sideSteps = Math.max(2, (int) Math.round(corners * 0.15));
    int crownSteps = Math.max(4, corners / 2);
    int bottomSteps = Math.max(2, corners - crownSteps - 2 * sideSteps);
    double[] out = new double[2 * (crownSteps + 2 * sideSteps + bottomSteps)];
    int n = 0;
    n = arc(out, n, 0, crown, r + beyond, 0, Math.PI, crownSteps);
    n = arc(out, n, side - r, crown, side + beyond, Math.PI, Math.PI + angles[0], sideSteps);
    double from = Math.PI + angles[0];
    n = arc(out, n, 0, b, b + beyond, from, from + angles[1], bottomSteps);
    n = arc(out, n, r - side, crown, side + beyond, -angles[0], 0, sideSteps);
    return Arrays.copyOf(out, n);
  }

  /** Points of an arc without its last. */
  private static int arc(
      double[] out, int n, double x, double y, double r, double from, double to, int steps) {
    for (int i = 0; i < steps; i++) {
      double a = from + (to - from) * i / steps;
      out[n++] = x + r * Math.cos(a);
      out[n++] = y + r * Math.sin(a);
    }
    return n;
  }
}
