package wellspan.exchange.file;

import java.util.HashSet;
import java.util.Set;

/** Keeps names unique within their kind: the second of a name gets a number behind. */
public final class UniqueNames {
  private final Set<String> taken = new HashSet<>();
  private final boolean ignoringCase;
  private final String before;
  private final String after;

  private UniqueNames(boolean ignoringCase, String before, String after) {
    this.ignoringCase = ignoringCase;
    this.before = before;
    this.after = after;
  }

  /** Letter by letter, numbers in brackets. */
  public UniqueNames() {
    this(false, " (", ")");
  }

  /**
   * Names that are the same but for case are one.
   *
   * @param before what stands before the number
   * @param after what stands behind it
   */
  public static UniqueNames ignoringCase(String before, String after) {
    return new UniqueNames(true, before, after);
  }

  public String of(String kind, String name) {
    String candidate = name;
    for (int n = 2; !taken.add(kind + "\u0000" + key(candidate)); n++) {
      candidate = name + before + n + after;
    }
    return candidate;
  }

  private String key(String name) {
    return ignoringCase ? folded(name) : name;
  }

  /** A name without case, letter by letter: ß stays apart from SS, as do i and İ from I. */
  public static String folded(String name) {
    StringBuilder s = new StringBuilder(name.length());
    name.codePoints()
        .map(c -> c == 'İ' || c == 'ı' ? c : Character.toLowerCase(Character.toUpperCase(c)))
        .forEach(s::appendCodePoint);
    return s.toString();
  }
}
