package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import wellspan.core.progress.Progress;
import wellspan.exchange.file.ReadException;

/**
 * The records of an ISO 10303-21 file by their numbers; values are parsed when they are asked for,
 * by any thread.
 */
final class StepFile {
  /** Bytes that neither end a statement nor change what ends it. */
  private static final boolean[] PLAIN = new boolean[128];

  static {
    Arrays.fill(PLAIN, true);
    for (char c : ";()'/".toCharArray()) {
      PLAIN[c] = false;
    }
  }

  private static final int USUAL = 8;

  private final Path file;
  private final byte[] bytes;
  private final TypeNumbers types = new TypeNumbers();
  private int[] ids = new int[1024];
  private int[] offsets = new int[1024];
  private int[] typeOf = new int[1024];
  private int size;
  private final Map<String, Integer> header = new HashMap<>();
  private int[][] slotsByType = {};
  private int[] slotById = {};
  private Map<Integer, Integer> sparse = Map.of();

  private final Set<Integer> repeated = new HashSet<>();

  private StepFile(Path file, byte[] bytes) {
    this.file = file;
    this.bytes = bytes;
  }

  static StepFile open(Path file, Progress progress) throws IOException {
    long length = Files.size(file);
    if (length > Integer.MAX_VALUE - 16) {
      throw new ReadException(
          file,
          "the file has "
              + length / 1_000_000
              + " MB; STEP files up to 2 000 MB can be read. Ask for it in parts.");
    }
    progress.advance(0, "Reading " + file.getFileName());
    StepFile f = new StepFile(file, PackedStep.bytes(file, Integer.MAX_VALUE));
    try {
      f.scan(progress);
      f.index();
      f.groupByType();
    } catch (StepSyntaxException e) {
      throw f.fault(e);
    }
    return f;
  }

  ReadException fault(StepSyntaxException e) {
    return new ReadException(
        file,
        lineOf(e.offset()),
        e.getMessage() + ". The STEP text is broken; ask for the file again.");
  }

  private long lineOf(int offset) {
    long line = 1;
    for (int i = 0; i < Math.min(offset, bytes.length); i++) {
      if (bytes[i] == '\n') {
        line++;
      }
    }
    return line;
  }

  private void scan(Progress progress) throws IOException {
    int at = blanks(0);
    if (!startsWith(at, "ISO-10303-21;")) {
      throw new ReadException(file, "this is no STEP file: it does not start with ISO-10303-21.");
    }
    at += 13;
    boolean ended = false;
    boolean inData = false;
    while (true) {
      at = blanks(at);
      if (at >= bytes.length) {
        break;
      }
      if (bytes[at] == '#') {
        if ((size & 0xFFFF) == 0) {
          progress.advance(0.5 * at / bytes.length, "Reading " + file.getFileName());
        }
        at = record(at);
        continue;
      }
      int from = at;
      while (at < bytes.length
          && (Character.isLetterOrDigit(bytes[at]) || bytes[at] == '_' || bytes[at] == '-')) {
        at++;
      }
      String word =
          new String(bytes, from, at - from, StandardCharsets.ISO_8859_1).toUpperCase(Locale.ROOT);
      inData |= word.equals("DATA");
      ended |= word.equals("END-ISO-10303-21");
      if (word.isEmpty()) {
        throw new StepSyntaxException(
            at, "unexpected character '" + (char) (bytes[at] & 0xFF) + "'");
      }
      if (!inData) {
        header.put(word, blanks(at));
      }
      at = endOfStatement(at);
    }
    if (!ended) {
      throw new ReadException(
          file,
          lineOf(bytes.length),
          "the file ends too early: END-ISO-10303-21 is missing. Ask for the file again.");
    }
  }

  private int record(int start) {
    int at = start + 1;
    long id = 0;
    while (at < bytes.length && bytes[at] >= '0' && bytes[at] <= '9' && id < Integer.MAX_VALUE) {
      id = 10 * id + (bytes[at++] - '0');
    }
    if (at == start + 1 || id > Integer.MAX_VALUE) {
      throw new StepSyntaxException(start, "the number of an instance is missing or too large");
    }
    at = blanks(at);
    if (at >= bytes.length || bytes[at] != '=') {
      throw new StepSyntaxException(start, "'=' is missing after #" + id);
    }
    at = blanks(at + 1);
    int from = at;
    while (at < bytes.length && (Character.isLetterOrDigit(bytes[at]) || bytes[at] == '_')) {
      at++;
    }
    if (size == ids.length) {
      ids = Arrays.copyOf(ids, 2 * size);
      offsets = Arrays.copyOf(offsets, 2 * size);
      typeOf = Arrays.copyOf(typeOf, 2 * size);
    }
    ids[size] = (int) id;
    offsets[size] = blanks(at);
    typeOf[size++] = types.of(bytes, from, at);
    return endOfStatement(at);
  }

