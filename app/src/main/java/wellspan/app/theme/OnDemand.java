package wellspan.app.theme;

import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.Node;

/**
 * A part of the window that is made when it is shown first: a window stands sooner without what
 * nobody looks at yet. Used on the window's thread.
 */
public final class OnDemand<N extends Node> {
  private final Supplier<N> maker;
  private Optional<N> made = Optional.empty();

  public OnDemand(Supplier<N> maker) {
    this.maker = maker;
  }

  /** The part, made now if it was not. */
  public N get() {
    if (made.isEmpty()) {
      made = Optional.of(maker.get());
    }
    return made.get();
  }

  /** The part, if it was ever shown. */
  public Optional<N> made() {
    return made;
  }

  /** Shows or hides it, with its room; hiding what was never shown makes nothing. */
  public void setVisible(boolean shown) {
    if (shown) {
      set(get(), true);
    } else {
      made.ifPresent(n -> set(n, false));
    }
  }

  public boolean isVisible() {
    return made.map(Node::isVisible).orElse(false);
  }

  private static void set(Node n, boolean shown) {
    n.setVisible(shown);
    n.setManaged(shown);
  }
}
