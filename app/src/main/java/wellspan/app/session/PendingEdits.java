package wellspan.app.session;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import wellspan.core.job.History;
import wellspan.core.job.Job;

/**
 * Edits that are recorded and not shown yet, oldest first: work is under way for one of them. If
 * that work ends without a result, its edit is taken out and the others stay.
 */
final class PendingEdits {
  private record Pending(String what, UnaryOperator<Job> change) {}

  private final List<Pending> edits = new ArrayList<>();

  void add(String what, UnaryOperator<Job> change) {
    edits.add(new Pending(what, change));
  }

  void clear() {
    edits.clear();
  }

  /**
   * Forgets those that led to a job that is now shown.
   *
   * @param before the job as it was before the oldest of them
   */
  void shown(Job before, Job shown) {
    Job at = before;
    for (int i = 0; i < edits.size(); i++) {
      at = edits.get(i).change().apply(at);
      if (at.equals(shown)) {
        edits.subList(0, i + 1).clear();
        return;
      }
    }
  }

  /**
   * The history without the edit that cannot be shown.
   *
   * @param canBeShown whether a job can be shown without work
   * @return the same history if nothing is pending
   */
  History withoutTheUnshown(History history, Predicate<Job> canBeShown) {
    if (edits.isEmpty()) {
      return history;
    }
    History out = history;
    for (int i = 0; i < edits.size(); i++) {
      out = out.undo();
    }
    int culprit = culprit(out.now(), canBeShown);
    edits.remove(culprit);
    for (Pending p : edits) {
      out = out.edit(p.what(), p.change().apply(out.now()));
    }
    return out;
  }

  private int culprit(Job before, Predicate<Job> canBeShown) {
    Job at = before;
    for (int i = 0; i < edits.size(); i++) {
      at = edits.get(i).change().apply(at);
      if (!canBeShown.test(at)) {
        return i;
      }
    }
    return edits.size() - 1;
  }
}
