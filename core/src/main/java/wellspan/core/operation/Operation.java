package wellspan.core.operation;

import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import wellspan.core.item.ItemId;

/**
 * A recorded, replayable piece of work: a record whose components are its parameters. It carries
 * {@link Declared}, its components {@link Parameter}.
 */
public interface Operation {
  /** What it does, for lists and undo. */
  default String title() {
    return getClass().getAnnotation(Declared.class).title();
  }

  /** Other items that it looks at: those that its parameters name. */
  default List<ItemId> uses() {
    List<ItemId> out = new ArrayList<>();
    for (RecordComponent c : getClass().getRecordComponents()) {
      named(Parameters.value(c, this), out);
    }
    return out;
  }

  private static void named(Object value, List<ItemId> out) {
    switch (value) {
      case ItemId id -> {
        if (!id.value().isEmpty()) { // an empty one stands for none
          out.add(id);
        }
      }
      case Outline o -> o.item().ifPresent(out::add);
      case Collection<?> all -> all.forEach(v -> named(v, out));
      default -> {} // a number, a word, a rule
    }
  }
}
