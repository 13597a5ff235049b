package wellspan.app.stage;

import java.util.concurrent.atomic.AtomicBoolean;
import javafx.application.Platform;

/**
 * Something that is done once on the window's thread, after what it does now, however often it is
 * asked for until then. May be asked for by any thread.
 */
final class Soon {
  private final Runnable what;
  private final AtomicBoolean asked = new AtomicBoolean();

  Soon(Runnable what) {
    this.what = what;
  }

  void ask() {
    if (asked.compareAndSet(false, true)) {
      Platform.runLater(
          () -> {
            asked.set(false);
            what.run();
          });
    }
  }

  /** Whether it was asked for and is not begun yet. */
  boolean isAsked() {
    return asked.get();
  }
}
