package wellspan.core.replay;

import wellspan.core.operation.Step;

/** A step of an item, switched on or off. */
public record RecordedStep(Step step, boolean on) {
  public static RecordedStep of(Step step) {
    return new RecordedStep(step, true);
  }

  public RecordedStep switched(boolean now) {
    return new RecordedStep(step, now);
  }
}
