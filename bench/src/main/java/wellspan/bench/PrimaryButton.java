package wellspan.bench;

import javafx.event.Event;
import javafx.event.EventType;
import javafx.scene.Node;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;

/** The hand on the mouse: its primary button over a node. */
final class PrimaryButton {
  private PrimaryButton() {}

  /**
   * @param x pixels from the left of the node
   * @param y pixels from its top
   */
  static void fire(Node on, EventType<MouseEvent> type, double x, double y) {
    Event.fireEvent(
        on,
        new MouseEvent(
            type,
            x,
            y,
            x,
            y,
            MouseButton.PRIMARY,
            1,
            false,
            false,
            false,
            false,
            true,
            false,
            false,
            false,
            false,
            false,
            null));
  }
}
