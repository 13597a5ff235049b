package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import wellspan.core.progress.Progress;
import wellspan.exchange.ifc.schema.Entity;
import wellspan.exchange.ifc.schema.Schema;

/** Writes ISO 10303-21 text, one record after the other, each checked against the schema first. */
final class StepWriter {
  private static final double[] SCALE = {1, 1e1, 1e2, 1e3, 1e4, 1e5, 1e6, 1e7, 1e8, 1e9};

  private final OutputStream out;
  private final SchemaGuard guard;
  private final Progress progress;
  private final byte[] buffer = new byte[1 << 16];
  private int fill;
  private int lastId;
  private StepValue owner = StepValue.UNSET;

  StepWriter(OutputStream out, Schema schema, Progress progress) {
    this.out = out;
    this.guard = new SchemaGuard(schema);
    this.progress = progress;
  }

  void header(
      String fileSchema,
      String description,
      String fileName,
      String timeStamp,
      String author,
      String organisation,
      String application)
      throws IOException {
    ascii("ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((");
    string(description);
    ascii("),'2;1');\nFILE_NAME(");
    string(fileName);
    ascii(",");
    string(timeStamp);
    ascii(",(");
    string(author);
    ascii("),(");
    string(organisation);
    ascii("),");
    string(application);
    ascii(",");
    string(application);
    ascii(",'');\nFILE_SCHEMA((");
    string(fileSchema);
    ascii("));\nENDSEC;\nDATA;\n");
  }

  void end() throws IOException {
    ascii("ENDSEC;\nEND-ISO-10303-21;\n");
    flush();
  }

  /** Number of attributes that the schema gives an entity. */
  int attributeCount(String entity) {
    return guard.entity(entity).attributes().size();
  }

  /** The owner history that rooted objects refer to from now on, where the schema demands one. */
  void ownedBy(int history) {
    owner = StepValue.ref(history);
  }

  StepValue owner() {
    return owner;
  }

  /** Writes a rooted object: its GlobalId, the owner history, and the rest. */
  int root(String entity, String globalId, StepValue... rest) throws IOException {
    StepValue[] values = new StepValue[rest.length + 2];
    values[0] = StepValue.text(globalId);
    values[1] = owner;
    System.arraycopy(rest, 0, values, 2, rest.length);
    return add(entity, values);
  }

  /**
   * Checks and writes one record.
   *
   * @return its number
   * @throws SchemaViolation if the schema does not allow it; nothing of the record is written then
   */
  int add(String entity, StepValue... values) throws IOException {
    Entity e = guard.entity(entity);
    guard.check(e, values);
    int id = ++lastId;
    guard.written(id, e);
    put('#');
    whole(id);
    put('=');
    ascii(e.name().toUpperCase(Locale.ROOT));
    put('(');
    for (int i = 0; i < values.length; i++) {
      if (i > 0) {
        put(',');
      }
      value(values[i]);
    }
    ascii(");\n");
    return id;
  }

  private void value(StepValue v) throws IOException {
    switch (v) {
      case StepValue.Unset() -> put('$');
      case StepValue.Derived() -> put('*');
      case StepValue.Ref(int id) -> {
        put('#');
        whole(id);
      }
      case StepValue.Text(String s) -> string(s);
      case StepValue.Real(double d) -> ascii(real(d));
      case StepValue.Whole(long n) -> whole(n);
      case StepValue.Literal(String name) -> {
        put('.');
        ascii(name);
        put('.');
      }
      case StepValue.Typed(String type, StepValue inner) -> {
        ascii(type.toUpperCase(Locale.ROOT));
        put('(');
        value(inner);
        put(')');
      }
      case StepValue.Many(List<StepValue> values) -> {
        put('(');
        for (int i = 0; i < values.size(); i++) {
          if (i > 0) {
            put(',');
          }
          value(values.get(i));
        }
        put(')');
      }
      case StepValue.Points p -> points(p);
      case StepValue.Triples(int[] t) -> triples(t);
    }
  }

