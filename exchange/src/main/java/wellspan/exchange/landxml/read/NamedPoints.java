package wellspan.exchange.landxml.read;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * The coordinate points of a file by their names, northing, easting and level where there is one,
 * in the file's unit. Of several of one name the first counts, that of the same group before
 * others.
 */
final class NamedPoints {
  private static final int DEEP = 64;

  private record Named(double[] at, String reference) {}

  private final Map<String, Named> all = new HashMap<>();
  private final Map<String, Map<String, Named>> byGroup = new HashMap<>();

  void put(String group, String name, double[] at, String reference) {
    Named n = new Named(at, reference);
    all.putIfAbsent(name, n);
    byGroup.computeIfAbsent(group, k -> new HashMap<>()).putIfAbsent(name, n);
  }

  Optional<double[]> find(String name) {
    return find("", name);
  }

  /** Follows references from point to point; empty if one is missing or they run in a circle. */
  Optional<double[]> find(String group, String name) {
    String wanted = name;
    for (int i = 0; i < DEEP; i++) {
      Named n = byGroup.getOrDefault(group, Map.of()).get(wanted);
      n = n == null || i > 0 && n.reference.equals(wanted) ? all.get(wanted) : n;
      if (n == null) {
        return Optional.empty();
      }
      if (n.reference.isEmpty()) {
        return Optional.of(n.at);
      }
      if (n.reference.equals(wanted)) {
        n = all.get(wanted);
        return n != null && n.reference.isEmpty() ? Optional.of(n.at) : Optional.empty();
      }
      wanted = n.reference;
    }
    return Optional.empty();
  }
}
