package wellspan.exchange.file;

import java.io.IOException;
import java.nio.file.Path;

/**
 * A file that cannot be read; the message is a sentence with file, line where known, and what to
 * do.
 */
public final class ReadException extends IOException {
  public ReadException(Path file, String what) {
    super(file.getFileName() + ": " + what);
  }

  /**
   * @param line from one; less if it is not known
   */
  public ReadException(Path file, long line, String what) {
    super(place(file, line) + what);
  }

  public ReadException(Path file, String what, Throwable cause) {
    super(file.getFileName() + ": " + what, cause);
  }

  /**
   * @param line from one; less if it is not known
   */
  public ReadException(Path file, long line, String what, Throwable cause) {
    super(place(file, line) + what, cause);
  }

  private static String place(Path file, long line) {
    return file.getFileName() + (line > 0 ? ", line " + line : "") + ": ";
  }
}
