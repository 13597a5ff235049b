package wellspan.exchange.delivery;

import wellspan.core.progress.Progress;

/** Work that somebody cancels once it tells that it has come to a stage. */
final class CancelledAt implements Progress {
  private final String stage;
  private boolean cancelled;

  CancelledAt(String stage) {
    this.stage = stage;
  }

  @Override
  public void report(double fraction, String sentence) {
    cancelled |= sentence.startsWith(stage);
  }

  @Override
  public void advance(double fraction, String sentence) {
    report(fraction, sentence);
    checkCancelled();
  }

  @Override
  public boolean isCancelled() {
    return cancelled;
  }
}
