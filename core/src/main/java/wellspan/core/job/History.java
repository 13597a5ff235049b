package wellspan.core.job;

import java.util.ArrayList;
import java.util.List;

/** A job with what it was before and what was undone; immutable. */
public record History(List<Edit> past, Job now, List<Edit> future) {

  /** A state and the words for the edit that led away from it (past) or to it (future). */
  public record Edit(String what, Job job) {}

  public History {
    past = List.copyOf(past);
    future = List.copyOf(future);
  }

  public static History of(Job job) {
    return new History(List.of(), job, List.of());
  }

  /**
   * @param what the edit in words, such as {@code Move the base point}
   */
  public History edit(String what, Job next) {
    return next.equals(now) ? this : new History(with(past, new Edit(what, now)), next, List.of());
  }

  public boolean canUndo() {
    return !past.isEmpty();
  }

  public boolean canRedo() {
    return !future.isEmpty();
  }

  /** One edit back; the same if there is none. */
  public History undo() {
    if (past.isEmpty()) {
      return this;
    }
    Edit last = past.getLast();
    return new History(
        past.subList(0, past.size() - 1), last.job(), with(future, new Edit(last.what(), now)));
  }

  /** One edit forward; the same if there is none. */
  public History redo() {
    if (future.isEmpty()) {
      return this;
    }
    Edit next = future.getLast();
    return new History(
        with(past, new Edit(next.what(), now)), next.job(), future.subList(0, future.size() - 1));
  }

  private static List<Edit> with(List<Edit> list, Edit e) {
    List<Edit> out = new ArrayList<>(list);
    out.add(e);
    return out;
  }
}
