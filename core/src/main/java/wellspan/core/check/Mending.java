package wellspan.core.check;

import java.util.LinkedHashMap;
import java.util.Map;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.core.replay.StepOutcome;
import wellspan.core.shape.Shape;

/**
 * Steps that were tried on a job. One that cannot do what it should, or changes nothing, is not
 * among those that are kept: it would stand in the job and fail at every opening.
 *
 * @param then the job with the steps that are done
 * @param done the steps that mend, by item
 * @param told what each of them did, a sentence
 * @param refused why the others did nothing, a sentence for each
 */
public record Mending(
    Build then, Map<ItemId, Step> done, Map<ItemId, String> told, Map<ItemId, String> refused) {
  /**
   * Tries them; nothing is saved. Takes as long as making anew what depends on the items, twice
   * where a step fails.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static Mending of(Build now, Map<ItemId, Step> steps, Progress progress) {
    Build all = with(now, steps, progress.part(0, 0.6));
    Map<ItemId, Step> done = new LinkedHashMap<>();
    Map<ItemId, String> told = new LinkedHashMap<>();
    Map<ItemId, String> refused = new LinkedHashMap<>();
    steps.forEach(
        (id, step) -> {
          StepOutcome o = all.results().shaped().get(id).outcomes().getLast();
          boolean mends = !o.failed() && !o.item().shape().equals(shape(now, id));
          (mends ? told : refused).put(id, o.told());
          if (mends) {
            done.put(id, step);
          }
        });
    Build then = refused.isEmpty() ? all : with(now, done, progress.part(0.6, 1));
    return new Mending(then, done, told, refused);
  }

  private static Shape shape(Build build, ItemId id) {
    Build.BuiltItem built = build.items().get(id);
    return built == null ? null : built.item().shape();
  }

  private static Build with(Build now, Map<ItemId, Step> steps, Progress progress) {
    return now.next(JobFindings.mended(now.job(), steps), now.raw(), progress);
  }
}
