package wellspan.exchange.ifc.read;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Numbers for the names of types in the order in which they are met. A name is found by its bytes:
 * of millions of instances none makes a text of it again.
 */
final class TypeNumbers {
  private final List<String> names = new ArrayList<>();
  private final Map<String, Integer> numbers = new HashMap<>();
  private byte[][] spellings = new byte[1024][];
  private int[] numberOf = new int[1024];
  private int spelled;

  /** Names in upper case by their numbers. */
  List<String> names() {
    return names;
  }

  /** The number of the type whose name stands between two places, its letters in either case. */
  int of(byte[] bytes, int from, int to) {
    int at = place(spellings, bytes, from, to);
    if (spellings[at] == null) {
      if (2 * spelled >= spellings.length) {
        grow();
        at = place(spellings, bytes, from, to);
      }
      String name =
          new String(bytes, from, to - from, StandardCharsets.ISO_8859_1).toUpperCase(Locale.ROOT);
      Integer number = numbers.get(name);
      if (number == null) {
        number = names.size();
        names.add(name);
        numbers.put(name, number);
      }
      spellings[at] = Arrays.copyOfRange(bytes, from, to);
      numberOf[at] = number;
      spelled++;
    }
    return numberOf[at];
  }

  /** Where a spelling stands in a table, or would. */
  private static int place(byte[][] table, byte[] bytes, int from, int to) {
    int hash = 0;
    for (int i = from; i < to; i++) {
      hash = 31 * hash + bytes[i];
    }
    int at = (hash ^ hash >>> 15) & table.length - 1;
    while (table[at] != null && !Arrays.equals(table[at], 0, table[at].length, bytes, from, to)) {
      at = at + 1 & table.length - 1;
    }
    return at;
  }

  private void grow() {
    byte[][] more = new byte[2 * spellings.length][];
    int[] numbersOfMore = new int[more.length];
    for (int i = 0; i < spellings.length; i++) {
      if (spellings[i] != null) {
        int at = place(more, spellings[i], 0, spellings[i].length);
        more[at] = spellings[i];
        numbersOfMore[at] = numberOf[i];
      }
    }
    spellings = more;
    numberOf = numbersOfMore;
  }
}
