package wellspan.exchange.shapefile.read;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import wellspan.core.attribute.PropertyValue;
import wellspan.exchange.feature.AttributeValue;
import wellspan.exchange.file.FileBytes;

/** The fields of features out of a dBASE table, one row for each record of the shapefile. */
final class DbfTable {
  /** Columns that name a feature, the likeliest first. */
  private static final List<String> NAMING =
      List.of(
          "NAME", "NAVN", "NOM", "NOMBRE", "ID", "PKT", "PUNKT", "POINT", "NR", "NUMBER", "CODE");

  private static final int FIELD = 32;
  private static final byte END_OF_FIELDS = 0x0D;

  private record Field(String name, char type, int offset, int width) {}

  private final List<Field> fields;
  private final List<byte[]> rows;
  private final Charset charset;
  private final String doubt;

  private DbfTable(List<Field> fields, List<byte[]> rows, Charset charset, String doubt) {
    this.fields = fields;
    this.rows = rows;
    this.charset = charset;
    this.doubt = doubt;
  }

  /** The table beside a shapefile; an empty one if there is none. */
  static DbfTable read(Path table, Path codePage) throws IOException {
    if (!Files.isRegularFile(table)) {
      return new DbfTable(List.of(), List.of(), StandardCharsets.ISO_8859_1, "");
    }
    try (FileBytes bytes = new FileBytes(table)) {
      if (bytes.size() < FIELD) {
        return broken("it is too short");
      }
      ByteBuffer head = bytes.at(0, FIELD, ByteOrder.LITTLE_ENDIAN);
      int records = head.getInt(4);
      int start = Short.toUnsignedInt(head.getShort(8));
      int length = Short.toUnsignedInt(head.getShort(10));
      if (start > bytes.size() || records < 0) {
        return broken("its head does not fit its size");
      }
      List<Field> fields = new ArrayList<>();
      int offset = 1;
      for (int at = FIELD; at + FIELD <= start; at += FIELD) {
        byte[] field = bytes.bytes(at, FIELD);
        if (field[0] == END_OF_FIELDS) {
          break;
        }
        String name =
            new String(field, 0, 11, StandardCharsets.ISO_8859_1).replaceAll("\0.*", "").strip();
        int width = Byte.toUnsignedInt(field[16]);
        fields.add(new Field(name, (char) field[11], offset, width));
        offset += width;
      }
      if (offset > length) {
        return broken("its fields are longer than its rows");
      }
      List<byte[]> rows = new ArrayList<>();
      for (int r = 0; r < records && start + (r + 1L) * length <= bytes.size(); r++) {
        rows.add(bytes.bytes(start + (long) r * length, length));
      }
      String doubt =
          rows.size() < records ? "it ends after " + rows.size() + " of " + records + " rows" : "";
      return new DbfTable(fields, rows, charset(codePage), doubt);
    }
  }

  private static DbfTable broken(String why) {
    return new DbfTable(List.of(), List.of(), StandardCharsets.ISO_8859_1, why);
  }

  /** Why fields are missing; empty if none are. */
  String doubt() {
    return doubt;
  }

  int size() {
    return rows.size();
  }

  /** What a record is called; empty if no column names it. */
  String name(int record) {
    if (record >= rows.size()) {
      return "";
    }
    return NAMING.stream()
        .flatMap(n -> fields.stream().filter(f -> f.name().equalsIgnoreCase(n)))
        .findFirst()
        .map(f -> raw(record, f))
        .orElse("");
  }

  /** The fields of a record by their names, in the order of the table. */
  Map<String, PropertyValue> attributes(int record) {
    Map<String, PropertyValue> out = new LinkedHashMap<>();
    if (record < rows.size()) {
      for (Field f : fields) {
        out.put(f.name(), value(f, raw(record, f)));
      }
    }
    return out;
  }

  private String raw(int record, Field f) {
    return new String(rows.get(record), f.offset(), f.width(), charset).replace('\0', ' ').strip();
  }

  private static PropertyValue value(Field f, String raw) {
    if (raw.isEmpty() || raw.chars().allMatch(c -> c == '*')) {
      return new PropertyValue.Empty();
    }
    return switch (f.type()) {
      case 'N', 'F', 'I', 'O', 'B' -> AttributeValue.number(raw);
      case 'L' ->
          switch (raw.toUpperCase(Locale.ROOT)) {
            case "T", "Y" -> new PropertyValue.Flag(true);
            case "F", "N" -> new PropertyValue.Flag(false);
            default -> new PropertyValue.Empty();
          };
      case 'D' ->
          raw.matches("\\d{8}")
              ? new PropertyValue.Words(
                  "IfcDate",
                  raw.substring(0, 4) + "-" + raw.substring(4, 6) + "-" + raw.substring(6))
              : AttributeValue.text(raw);
      default -> AttributeValue.text(raw);
    };
  }

  private static Charset charset(Path codePage) throws IOException {
    if (Files.isRegularFile(codePage) && Files.size(codePage) < 100) {
      String name = Files.readString(codePage, StandardCharsets.ISO_8859_1).strip();
      try {
        return Charset.forName(name.matches("\\d+") ? "windows-" + name : name);
      } catch (IllegalArgumentException e) {
        return StandardCharsets.ISO_8859_1;
      }
    }
    return StandardCharsets.ISO_8859_1;
  }
}
