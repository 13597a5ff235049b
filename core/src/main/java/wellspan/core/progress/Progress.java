package wellspan.core.progress;

import java.util.concurrent.CancellationException;

/** Where long work reports to. Implementations must be safe to call from any thread. */
public interface Progress {
  /** Reports to nobody and is never cancelled. */
  Progress NONE =
      new Progress() {
        @Override
        public void report(double fraction, String sentence) {}

        @Override
        public boolean isCancelled() {
          return false;
        }
      };

  /**
   * @param fraction done so far, 0 … 1
   * @param sentence what is being done
   */
  void report(double fraction, String sentence);

  boolean isCancelled();

  /**
   * @throws CancellationException if the work is no longer wanted
   */
  default void checkCancelled() {
    if (isCancelled()) {
      throw new CancellationException("Cancelled. Nothing was changed.");
    }
  }

  /** Reports and checks in one call; meant for the inner loop of long work. */
  default void advance(double fraction, String sentence) {
    checkCancelled();
    report(fraction, sentence);
  }

  /** A view of this progress for a part of the work between two fractions. */
  default Progress part(double from, double to) {
    Progress whole = this;
    return new Progress() {
      @Override
      public void report(double fraction, String sentence) {
        whole.report(from + (to - from) * fraction, sentence);
      }

      @Override
      public boolean isCancelled() {
        return whole.isCancelled();
      }

      @Override
      public void advance(double fraction, String sentence) {
        whole.advance(from + (to - from) * fraction, sentence);
      }
    };
  }

  /** A view of this progress that tells of a file by the name it will have, not by that it has. */
  default Progress naming(String file, String told) {
    Progress whole = this;
    return new Progress() {
      @Override
      public void report(double fraction, String sentence) {
        whole.report(fraction, sentence.replace(file, told));
      }

      @Override
      public boolean isCancelled() {
        return whole.isCancelled();
      }

      @Override
      public void advance(double fraction, String sentence) {
        whole.advance(fraction, sentence.replace(file, told));
      }
    };
  }
}
