package wellspan.core.packing;

import wellspan.core.build.Build;
import wellspan.core.frame.FrameSheet;

/** Sheets that are handed to others. */
public final class Sheets {
  private Sheets() {}

  /** The frame of a job with its control points. */
  public static FrameSheet frame(Build build) {
    return FrameSheet.of(
        build.job().name(),
        build.job().frame(),
        build.job().control().points().stream()
            .map(p -> new FrameSheet.NamedPosition(p.name(), p.known()))
            .toList(),
        build.bounds());
  }
}