  /** Room for one row of three numbers or indices with brackets and commas. */
  private static final int ROW_BYTES = 128;

  private void points(StepValue.Points p) throws IOException {
    double[] row = new double[3];
    put('(');
    for (int i = 0; i < p.rows(); i++) {
      if ((i & 0xFFFF) == 0) {
        progress.step((double) i / p.rows(), "Writing points");
      }
      p.source().row(i, row);
      if (buffer.length - fill < ROW_BYTES) {
        flush();
      }
      if (i > 0) {
        buffer[fill++] = ',';
      }
      buffer[fill++] = '(';
      fixed(row[0], p.decimals());
      buffer[fill++] = ',';
      fixed(row[1], p.decimals());
      buffer[fill++] = ',';
      fixed(row[2], p.decimals());
      buffer[fill++] = ')';
    }
    put(')');
  }

  private void triples(int[] t) throws IOException {
    put('(');
    for (int i = 0; i < t.length; i += 3) {
      if ((i & 0x3FFFF) == 0) {
        progress.step((double) i / t.length, "Writing triangles");
      }
      if (buffer.length - fill < ROW_BYTES) {
        flush();
      }
      if (i > 0) {
        buffer[fill++] = ',';
      }
      buffer[fill++] = '(';
      fill = Digits.natural(t[i] + 1L, buffer, fill);
      buffer[fill++] = ',';
      fill = Digits.natural(t[i + 1] + 1L, buffer, fill);
      buffer[fill++] = ',';
      fill = Digits.natural(t[i + 2] + 1L, buffer, fill);
      buffer[fill++] = ')';
    }
    put(')');
  }

  /**
   * A real with the fewest digits that read back as the same double; it always has a point, as STEP
   * demands.
   */
  static String real(double d) {
    String s = Double.toString(d);
    int e = s.indexOf('E');
    if (e < 0) {
      return s.endsWith(".0") ? s.substring(0, s.length() - 1) : s;
    }
    String mantissa = s.substring(0, e);
    return (mantissa.endsWith(".0") ? mantissa.substring(0, mantissa.length() - 1) : mantissa)
        + s.substring(e);
  }

  /** A real rounded to decimals, without trailing zeros; there is room for it in the buffer. */
  private void fixed(double d, int decimals) {
    double scaled = d * SCALE[decimals];
    if (!(Math.abs(scaled) < 9e15)) {
      if (!Double.isFinite(d)) {
        throw new SchemaViolation("A coordinate is not a finite number.");
      }
      byte[] b = real(d).getBytes(StandardCharsets.US_ASCII);
      System.arraycopy(b, 0, buffer, fill, b.length);
      fill += b.length;
      return;
    }
    long v = Math.round(scaled);
    if (v < 0) {
      buffer[fill++] = '-';
      v = -v;
    }
    fill = Digits.decimal(v, decimals, buffer, fill);
  }

  private void whole(long n) throws IOException {
    if (buffer.length - fill < 24) {
      flush();
    }
    if (n < 0) {
      buffer[fill++] = '-';
    }
    fill = Digits.natural(Math.abs(n), buffer, fill);
  }

  private void string(String s) throws IOException {
    put('\'');
    ascii(StepText.encode(s));
    put('\'');
  }

  private void ascii(String s) throws IOException {
    byte[] b = s.getBytes(StandardCharsets.US_ASCII);
    if (b.length > buffer.length) {
      flush();
      out.write(b);
      return;
    }
    if (b.length > buffer.length - fill) {
      flush();
    }
    System.arraycopy(b, 0, buffer, fill, b.length);
    fill += b.length;
  }

  private void put(char c) throws IOException {
    if (fill == buffer.length) {
      flush();
    }
    buffer[fill++] = (byte) c;
  }

  private void flush() throws IOException {
    out.write(buffer, 0, fill);
    fill = 0;
  }
}
