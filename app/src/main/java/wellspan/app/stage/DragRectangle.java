package wellspan.app.stage;

import java.util.Optional;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import wellspan.app.theme.Theme;

/** The rectangle that the hand draws to select with, pixels. Window's thread. */
final class DragRectangle {
  private Optional<Rectangle2D> drawn = Optional.empty();

  /**
   * @param r nothing to end it
   * @return whether it is another one: a hand that moves the plan says at each step that there is
   *     none
   */
  boolean set(Optional<Rectangle2D> r) {
    boolean other = !r.equals(drawn);
    drawn = r;
    return other;
  }

  boolean isDrawn() {
    return drawn.isPresent();
  }

  void draw(GraphicsContext g, Theme theme) {
    drawn.ifPresent(
        r -> {
          g.setFill(theme.accent().deriveColor(0, 1, 1, 0.12));
          g.fillRect(r.getMinX(), r.getMinY(), r.getWidth(), r.getHeight());
          g.setStroke(theme.accent());
          g.setLineWidth(1);
          g.strokeRect(r.getMinX(), r.getMinY(), r.getWidth(), r.getHeight());
        });
  }
}
