package wellspan.exchange.file;

import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Files that lie beside another one under its name. */
public final class Beside {
  private Beside() {}

  /** The file with another ending of either case; it may not exist. */
  public static Path of(Path file, String ending) {
    String name = String.valueOf(file.getFileName());
    String stem = name.substring(0, Math.max(0, name.lastIndexOf('.')));
    Path upper = file.resolveSibling(stem + "." + ending.toUpperCase(Locale.ROOT));
    return Files.exists(upper) ? upper : file.resolveSibling(stem + "." + ending);
  }
}
