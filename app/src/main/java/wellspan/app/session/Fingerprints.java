package wellspan.app.session;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;

/**
 * What each item is as it would be sent, reckoned once for a build: at once where there are few
 * items, else on a thread of its own, so that no list waits for it. Window's thread.
 */
final class Fingerprints {
  /** So many items are reckoned within a frame or two. */
  static final int AT_ONCE = 1_000;

  private final int atOnce;
  private final Executor window;
  private final Runnable reckoned;
  private Build build;
  private final Map<Delivery, Map<ItemId, String>> known = new HashMap<>();
  private final Set<Delivery> underWay = new HashSet<>();
  private Delivery asked;
  private Map<ItemId, String> all;

  /**
   * @param atOnce items up to which nobody has to wait
   * @param window runs things on the window's thread
   * @param reckoned told when more is known
   */
  Fingerprints(int atOnce, Executor window, Runnable reckoned) {
    this.atOnce = atOnce;
    this.window = window;
    this.reckoned = reckoned;
  }

  /** Empty while it is being reckoned. */
  @SuppressWarnings("ReferenceEquality") // builds and deliveries are never changed
  Optional<String> of(Build now, ItemId id, Delivery delivery) {
    if (build != now) {
      known.clear();
      underWay.clear();
      asked = null;
      all = null;
      build = now;
    }
    if (now.items().size() <= atOnce) {
      return Optional.of(
          known
              .computeIfAbsent(delivery, d -> new HashMap<>())
              .computeIfAbsent(id, i -> Packing.fingerprint(now, i, delivery)));
    }
    if (delivery != asked) { // thousands of items are asked of one delivery in turn
      asked = delivery;
      all = known.get(delivery);
    }
    if (all != null) {
      return Optional.of(all.getOrDefault(id, ""));
    }
    if (underWay.add(delivery)) {
      Thread.ofPlatform().daemon().name("fingerprints").start(() -> reckon(now, delivery));
    }
    return Optional.empty();
  }

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  private void reckon(Build of, Delivery delivery) {
    Map<ItemId, String> found = new HashMap<>();
    of.items().keySet().forEach(id -> found.put(id, Packing.fingerprint(of, id, delivery)));
    window.execute(
        () -> {
          if (build == of) {
            known.put(delivery, found);
            asked = null;
            reckoned.run();
          }
        });
  }
}
