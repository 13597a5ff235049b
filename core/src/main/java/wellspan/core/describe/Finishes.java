package wellspan.core.describe;

import java.util.Optional;
import wellspan.core.attribute.Finish;
import wellspan.core.item.Item;

/** The finish that an item gets where nobody chose another. */
public final class Finishes {
  private Finishes() {}

  /**
   * That of its kind; a material that is said to be its own comes first. Empty for lines and
   * points.
   */
  public static Optional<Finish> standard(Item item) {
    Optional<Finish> own = item.attributes().said().finish();
    return own.isPresent() ? own : item.kind().finish();
  }
}
