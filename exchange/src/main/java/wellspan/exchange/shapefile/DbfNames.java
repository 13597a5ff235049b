package wellspan.exchange.shapefile;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.exchange.file.FileBytes;

/** The names of features out of a dBASE table. */
final class DbfNames {
  /** Columns that name a feature, the likeliest first. */
  private static final List<String> NAMING =
      List.of(
          "NAME", "NAVN", "NOM", "NOMBRE", "ID", "PKT", "PUNKT", "POINT", "NR", "NUMBER", "CODE");

  private DbfNames() {}

  /**
   * @return one name for each record; empty if there is no table or no column that names
   */
  static List<String> read(Path table, Path codePage) throws IOException {
    if (!Files.isRegularFile(table)) {
      return List.of();
    }
    Charset charset = charset(codePage);
    try (FileBytes bytes = new FileBytes(table)) {
      ByteBuffer head = bytes.at(0, 32, ByteOrder.LITTLE_ENDIAN);
      int records = head.getInt(4);
      int start = Short.toUnsignedInt(head.getShort(8));
      int length = Short.toUnsignedInt(head.getShort(10));
      int best = Integer.MAX_VALUE;
      int from = -1;
      int width = 0;
      int offset = 1;
      for (int at = 32; at + 32 < start; at += 32) {
        byte[] field = bytes.bytes(at, 32);
        if (field[0] == 0x0D) {
          break;
        }
        String name =
            new String(field, 0, 11, StandardCharsets.US_ASCII)
                .replaceAll("\0.*", "")
                .strip()
                .toUpperCase(Locale.ROOT);
        int size = Byte.toUnsignedInt(field[16]);
        int order = NAMING.indexOf(name);
        if (order >= 0 && order < best) {
          best = order;
          from = offset;
          width = size;
        }
        offset += size;
      }
      if (from < 0
          || length < from + width
          || (long) start + (long) records * length > bytes.size()) {
        return List.of();
      }
      List<String> out = new ArrayList<>();
      for (int r = 0; r < records; r++) {
        byte[] row = bytes.bytes(start + (long) r * length + from, width);
        out.add(new String(row, charset).strip());
      }
      return out;
    }
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
