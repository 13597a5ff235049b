package wellspan.exchange.dxf.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.exchange.file.UniqueNames;

/** The groups of one entity, table entry or block; filled anew for each to spare the memory. */
final class Entity {
  private static final int EMBEDDED_OBJECT = 101;
  private static final int EXTENDED = 1000;

  private final Map<String, String> spellings = new HashMap<>();

  /** Names of layers by what stands in the file: hundreds of thousands of entities ask for few. */
  private final Map<String, String> layers = new HashMap<>();

  private String type = "";
  private int[] codes = new int[64];
  private double[] numbers = new double[64];
  private String[] texts = new String[64];
  private int count;

  /** One bit for each code below 64: most questions to an entity are whether it has a code. */
  private long seen;

  /**
   * Takes the entity whose type stands in the current group, and moves on to the next entity's.
   *
   * @throws wellspan.exchange.file.ReadException if the drawing ends before
   */
  void read(Groups groups) throws IOException {
    type = groups.text();
    count = 0;
    seen = 0;
    boolean own = true;
    while (true) {
      if (!groups.next()) {
        throw groups.fault(
            "the drawing ends without its end mark. It was cut off; ask for it again.");
      }
      int code = groups.code();
      if (code == 0) {
        return;
      }
      own &= code != EMBEDDED_OBJECT;
      if (own && code < EXTENDED && code != 999) {
        take(code, groups);
      }
    }
  }

  private void take(int code, Groups groups) throws IOException {
    if (isText(code)) {
      if (code > 8) { // handles, subclass marks, application data
        return;
      }
      room();
      texts[count] = groups.text();
    } else if (code >= 310 && code <= 319) {
      return;
    } else {
      room();
      numbers[count] = groups.number();
    }
    codes[count++] = code;
    seen |= code >= 0 && code < Long.SIZE ? 1L << code : 0;
  }

  private void room() {
    if (count == codes.length) {
      codes = Arrays.copyOf(codes, 2 * count);
      numbers = Arrays.copyOf(numbers, 2 * count);
      texts = Arrays.copyOf(texts, 2 * count);
    }
  }

  private static boolean isText(int code) {
    return code <= 9
        || code >= 100 && code <= 109
        || code >= 300 && code <= 369
        || code >= 390 && code <= 399
        || code >= 410 && code <= 419
        || code >= 430 && code <= 439
        || code >= 470 && code <= 481;
  }

  String type() {
    return type;
  }

  int count() {
    return count;
  }

  int code(int i) {
    return codes[i];
  }

  double value(int i) {
    return numbers[i];
  }

  /** The first number of a code. */
  double number(int code, double otherwise) {
    if (!has(code)) {
      return otherwise;
    }
    for (int i = 0; i < count; i++) {
      if (codes[i] == code) {
        return numbers[i];
      }
    }
    return otherwise;
  }

  boolean has(int code) {
    if (code >= 0 && code < Long.SIZE) {
      return (seen & 1L << code) != 0;
    }
    for (int i = 0; i < count; i++) {
      if (codes[i] == code) {
        return true;
      }
    }
    return false;
  }

  int whole(int code, int otherwise) {
    return (int) number(code, otherwise);
  }

  /** The first text of a code, empty if there is none. */
  String text(int code) {
    for (int i = 0; i < count; i++) {
      if (codes[i] == code) {
        return texts[i];
      }
    }
    return "";
  }

  /** All texts of a code in their order, one behind the other. */
  String texts(int code) {
    StringBuilder out = new StringBuilder();
    for (int i = 0; i < count; i++) {
      if (codes[i] == code) {
        out.append(texts[i]);
      }
    }
    return out.toString();
  }

  /** All numbers of a code in their order. */
  double[] all(int code) {
    double[] out = new double[count];
    int n = 0;
    for (int i = 0; i < count; i++) {
      if (codes[i] == code) {
        out[n++] = numbers[i];
      }
    }
    return Arrays.copyOf(out, n);
  }

  /** A point: its codes are x, x + 10 and x + 20; what is missing is zero. */
  double[] point(int x) {
    return new double[] {number(x, 0), number(x + 10, 0), number(x + 20, 0)};
  }

  /** All points that start with a code, each with the coordinates that follow it. */
  List<double[]> points(int x) {
    List<double[]> out = new ArrayList<>();
    for (int i = 0; i < count; i++) {
      if (codes[i] == x) {
        out.add(new double[] {numbers[i], 0, 0});
      } else if (!out.isEmpty() && codes[i] == x + 10) {
        out.getLast()[1] = numbers[i];
      } else if (!out.isEmpty() && codes[i] == x + 20) {
        out.getLast()[2] = numbers[i];
      }
    }
    return out;
  }

  /** The layer; "0" if the entity does not say. */
  String layer() {
    String written = text(8);
    String known = layers.get(written); // without the object of a lambda for each entity
    if (known == null) {
      known = spelled(DrawnText.name(written.isEmpty() ? "0" : written));
      layers.put(written, known);
    }
    return known;
  }

  /** Names of layers do not know case: all spellings are the first that was met. */
  String spelled(String layer) {
    return spellings.computeIfAbsent(UniqueNames.folded(layer), k -> layer);
  }

  /** The direction that the entity's own plane faces; straight up if it does not say. */
  double[] extrusion() {
    return new double[] {number(210, 0), number(220, 0), number(230, 1)};
  }
}
