package wellspan.exchange.ifc.write;

import java.io.IOException;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.progress.Progress;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;

/** Writes ISO 10303-21 text, one record after the other, each checked against the schema first. */
final class StepWriter {
  private final OutputStream out;
  private final Schema schema;
  private final SchemaGuard guard;
  private final Progress progress;
  private final byte[] buffer = new byte[1 << 16];
  private int fill;
  private int lastId;
  private StepValue owner = StepValue.UNSET;

  StepWriter(OutputStream out, Schema schema, Progress progress) {
    this.out = out;
    this.schema = schema;
    this.guard = new SchemaGuard(schema);
    this.progress = progress;
  }

  void header(
      String fileSchema,
      String description,
      String fileName,
      String timeStamp,
      ProjectInfo info,
      String application)
      throws IOException {
    ascii("ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION((");
    string(description);
    ascii("),'2;1');\nFILE_NAME(");
    string(fileName);
    ascii(",");
    string(timeStamp);
    ascii(",(");
    string(info.author());
    ascii("),(");
    string(info.organisation());
    ascii("),");
    string(application);
    ascii(",");
    string(application);
    ascii(",");
    string(info.authorisation());
    ascii(");\nFILE_SCHEMA((");
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
    ascii(schema.upper(e.name()));
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

  private void string(String s) throws IOException {
    put('\'');
    ascii(StepText.encode(s));
    put('\'');
  }

  @SuppressWarnings("deprecation") // it takes the lower bytes, which is all there is in ASCII
  private void ascii(String s) throws IOException {
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

  private void flush() throws IOException {
    out.write(buffer, 0, fill);
    fill = 0;
  }
}
