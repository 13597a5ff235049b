package wellspan.app.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.build.Build;
import wellspan.core.check.JobFindings;
import wellspan.core.check.Mending;
import wellspan.core.finding.Finding;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Step;
import wellspan.core.progress.Progress;

/** Tries what mending every finding of a code would do, before it is done. Window's thread. */
public final class MendDesk {
  /**
   * What mending did to one item.
   *
   * @param points before and after
   * @param pointsAfter of the item as mended
   */
  public record Mended(String item, int points, int pointsAfter) {}

  /**
   * What mending would do.
   *
   * @param step what every item would get, in words
   * @param mends the steps that do it, by item
   * @param refused why the step does nothing for other items, a sentence for each
   * @param findings of the code now
   * @param left of them afterwards
   * @param others findings of other codes that the items would have more than now; below 0 where
   *     they would have fewer
   */
  public record Preview(
      String code,
      String step,
      Map<ItemId, Step> mends,
      List<String> refused,
      List<Mended> items,
      long findings,
      long left,
      long others) {}

  private final Session session;
  private final ReadOnlyObjectWrapper<Optional<Preview>> preview =
      new ReadOnlyObjectWrapper<>(Optional.empty());

  MendDesk(Session session) {
    this.session = session;
    session.buildProperty().addListener((o, a, b) -> leave()); // it was tried on what was before
  }

  /** The trial that waits to be taken or left. */
  public ReadOnlyObjectProperty<Optional<Preview>> previewProperty() {
    return preview.getReadOnlyProperty();
  }

  /** Tries to mend every finding of a code; the job stays as it is. */
  public void look(String code) {
    Build now = session.build();
    Map<ItemId, Step> mends = JobFindings.mends(now, session.findingsProperty().get(), code);
    if (mends.isEmpty()) {
      session.complain("There is no step that mends this.");
      return;
    }
    session
        .work()
        .startBeside(
            "Trying to mend " + mends.size() + (mends.size() == 1 ? " item" : " items"),
            p -> tried(now, code, mends, p),
            t -> preview.set(Optional.of(t)),
            session::complain);
  }

  private static Preview tried(Build now, String code, Map<ItemId, Step> mends, Progress p) {
    Mending mending = Mending.of(now, mends, p);
    Build then = mending.then();
    List<Mended> items = new ArrayList<>();
    for (ItemId id : mending.done().keySet()) {
      items.add(new Mended(now.items().get(id).item().name(), points(now, id), points(then, id)));
    }
    List<Finding> before = JobFindings.about(now, mends.keySet(), p);
    List<Finding> after = JobFindings.about(then, mends.keySet(), p);
    long findings = count(before, code);
    long left = count(after, code);
    return new Preview(
        code,
        mends.values().iterator().next().title(),
        mending.done(),
        List.copyOf(mending.refused().values()),
        items,
        findings,
        left,
        after.size() - left - (before.size() - findings));
  }

  private static int points(Build build, ItemId id) {
    Build.BuiltItem built = build.items().get(id);
    return built == null ? 0 : built.item().shape().pointCount();
  }

  private static long count(List<Finding> all, String code) {
    return all.stream().filter(f -> f.code().equals(code)).count();
  }

  /** Does what was tried, as one edit. */
  public void take() {
    preview
        .get()
        .ifPresent(
            t -> {
              leave();
              session.edit("Mend all: " + t.code(), j -> JobFindings.mended(j, t.mends()));
            });
  }

  public void leave() {
    preview.set(Optional.empty());
  }
}
