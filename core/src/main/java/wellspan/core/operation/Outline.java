package wellspan.core.operation;

import java.util.List;
import java.util.Optional;
import wellspan.core.item.ItemId;

/** An area in plan. */
public sealed interface Outline {
  /** The item that it is taken from, if it is. */
  Optional<ItemId> item();

  /**
   * Drawn by hand.
   *
   * @param ring easting and northing in twos, shared coordinates
   */
  record Drawn(List<Double> ring) implements Outline {
    public Drawn {
      ring = List.copyOf(ring);
    }

    @Override
    public Optional<ItemId> item() {
      return Optional.empty();
    }
  }

  /**
   * What closed lines enclose, what a surface covers, or the strip along an alignment.
   *
   * @param offset metres to the outside; for an alignment half the strip's width
   */
  record Of(ItemId source, double offset) implements Outline {
    @Override
    public Optional<ItemId> item() {
      return Optional.of(source);
    }
  }
}
