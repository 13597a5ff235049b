package wellspan.app.place;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import javafx.geometry.Rectangle2D;

/**
 * Places of cards over a picture, each as near as it can to where it belongs: within the picture,
 * and off the cards before it. Pixels.
 */
final class CardPlaces {
  private static final double GAP = 6;

  /** Cards are wide and low: in a row along an edge they hide less than in a pile. */
  private static final double UPRIGHT = 14;

  private final Rectangle2D area;
  private final List<Rectangle2D> taken = new ArrayList<>();

  /**
   * @param area in which all of them stay; one that is larger begins at its upper left corner
   */
  CardPlaces(Rectangle2D area) {
    this.area = area;
  }

  /** Where the next card of a size stands that belongs at a place. */
  Rectangle2D next(double x, double y, double width, double height) {
    Rectangle2D wished = within(x, y, width, height);
    List<Double> across =
        beside(wished.getMinX(), width, Rectangle2D::getMinX, Rectangle2D::getMaxX);
    List<Double> down =
        beside(wished.getMinY(), height, Rectangle2D::getMinY, Rectangle2D::getMaxY);
    Optional<Rectangle2D> free =
        across.stream()
            .flatMap(left -> down.stream().map(top -> within(left, top, width, height)))
            .filter(r -> taken.stream().noneMatch(t -> wide(t).intersects(r)))
            .min(Comparator.comparingDouble(r -> distance(r, wished)));
    taken.add(free.orElse(wished));
    return taken.getLast();
  }

  private List<Double> beside(
      double wished,
      double size,
      ToDoubleFunction<Rectangle2D> low,
      ToDoubleFunction<Rectangle2D> high) {
    List<Double> out = new ArrayList<>(List.of(wished));
    for (Rectangle2D t : taken) {
      out.add(low.applyAsDouble(t) - size - GAP);
      out.add(high.applyAsDouble(t) + GAP);
    }
    return out;
  }

  private Rectangle2D within(double x, double y, double width, double height) {
    double right = Math.max(area.getMinX(), area.getMaxX() - width);
    double bottom = Math.max(area.getMinY(), area.getMaxY() - height);
    return new Rectangle2D(
        Math.rint(Math.clamp(x, area.getMinX(), right)),
        Math.rint(Math.clamp(y, area.getMinY(), bottom)),
        width,
        height);
  }

  /** A card with half of the gap around it. */
  private static Rectangle2D wide(Rectangle2D r) {
    return new Rectangle2D(
        r.getMinX() - GAP / 2, r.getMinY() - GAP / 2, r.getWidth() + GAP, r.getHeight() + GAP);
  }

  private static double distance(Rectangle2D a, Rectangle2D b) {
    return Math.hypot(a.getMinX() - b.getMinX(), UPRIGHT * (a.getMinY() - b.getMinY()));
  }
}
