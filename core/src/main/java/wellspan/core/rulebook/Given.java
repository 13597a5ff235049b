package wellspan.core.rulebook;

import java.util.List;

/** What a member is that a file leaves out. */
final class Given {
  private Given() {}

  static String text(String s) {
    return s == null ? "" : s;
  }

  static <T> List<T> list(List<T> all) {
    return all == null ? List.of() : List.copyOf(all);
  }
}
