package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Rectangle2D;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.input.ScrollEvent;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.core.geom.Position;
import wellspan.core.item.ItemId;

/**
 * Moves the plan by mouse and keys, and takes clicks for what is to be picked, read or selected.
 */
final class PlanPointer {
  private static final double PICK_PIXELS = 7;
  private static final double KEY_STEP = 80;
  private static final double KEY_ZOOM = 1.4;

  /** Clicks that wander farther are drags, pixels. */
  private static final double STILL = 3;

  private final Session session;
  private final PlanView plan;
  private final PlanPlaces places;
  private double pressX;
  private double pressY;
  private double lastX;
  private double lastY;

  PlanPointer(Session session, PlanView plan, PlanPlaces places) {
    this.session = session;
    this.plan = plan;
    this.places = places;
    plan.setOnScroll(this::zoom);
    plan.setOnMousePressed(this::press);
    plan.setOnMouseDragged(this::drag);
    plan.setOnMouseReleased(this::release);
    plan.setOnMouseMoved(this::point);
    plan.setOnMouseExited(e -> session.aim().pointerProperty().set(Optional.empty()));
    plan.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
  }

  private PlanWindow window() {
    return plan.window();
  }

  private Position at(MouseEvent e) {
    return places.at(window().eastAt(e.getX()), window().northAt(e.getY()));
  }

  private void move(PlanWindow to) {
    session.aim().motion().moved();
    plan.show(to);
  }

  private void zoom(ScrollEvent e) {
    if (e.getDeltaY() != 0) {
      move(window().zoomed(Math.pow(1.0016, e.getDeltaY()), e.getX(), e.getY()));
    }
  }

  private void press(MouseEvent e) {
    plan.requestFocus();
    pressX = lastX = e.getX();
    pressY = lastY = e.getY();
  }

  private void drag(MouseEvent e) {
    if (e.isShiftDown() && session.place().pickProperty().get() == Pick.NONE) {
      if (Math.hypot(e.getX() - pressX, e.getY() - pressY) > STILL) {
        plan.setRectangle(Optional.of(rectangle(e)));
      }
      return;
    }
    plan.setRectangle(Optional.empty());
    move(window().moved(e.getX() - lastX, e.getY() - lastY));
    lastX = e.getX();
    lastY = e.getY();
  }

  private Rectangle2D rectangle(MouseEvent e) {
    return new Rectangle2D(
        Math.min(pressX, e.getX()),
        Math.min(pressY, e.getY()),
        Math.abs(e.getX() - pressX),
        Math.abs(e.getY() - pressY));
  }

  /** Takes what lies wholly in the rectangle; with Ctrl besides what is selected already. */
  private void select(MouseEvent e) {
    Rectangle2D r = rectangle(e);
    List<ItemId> found = new ArrayList<>();
    plan.seen()
        .whollyWithin(
            window().eastAt(r.getMinX()),
            window().northAt(r.getMaxY()),
            window().eastAt(r.getMaxX()),
            window().northAt(r.getMinY()),
            i -> found.add(i.id()));
    if (e.isControlDown()) {
      session.selection().add(found);
    } else {
      session.selection().choose(found);
    }
  }

  private void release(MouseEvent e) {
    if (plan.isDrawingRectangle()) {
      plan.setRectangle(Optional.empty());
      select(e);
      return;
    }
    if (Math.hypot(e.getX() - pressX, e.getY() - pressY) > STILL
        || e.getButton() != MouseButton.PRIMARY) {
      return;
    }
    Position at = at(e);
    if (session.place().pickProperty().get() == Pick.OUTLINE) {
      session.shape().corner(at);
    } else if (session.place().pickProperty().get() != Pick.NONE) {
      session.place().clicked(at, PICK_PIXELS * window().metresPerPixel());
    } else if (e.isShiftDown()) {
      session.place().probeProperty().set(Optional.of(at));
    } else {
      Optional<ItemId> hit = places.item(at, PICK_PIXELS * window().metresPerPixel());
      if (e.isControlDown()) {
        hit.ifPresent(session.selection()::toggle);
      } else {
        session.selectedProperty().set(hit);
      }
    }
  }

  private void point(MouseEvent e) {
    session.aim().pointerProperty().set(Optional.of(at(e)));
  }

  private void key(KeyEvent e) {
    switch (e.getCode()) {
      case LEFT -> move(window().moved(KEY_STEP, 0));
      case RIGHT -> move(window().moved(-KEY_STEP, 0));
      case UP -> move(window().moved(0, KEY_STEP));
      case DOWN -> move(window().moved(0, -KEY_STEP));
      case PLUS, ADD, EQUALS ->
          move(window().zoomed(KEY_ZOOM, plan.getWidth() / 2, plan.getHeight() / 2));
      case MINUS, SUBTRACT ->
          move(window().zoomed(1 / KEY_ZOOM, plan.getWidth() / 2, plan.getHeight() / 2));
      default -> {
        return;
      }
    }
    e.consume();
  }
}
