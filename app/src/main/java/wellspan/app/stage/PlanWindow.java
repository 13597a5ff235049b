package wellspan.app.stage;

import java.util.List;
import javafx.geometry.Rectangle2D;
import wellspan.core.geom.Box;

/**
 * The part of the plan that is shown.
 *
 * @param east shared coordinate in the middle of the picture
 * @param metresPerPixel how much ground a pixel covers
 */
record PlanWindow(double east, double north, double metresPerPixel, double width, double height) {
  private static final double FINEST = 0.0005;
  private static final double COARSEST = 50_000;

  /** Room for the switches at the top and for the scale bar, pixels. */
  static final double TOP = 92;

  private static final double BOTTOM = 52;

  /** Room for a line around what is drawn, pixels. */
  private static final double LINE = 2;

  /**
   * All of a box, beside what lies over the plan.
   *
   * @param beside room that is left free at the right, pixels
   * @param above room that is left free below the switches at the top, pixels
   */
  static PlanWindow fit(Box box, double width, double height, double beside, double above) {
    if (box.isEmpty()) {
      return new PlanWindow(0, 0, 1, width, height);
    }
    double scale =
        Math.max(
            box.width() / Math.max(1, width - 60 - beside),
            box.depth() / Math.max(1, height - TOP - above - BOTTOM));
    double clamped = clamp(Math.max(scale, 0.01));
    return new PlanWindow(
        (box.minE() + box.maxE()) / 2 + beside / 2 * clamped,
        (box.minN() + box.maxN()) / 2 + (TOP + above - BOTTOM) / 2 * clamped,
        clamped,
        width,
        height);
  }

  private static double clamp(double scale) {
    return Math.max(FINEST, Math.min(COARSEST, scale));
  }

  double x(double e) {
    return width / 2 + (e - east) / metresPerPixel;
  }

  double y(double n) {
    return height / 2 - (n - north) / metresPerPixel;
  }

  double eastAt(double x) {
    return east + (x - width / 2) * metresPerPixel;
  }

  double northAt(double y) {
    return north - (y - height / 2) * metresPerPixel;
  }

  PlanWindow moved(double dx, double dy) {
    return new PlanWindow(
        east - dx * metresPerPixel, north + dy * metresPerPixel, metresPerPixel, width, height);
  }

  /** Zooms so that the ground under a pixel stays there. */
  PlanWindow zoomed(double factor, double x, double y) {
    double next = clamp(metresPerPixel / factor);
    double e = eastAt(x);
    double n = northAt(y);
    return new PlanWindow(
        e - (x - width / 2) * next, n + (y - height / 2) * next, next, width, height);
  }

  PlanWindow sized(double w, double h) {
    return new PlanWindow(east, north, metresPerPixel, w, h);
  }

  /** The ground in the picture. */
  Box ground() {
    return new Box(eastAt(0), northAt(height), Double.NaN, eastAt(width), northAt(0), Double.NaN);
  }

  /** What boxes cover of the picture with a line around them, whole pixels; empty for none. */
  Rectangle2D pixels(List<Box> boxes) {
    double left = width;
    double right = 0;
    double top = height;
    double bottom = 0;
    for (Box b : boxes) {
      left = Math.min(left, x(b.minE()) - LINE);
      right = Math.max(right, x(b.maxE()) + LINE);
      top = Math.min(top, y(b.maxN()) - LINE);
      bottom = Math.max(bottom, y(b.minN()) + LINE);
    }
    double x = Math.floor(Math.max(0, left));
    double y = Math.floor(Math.max(0, top));
    return new Rectangle2D(
        x,
        y,
        Math.max(0, Math.ceil(Math.min(width, right)) - x),
        Math.max(0, Math.ceil(Math.min(height, bottom)) - y));
  }

  /** Shows so many metres from its lower to its upper edge. */
  PlanWindow reaching(double metres) {
    return new PlanWindow(east, north, clamp(metres / Math.max(1, height)), width, height);
  }

  PlanWindow centred(double e, double n) {
    return new PlanWindow(e, n, metresPerPixel, width, height);
  }
}
