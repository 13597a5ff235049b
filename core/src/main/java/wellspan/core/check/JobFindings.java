package wellspan.core.check;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.flaw.AlignmentChecks;
import wellspan.core.flaw.CoveredPlaces;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;
import wellspan.core.replay.RecordedStep;

/** Everything the checks find in a job, for window and command line alike. */
public final class JobFindings {
  private JobFindings() {}

  /**
   * With the ground looked at here; takes as long as all checks of all surfaces.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static List<Finding> of(Build build, Progress progress) {
    CoveredPlaces covers = CoveredPlaces.of(items(build));
    return of(build, i -> GroundChecks.of(i, covers, progress));
  }

  /**
   * With what was found in the ground already.
   *
   * @param ground flaws of an item, as far as they are known
   */
  public static List<Finding> of(Build build, Function<Item, List<Finding>> ground) {
    List<Finding> out = new ArrayList<>(build.findings());
    build
        .items()
        .forEach(
            (id, b) -> {
              ground.apply(b.item()).forEach(f -> out.add(f.about(id)));
              AlignmentChecks.of(b.item()).forEach(f -> out.add(f.about(id)));
            });
    return out;
  }

  /**
   * What the checks find in some items, those that are not there left out; takes as long as the
   * checks of these.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static List<Finding> about(Build build, Set<ItemId> some, Progress progress) {
    CoveredPlaces covers = CoveredPlaces.of(items(build));
    List<Finding> out = new ArrayList<>();
    build.findings().stream()
        .filter(f -> f.subject().filter(some::contains).isPresent())
        .forEach(out::add);
    for (ItemId id : some) {
      Build.BuiltItem built = build.items().get(id);
      if (built != null) { // else it is gone, and nothing is found in it
        GroundChecks.of(built.item(), covers, progress).forEach(f -> out.add(f.about(id)));
        AlignmentChecks.of(built.item()).forEach(f -> out.add(f.about(id)));
      }
    }
    return out;
  }

  private static List<Item> items(Build build) {
    return build.items().values().stream().map(Build.BuiltItem::item).toList();
  }

  /**
   * The job with the step that mends a code added to every item that has such a finding.
   *
   * @return the steps by the item they were added to; empty if there is nothing to mend
   */
  public static Map<ItemId, Step> mends(Build build, List<Finding> findings, String code) {
    Map<ItemId, Step> out = new LinkedHashMap<>();
    for (Finding f : findings) {
      if (f.code().equals(code) && f.subject().isPresent()) {
        ItemId id = f.subject().get();
        Build.BuiltItem item = build.items().get(id);
        Check.of(code)
            .filter(c -> item != null)
            .flatMap(c -> c.mendFor(item.item()))
            .ifPresent(step -> out.put(id, step));
      }
    }
    // what was made of an item that is mended is made anew, and better
    Set<ItemId> found = Set.copyOf(out.keySet());
    out.keySet().removeIf(id -> build.results().uses(id).stream().anyMatch(found::contains));
    return out;
  }

  /** A job with steps added. */
  public static Job mended(Job job, Map<ItemId, Step> steps) {
    Job out = job;
    for (Map.Entry<ItemId, Step> e : steps.entrySet()) {
      List<RecordedStep> all = new ArrayList<>(out.stepsOf(e.getKey()));
      all.add(RecordedStep.of(e.getValue()));
      out = out.withSteps(e.getKey(), all);
    }
    return out;
  }
}
