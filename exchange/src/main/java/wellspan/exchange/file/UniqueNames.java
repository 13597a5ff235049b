package wellspan.exchange.file;

import java.util.HashSet;
import java.util.Set;

/** Keeps item names unique within their kind: the second of a name gets a number. */
public final class UniqueNames {
  private final Set<String> taken = new HashSet<>();

  public String of(String kind, String name) {
    String candidate = name;
    for (int n = 2; !taken.add(kind + "\u0000" + candidate); n++) {
      candidate = name + " (" + n + ")";
    }
    return candidate;
  }
}
