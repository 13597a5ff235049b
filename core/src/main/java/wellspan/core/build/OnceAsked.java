package wellspan.core.build;

import java.util.function.Supplier;

/** A value that is worked out when it is first asked for, and then kept. Safe for any thread. */
final class OnceAsked<T> {
  private T value;

  /**
   * @param work gives the same whoever asks; never null
   */
  synchronized T get(Supplier<T> work) {
    if (value == null) {
      value = work.get();
    }
    return value;
  }
}
