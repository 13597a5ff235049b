package wellspan.core.deliver;

import java.util.List;
import wellspan.core.describe.Description;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.unit.LinearUnit;

/**
 * Everything that one delivery sends, ready for a writer: nothing in it is decided any more.
 *
 * @param project name of the project in the model
 * @param unit length unit of the written file
 * @param ids makes the GlobalIds of what is not an item
 */
public record Parcel(
    String project, Frame frame, LinearUnit unit, GlobalIds ids, List<Piece> pieces) {

  public Parcel {
    pieces = List.copyOf(pieces);
  }

  /**
   * One item to send.
   *
   * @param key identity over all runs, from which GlobalIds of the item's parts are made
   */
  public record Piece(String key, Item item, Description description) {}
}
