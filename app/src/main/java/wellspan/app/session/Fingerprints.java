package wellspan.app.session;

import java.util.HashMap;
import java.util.Map;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;

/** What each item is as it would be sent, reckoned once for a build. Window's thread. */
final class Fingerprints {
  private Build build;
  private final Map<Delivery, Map<ItemId, String>> known = new HashMap<>();

  @SuppressWarnings("ReferenceEquality") // a build is never changed
  String of(Build now, ItemId id, Delivery delivery) {
    if (build != now) {
      known.clear();
      build = now;
    }
    return known
        .computeIfAbsent(delivery, d -> new HashMap<>())
        .computeIfAbsent(id, i -> Packing.fingerprint(now, i, delivery));
  }
}
