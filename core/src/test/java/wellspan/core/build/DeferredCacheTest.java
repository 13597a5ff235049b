package wellspan.core.build;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import wellspan.core.progress.Progress;

class DeferredCacheTest {
  /** Keeps up to a number of results and is cancelled at the next. */
  private static final class UpTo implements ResultCache {
    final Map<String, Object> kept = new LinkedHashMap<>();
    private final int most;

    UpTo(int most) {
      this.most = most;
    }

    @Override
    public <T> Optional<T> find(String key, Class<T> type) {
      return Optional.ofNullable(kept.get(key)).map(type::cast);
    }

    @Override
    public void keep(String key, Object result, long nanos, Progress progress) {
      if (kept.size() == most) {
        throw new CancellationException();
      }
      kept.put(key, result);
    }
  }

  private final UpTo folder = new UpTo(2);
  private final DeferredCache cache = new DeferredCache(folder);

  private void keep(String key) {
    cache.keep(key, "result of " + key, ResultCache.EXPENSIVE, Progress.NONE);
  }

  @Test
  void whatWaitsIsFoundAndNotYetKept() {
    keep("a");
    assertThat(cache.isWaiting()).isTrue();
    assertThat(folder.kept).isEmpty();
    assertThat(cache.find("a", String.class)).contains("result of a");
    assertThat(cache.find("a", Integer.class)).isEmpty();
    assertThat(cache.find("b", String.class)).isEmpty();
  }

  @Test
  void whatWaitsIsKeptInItsOrderWhenItIsTime() {
    keep("a");
    keep("b");
    cache.keepWaiting(Progress.NONE);
    assertThat(cache.isWaiting()).isFalse();
    assertThat(folder.kept.keySet()).containsExactly("a", "b");
    assertThat(cache.find("b", String.class)).contains("result of b");
  }

  @Test
  void whatIsQuicklyMadeDoesNotWait() {
    cache.keep("a", "x", ResultCache.EXPENSIVE - 1, Progress.NONE);
    assertThat(cache.isWaiting()).isFalse();
  }

  @Test
  void whatIsForgottenIsNeitherFoundNorKept() {
    keep("a");
    cache.forget();
    assertThat(cache.find("a", String.class)).isEmpty();
    cache.keepWaiting(Progress.NONE);
    assertThat(folder.kept).isEmpty();
  }

  @Test
  void afterACancelNothingWaitsAnyMore() {
    keep("a");
    keep("b");
    keep("c");
    keep("d");
    assertThatThrownBy(() -> cache.keepWaiting(Progress.NONE))
        .isInstanceOf(CancellationException.class);
    assertThat(cache.isWaiting()).isFalse();
    assertThat(folder.kept.keySet()).containsExactly("a", "b");
  }
}
