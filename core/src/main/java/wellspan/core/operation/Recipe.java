package wellspan.core.operation;

import java.util.List;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;

/** An operation that makes an item that no source holds. */
public interface Recipe extends Operation {
  /** Name of what is made. */
  String name();

  @Override
  default String title() {
    return getClass().getAnnotation(Declared.class).title() + " " + name();
  }

  /**
   * @throws IllegalArgumentException with a sentence, if it cannot be made
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  Made make(Inputs inputs, Progress progress);

  /**
   * What a recipe made.
   *
   * @param items nothing, if it failed
   * @param told what happened, a sentence with figures
   */
  record Made(List<Item> items, String told, List<Finding> findings) {
    /** One item about which there is nothing to find. */
    public Made(Item item, String told) {
      this(List.of(item), told, List.of());
    }
  }
}
