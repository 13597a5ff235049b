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

  public ReadException(Path file, long line, String what) {
    super(file.getFileName() + ", line " + line + ": " + what);
  }

  public ReadException(Path file, String what, Throwable cause) {
    super(file.getFileName() + ": " + what, cause);
  }

  public ReadException(Path file, long line, String what, Throwable cause) {
    super(file.getFileName() + ", line " + line + ": " + what, cause);
  }
}
