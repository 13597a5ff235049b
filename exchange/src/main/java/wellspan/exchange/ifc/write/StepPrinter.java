package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;

/** Turns values and records into ISO 10303-21 text. For one thread at a time. */
final class StepPrinter {
  private final OutputStream out;
  private final Schema schema;
  private final Progress progress;
  private final byte[] buffer = new byte[1 << 16];
  private String[] names = new String[0];
  private int fill;

  StepPrinter(OutputStream out, Schema schema, Progress progress) {
    this.out = out;
    this.schema = schema;
    this.progress = progress;
  }

  /** Whether a table is so long that its rows are worth all cores. */
  static boolean isLong(int rows) {
    return rows > RowText.BLOCK;
  }

  void record(StepWriter.Checked r) throws IOException {
    put('#');
    whole(r.id());
    put('=');
    ascii(name(r.entity()));
    put('(');
    StepValue[] values = r.values();
    for (int i = 0; i < values.length; i++) {
      if (i > 0) {
        put(',');
      }
      value(values[i]);
    }
    ascii(");\n");
  }

  /** The name of an entity as it stands in files; asked for at each record. */
  private String name(Entity e) {
    if (e.number() >= names.length) {
      names = Arrays.copyOf(names, 2 * e.number() + 1);
    }
    String known = names[e.number()];
    if (known == null) {
      known = schema.upper(e.name());
      names[e.number()] = known;
    }
    return known;
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
        ascii(schema.upper(type));
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
      case StepValue.Points p -> table(p.rows(), new PointText(p), "Writing points");
      case StepValue.Triples(int[] t) ->
          table(t.length / 3, new TripleText(t), "Writing triangles");
    }
  }

  private void table(int rows, RowText text, String sentence) throws IOException {
    put('(');
    if (rows * (long) RowText.ROW_BYTES > buffer.length) {
      flush();
      text.write(rows, out, progress, sentence);
    } else { // as in a model of many small products
      if (rows * RowText.ROW_BYTES > buffer.length - fill) {
        flush();
      }
      fill = text.append(0, rows, buffer, fill);
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

  private void whole(long n) throws IOException {
    if (buffer.length - fill < 24) {
      flush();
    }
    if (n < 0) {
      buffer[fill++] = '-';
    }
    fill = Digits.natural(Math.abs(n), buffer, fill);
  }

  void string(String s) throws IOException {
    put('\'');
    ascii(StepText.encode(s));
    put('\'');
  }

  @SuppressWarnings("deprecation") // it takes the lower bytes, which is all there is in ASCII
  void ascii(String s) throws IOException {
    int n = s.length();
    if (n > buffer.length) {
      flush();
      out.write(s.getBytes(StandardCharsets.US_ASCII));
      return;
    }
    if (n > buffer.length - fill) {
      flush();
    }
    s.getBytes(0, n, buffer, fill);
    fill += n;
  }

  private void put(char c) throws IOException {
    if (fill == buffer.length) {
      flush();
    }
    buffer[fill++] = (byte) c;
  }

  void flush() throws IOException {
    out.write(buffer, 0, fill);
    fill = 0;
  }
}