  private int endOfStatement(int from) {
    int at = from;
    int depth = 0;
    while (at < bytes.length) {
      byte c = bytes[at++];
      if (c >= 0 && PLAIN[c]) {
        continue;
      }
      if (c == ';') {
        if (depth != 0) {
          throw new StepSyntaxException(from, "a parenthesis is missing");
        }
        return at;
      }
      if (c == '(') {
        depth++;
      } else if (c == ')') {
        depth--;
      } else if (c == '\'') {
        while (at < bytes.length && bytes[at] != '\'') {
          at++;
        }
        at++;
      } else if (c == '/' && at < bytes.length && bytes[at] == '*') {
        at = blanks(at - 1);
      }
    }
    throw new StepSyntaxException(from, "a record does not end with ';'");
  }

  private int blanks(int from) {
    int at = from;
    while (at < bytes.length) {
      if (bytes[at] == '/' && at + 1 < bytes.length && bytes[at + 1] == '*') {
        at += 2;
        while (at + 1 < bytes.length && !(bytes[at] == '*' && bytes[at + 1] == '/')) {
          at++;
        }
        at += 2;
      } else if (bytes[at] >= 0 && bytes[at] <= ' ') {
        at++;
      } else {
        break;
      }
    }
    return Math.min(at, bytes.length);
  }

  private boolean startsWith(int at, String word) {
    return at + word.length() <= bytes.length
        && new String(bytes, at, word.length(), StandardCharsets.ISO_8859_1).equals(word);
  }

  private void index() {
    int max = 0;
    for (int i = 0; i < size; i++) {
      max = Math.max(max, ids[i]);
    }
    boolean dense = max < 8L * size + 1024;
    if (dense) {
      slotById = new int[max + 1];
    } else {
      sparse = new HashMap<>();
    }
    for (int i = 0; i < size; i++) {
      boolean twice = dense ? slotById[ids[i]] != 0 : sparse.containsKey(ids[i]);
      if (twice) {
        repeated.add(ids[i]); // which of them is meant, nobody can tell
      } else if (dense) {
        slotById[ids[i]] = i + 1;
      } else {
        sparse.put(ids[i], i + 1);
      }
    }
  }

  /** The parameters of a header record, empty if there is none. */
  List<Value> headerOf(String name) {
    Integer at = header.get(name);
    return at == null ? List.of() : new StepParser(bytes, at).parameters(USUAL);
  }

  int size() {
    return size;
  }

  /** Number of the instance in a slot, 0 … size − 1, in the order of the file. */
  int idAt(int slot) {
    return ids[slot];
  }

  /** Types of the file in upper case, in the order of their numbers. */
  List<String> types() {
    return List.copyOf(types.names());
  }

  /** The number of the type of the instance in a slot. */
  int typeNumber(int slot) {
    return typeOf[slot];
  }

  /** Slots of the instances of some types, in the order of the file. */
  int[] slotsOf(BitSet wanted) {
    int n = wanted.stream().map(t -> slotsByType[t].length).sum();
    int[] out = new int[n];
    int at = 0;
    for (int t = wanted.nextSetBit(0); t >= 0; t = wanted.nextSetBit(t + 1)) {
      System.arraycopy(slotsByType[t], 0, out, at, slotsByType[t].length);
      at += slotsByType[t].length;
    }
    if (wanted.cardinality() > 1) {
      Arrays.sort(out);
    }
    return out;
  }

  private void groupByType() {
    int[] n = new int[types.names().size()];
    for (int i = 0; i < size; i++) {
      n[typeOf[i]]++;
    }
    slotsByType = new int[types.names().size()][];
    for (int t = 0; t < n.length; t++) {
      slotsByType[t] = new int[n[t]];
      n[t] = 0;
    }
    for (int i = 0; i < size; i++) {
      slotsByType[typeOf[i]][n[typeOf[i]]++] = i;
    }
  }

  /** Whether a number is given to several instances; the first of them is found by it. */
  boolean isRepeated(int id) {
    return !repeated.isEmpty() && repeated.contains(id);
  }

  /** The slot of an instance, −1 if it does not exist. */
  int slotOf(int id) {
    if (slotById.length > 0) {
      return id >= 0 && id < slotById.length ? slotById[id] - 1 : -1;
    }
    return sparse.getOrDefault(id, 0) - 1;
  }

  /**
   * The values of the instance in a slot.
   *
   * @param usual how many there usually are
   */
  List<Value> parameters(int slot, int usual) {
    return new StepParser(bytes, offsets[slot]).parameters(usual);
  }

  /** Numbers of instances by type, in upper case. */
  Map<String, Integer> counts() {
    int[] n = new int[types.names().size()];
    for (int i = 0; i < size; i++) {
      n[typeOf[i]]++;
    }
    Map<String, Integer> out = new HashMap<>();
    for (int i = 0; i < n.length; i++) {
      out.put(types.names().get(i), n[i]);
    }
    return out;
  }
}
