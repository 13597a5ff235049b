package wellspan.core.build;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.progress.Progress;

/**
 * A cache for those who want to see a result before it is kept: what is to be kept waits, and is
 * found meanwhile, until somebody says that it is time. Safe for any thread.
 */
public final class DeferredCache implements ResultCache {
  private final ResultCache cache;
  private final Map<String, Waiting> waiting = new LinkedHashMap<>();

  private record Waiting(Object result, long nanos) {}

  /**
   * @param cache where results are kept in the end
   */
  public DeferredCache(ResultCache cache) {
    this.cache = cache;
  }

  @Override
  public <T> Optional<T> find(String key, Class<T> type) {
    Waiting w;
    synchronized (waiting) {
      w = waiting.get(key);
    }
    return w != null && type.isInstance(w.result())
        ? Optional.of(type.cast(w.result()))
        : cache.find(key, type);
  }

  @Override
  public void keep(String key, Object result, long nanos, Progress progress) {
    if (nanos >= EXPENSIVE) {
      synchronized (waiting) {
        waiting.put(key, new Waiting(result, nanos));
      }
    }
  }

  /** Whether something is to be kept. */
  public boolean isWaiting() {
    synchronized (waiting) {
      return !waiting.isEmpty();
    }
  }

  /**
   * Keeps all that waits; seconds for millions of points.
   *
   * @throws java.util.concurrent.CancellationException if cancelled; what waits is not kept then
   */
  public void keepWaiting(Progress progress) {
    boolean kept = false;
    try {
      for (Optional<Map.Entry<String, Waiting>> next = first(); next.isPresent(); next = first()) {
        String key = next.get().getKey();
        Waiting w = next.get().getValue();
        cache.keep(key, w.result(), w.nanos(), progress);
        synchronized (waiting) {
          waiting.remove(key, w);
        }
      }
      kept = true;
    } finally {
      if (!kept) { // what cannot be kept is not tried for ever
        forget();
      }
    }
  }

  private Optional<Map.Entry<String, Waiting>> first() {
    synchronized (waiting) {
      return waiting.entrySet().stream().findFirst().map(Map.Entry::copyOf);
    }
  }

  /** Keeps nothing of what waits, as after a build that was cancelled. */
  public void forget() {
    synchronized (waiting) {
      waiting.clear();
    }
  }
}
