package wellspan.core.geom;

import java.util.function.Supplier;

/**
 * A value that is worked out when it is first asked for, and then kept. Safe for any thread. It
 * says nothing of what it belongs to, so each is equal to any other, and it is never stored.
 */
public final class OnceAsked<T> {
  private transient volatile T value;

  /**
   * @param work gives the same whoever asks; never null
   */
  public T get(Supplier<T> work) {
    T known = value;
    return known == null ? workedOut(work) : known;
  }

  private synchronized T workedOut(Supplier<T> work) {
    if (value == null) {
      value = work.get();
    }
    return value;
  }

  @Override
  public boolean equals(Object o) {
    return o instanceof OnceAsked;
  }

  @Override
  public int hashCode() {
    return 0;
  }

  @Override
  public String toString() {
    return "";
  }
}
