package wellspan.app.session;

import java.util.List;
import java.util.concurrent.CompletableFuture;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;

/**
 * What there is to say of a delivery before it runs, worked out once for each state of the job: of
 * thousands of items beside the window, before anybody asks. Window's thread.
 */
final class Outlooks {
  private Build build;
  private Delivery delivery;
  private List<Finding> findings;
  private CompletableFuture<Outlook> known;

  /** Begins to work out what will be asked for next. */
  void prepare(Build now, Delivery of, List<Finding> found) {
    if (now.items().size() > Fingerprints.AT_ONCE && !isKnown(now, of, found)) {
      CompletableFuture<Outlook> next = new CompletableFuture<>();
      keep(now, of, found, next);
      Thread.ofPlatform().daemon().name("outlook").start(() -> complete(next, now, of, found));
    }
  }

  Outlook of(Build now, Delivery of, List<Finding> found) {
    if (!isKnown(now, of, found)) {
      keep(now, of, found, CompletableFuture.completedFuture(Outlook.of(now, of, found)));
    }
    return known.join();
  }

  private static void complete(
      CompletableFuture<Outlook> next, Build now, Delivery of, List<Finding> found) {
    try {
      next.complete(Outlook.of(now, of, found));
    } catch (RuntimeException | Error e) {
      next.completeExceptionally(e); // told to whoever asks
    }
  }

  @SuppressWarnings("ReferenceEquality") // none of them is ever changed
  private boolean isKnown(Build now, Delivery of, List<Finding> found) {
    return build == now && delivery == of && findings == found;
  }

  private void keep(Build now, Delivery of, List<Finding> found, CompletableFuture<Outlook> what) {
    build = now;
    delivery = of;
    findings = found;
    known = what;
  }
}
