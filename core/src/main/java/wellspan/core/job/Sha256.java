package wellspan.core.job;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import wellspan.core.progress.Progress;

/** SHA-256 of files. */
public final class Sha256 {
  private Sha256() {}

  /** Lower-case hexadecimal digest of what is in memory. */
  public static String of(byte[] bytes) {
    try {
      return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }

  /** Lower-case hexadecimal digest. */
  public static String of(Path file) throws IOException {
    return of(file, Progress.NONE);
  }

  /**
   * The same of a file that may be large.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public static String of(Path file, Progress progress) throws IOException {
    double size = Math.max(1, Files.size(file));
    long done = 0;
    try (InputStream in = Files.newInputStream(file)) {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      byte[] buffer = new byte[1 << 16];
      for (int n = in.read(buffer); n >= 0; n = in.read(buffer)) {
        digest.update(buffer, 0, n);
        done += n;
        progress.advance(Math.min(1, done / size), "Taking the checksum");
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("every Java platform has SHA-256", e);
    }
  }
}
