package wellspan.exchange.file;

import java.util.HashMap;
import java.util.Map;

/** Keeps names unique within their kind: the second of a name gets a number behind. */
public final class UniqueNames {
  /** Names that are taken, with the last number that one of them was given, by kind. */
  private final Map<String, Map<String, Integer>> ofKind = new HashMap<>();

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

  /** In a time that does not grow with the number of things that have the name. */
  public String of(String kind, String name) {
    Map<String, Integer> numbers = ofKind.computeIfAbsent(kind, k -> new HashMap<>());
    String key = key(name);
    Integer last = numbers.putIfAbsent(key, 1);
    if (last == null) {
      return name;
    }
    int n = last + 1;
    while (numbers.putIfAbsent(key(name + before + n + after), 1) != null) {
      n++;
    }
    numbers.put(key, n);
    return name + before + n + after;
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
