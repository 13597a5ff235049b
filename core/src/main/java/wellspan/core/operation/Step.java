package wellspan.core.operation;

import java.util.List;
import java.util.Locale;
import wellspan.core.finding.Finding;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/** An operation that prepares an item. */
public interface Step extends Operation {
  /**
   * Works on an item of a sort that is declared as accepted; the item itself stays as it is.
   *
   * @throws IllegalArgumentException with a sentence, if it cannot be carried out
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  Done apply(Item item, Inputs inputs, Progress progress);

  /**
   * What a step made of an item.
   *
   * @param shape the item's geometry as it is now
   * @param more items made besides
   * @param told what happened, a sentence with figures
   */
  record Done(Shape shape, List<Item> more, String told, List<Finding> findings) {
    public Done(Shape shape, String told) {
      this(shape, List.of(), told, List.of());
    }
  }

  /** A count with its share of a whole. */
  static String share(int some, int all, String what) {
    return String.format(
        Locale.ROOT,
        "%d %s dropped (%.2f %% of %d)",
        some,
        what,
        100.0 * some / Math.max(1, all),
        all);
  }
}
