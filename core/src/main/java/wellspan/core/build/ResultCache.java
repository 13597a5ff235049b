package wellspan.core.build;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Optional;
import wellspan.core.progress.Progress;

/**
 * Keeps what was expensive to make, by a key that says what it was made of: a result is found as
 * long as nothing that went into it changed, and never after. Safe for any thread.
 */
public interface ResultCache {
  /** Nanoseconds below which a result is as quickly made as read. */
  long EXPENSIVE = 100_000_000;

  /** Keeps nothing. */
  ResultCache NONE =
      new ResultCache() {
        @Override
        public <T> Optional<T> find(String key, Class<T> type) {
          return Optional.empty();
        }

        @Override
        public void keep(String key, Object result, long nanos, Progress progress) {
          // nothing is kept
        }
      };

  /** What was kept, unless it is gone or damaged. */
  <T> Optional<T> find(String key, Class<T> type);

  /**
   * Keeps a result, if that is worth while; one that is not kept is made anew next time.
   *
   * @param nanos how long it took to make
   * @param progress hears that it is kept, which takes seconds for millions of points
   * @throws java.util.concurrent.CancellationException if cancelled; nothing is kept then
   */
  void keep(String key, Object result, long nanos, Progress progress);

  /** A key for what is made of the things that the texts tell. */
  static String key(String... madeOf) {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      for (String s : madeOf) {
        digest.update(s.getBytes(StandardCharsets.UTF_8));
        digest.update((byte) 0); // "a", "b" is not "ab"
      }
      return HexFormat.of().formatHex(digest.digest());
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException("Every Java has SHA-256.", e);
    }
  }
}
