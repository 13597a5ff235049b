package wellspan.cli;

import java.nio.file.Files;
import java.nio.file.Path;
import wellspan.core.crs.Crs;
import wellspan.core.crs.CrsCatalogue;
import wellspan.core.crs.CrsTextException;
import wellspan.core.crs.OwnSystem;

/** A coordinate reference system as it is named on the command line. */
final class SystemOption {
  private SystemOption() {}

  /**
   * A system of the catalogue by its code, or one of its own.
   *
   * @param definition PROJ or WKT text, empty for the catalogue's
   */
  record Named(Crs crs, String definition) {}

  /**
   * @param text EPSG code, PROJ text, or a file that holds WKT or PROJ text
   * @throws IllegalArgumentException with a sentence
   */
  static Named of(String text) {
    var known = CrsCatalogue.shipped().find(text);
    if (known.isPresent()) {
      return new Named(known.get(), "");
    }
    try {
      if (text.contains("+proj=") || text.contains("[")) {
        return new Named(OwnSystem.of("", text), text.strip());
      }
      Path file = Path.of(text);
      if (Files.isRegularFile(file)) {
        String content = Files.readString(file).strip();
        String name = file.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        return new Named(OwnSystem.of(name, content), content);
      }
    } catch (CrsTextException | java.io.IOException e) {
      throw new IllegalArgumentException(text + ": " + e.getMessage(), e);
    } catch (java.nio.file.InvalidPathException e) {
      // no file name either; said below
    }
    throw new IllegalArgumentException(
        text
            + " "
            + CrsCatalogue.shipped().whyMissing(text)
            + ". Name one as EPSG:n, as PROJ text, or as a file with its WKT.");
  }
}
