package wellspan.app.stage;

import java.util.concurrent.atomic.AtomicBoolean;
import wellspan.core.geom.Box;
import wellspan.core.shape.PlanShare;
import wellspan.core.shape.Shape;

/** Windows that show a part of the plan whole, beside what floats over it. */
final class PlanFit {
  /** What the sign of north takes of the upper right corner, with some room around it, pixels. */
  private static final double WIDE = 106;

  private static final double HIGH = 180;

  /** Room above that lets the work begin below the sign, pixels. */
  private static final double BELOW = HIGH - PlanWindow.TOP;

  /** Shares of a thing that may be covered: the end of a line may not, a corner of a ring may. */
  private static final double OF_LINE = 0.02;

  private static final double OF_RING = 0.1;

  /** Ends of a ring are not farther apart, metres. */
  private static final double CLOSED = 0.01;

  private PlanFit() {}

  /**
   * The window for a part of the plan. The sign of north may lie over ground, and over a corner of
   * an outline, but not over a line, a point or a body of what is to be seen whole.
   *
   * @param legend whether there is one, which stands below the sign or beside it
   */
  static PlanWindow of(SeenItems seen, Box box, double width, double height, boolean legend) {
    PlanWindow whole =
        PlanWindow.fit(box, width, height, legend ? SurfaceLegend.room(height) : 0, 0);
    if (legend || !isWorkUnderNorth(seen, box, whole)) {
      return whole;
    }
    PlanWindow beside = PlanWindow.fit(box, width, height, WIDE - 16, 0);
    PlanWindow below = PlanWindow.fit(box, width, height, 0, BELOW);
    return beside.metresPerPixel() < below.metresPerPixel() ? beside : below;
  }

  private static boolean isWorkUnderNorth(SeenItems seen, Box work, PlanWindow w) {
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
          boolean meant = !i.item().kind().surface() && isIn(work, i.item().bounds());
          if (!found.get() && meant) {
            found.set(
                PlanShare.within(i.item().shape(), corner)
                    > (isRing(i.item().shape()) ? OF_RING : OF_LINE));
          }
        });
    return found.get();
  }

  private static boolean isIn(Box work, Box b) {
    return b.minE() >= work.minE()
        && b.maxE() <= work.maxE()
        && b.minN() >= work.minN()
        && b.maxN() <= work.maxN();
  }

  private static boolean isRing(Shape s) {
    return s instanceof Shape.Lines l && l.lines().stream().allMatch(p -> p.isClosed(CLOSED));
  }
}
