package wellspan.app.theme;

import javafx.scene.Node;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/**
 * What is said of a node while the pointer rests on it. A tooltip is a window with a scene of its
 * own, and the lists of a job would make hundreds before anybody asks for one: it is made when the
 * pointer first comes to the node. Window's thread.
 */
public final class Hint {
  private final Node node;
  private String words = "";
  private Tooltip shown;

  private Hint(Node node) {
    this.node = node;
    node.addEventHandler(MouseEvent.MOUSE_ENTERED, e -> update(true));
  }

  /**
   * Says so of a node from now on, to the eye and to a screen reader.
   *
   * @param words empty if nothing is to be said any more
   */
  public static void say(Node node, String words) {
    ((Hint) node.getProperties().computeIfAbsent(Hint.class, k -> new Hint(node))).take(words);
  }

  private void take(String now) {
    words = now;
    node.setAccessibleHelp(now.isEmpty() ? null : now);
    update(false);
  }

  private void update(boolean asked) {
    if (words.isEmpty()) {
      if (shown != null) {
        Tooltip.uninstall(node, shown);
        shown = null;
      }
    } else if (shown != null) {
      shown.setText(words);
    } else if (asked) {
      shown = new Tooltip(words);
      Tooltip.install(node, shown);
    }
  }
}
