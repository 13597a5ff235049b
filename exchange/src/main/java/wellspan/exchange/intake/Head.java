package wellspan.exchange.intake;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;

/**
 * The beginning of a file, by which its format is found.
 *
 * @param text the bytes as characters, UTF-8 or UTF-16
 */
record Head(Path file, byte[] bytes, String text) {
  private static final int LENGTH = 4096;

  /** Endings of files that are read as lists of points if nothing tells another format. */
  static final List<String> LISTS = List.of(".csv", ".txt", ".xyz", ".pts", ".asc", ".dat");

  static Head of(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      byte[] b = in.readNBytes(LENGTH);
      String s = new String(b, utf16(b) ? StandardCharsets.UTF_16 : StandardCharsets.UTF_8);
      return new Head(file, b, s.startsWith("\uFEFF") ? s.substring(1) : s);
    }
  }

  boolean isUtf16() {
    return utf16(bytes);
  }

  private static boolean utf16(byte[] b) {
    return b.length > 1
        && ((b[0] & 0xFF) == 0xFE && (b[1] & 0xFF) == 0xFF
            || (b[0] & 0xFF) == 0xFF && (b[1] & 0xFF) == 0xFE);
  }

  boolean isXml() {
    return text.stripLeading().startsWith("<");
  }

  boolean isNamedAsList() {
    String name = String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT);
    return LISTS.stream().anyMatch(name::endsWith);
  }
}
