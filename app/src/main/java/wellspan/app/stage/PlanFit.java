package wellspan.app.stage;

import java.util.concurrent.atomic.AtomicBoolean;
import wellspan.core.geom.Box;
import wellspan.core.shape.PlanShare;

/** Windows that show a part of the plan whole, beside what floats over it. */
final class PlanFit {
  /** What the sign of north takes of the upper right corner, with some room around it, pixels. */
  private static final double WIDE = 106;

  private static final double HIGH = 180;

  /** Room above that lets the work begin below the sign, pixels. */
  private static final double BELOW = HIGH - 92;

  /** A thing of which more is covered is to be seen elsewhere. */
  private static final double MUCH = 0.05;

  private PlanFit() {}

  /**
   * The window for a part of the plan. The sign of north may lie over ground, and over a corner of
   * an outline, but not over a line, a point or a body that is the work.
   *
   * @param legend whether there is one, which stands below the sign or beside it
   */
  static PlanWindow of(SeenItems seen, Box box, double width, double height, boolean legend) {
    PlanWindow whole =
        PlanWindow.fit(box, width, height, legend ? SurfaceLegend.room(height) : 0, 0);
    if (legend || !isWorkUnderNorth(seen, whole)) {
      return whole;
    }
    PlanWindow beside = PlanWindow.fit(box, width, height, WIDE - 16, 0);
    PlanWindow below = PlanWindow.fit(box, width, height, 0, BELOW);
    return beside.metresPerPixel() < below.metresPerPixel() ? beside : below;
  }

  private static boolean isWorkUnderNorth(SeenItems seen, PlanWindow w) {
    Box corner =
        new Box(
            w.eastAt(w.width() - WIDE), w.northAt(HIGH), 0, w.eastAt(w.width()), w.northAt(0), 0);
    AtomicBoolean found = new AtomicBoolean();
    seen.within(
        corner.minE(),
        corner.minN(),
        corner.maxE(),
        corner.maxN(),
        i -> {
          if (!found.get() && !i.item().kind().surface()) {
            found.set(PlanShare.within(i.item().shape(), corner) > MUCH);
          }
        });
    return found.get();
  }
}
