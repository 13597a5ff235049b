package wellspan.core.packing;

import wellspan.core.build.Build;
import wellspan.core.frame.FrameSheet;

/** FrameSheets that are handed to others. */
public final class FrameSheets {
  private FrameSheets() {}

  /** The frame of a job with its control points. */
  public static FrameSheet of(Build build) {
    return FrameSheet.of(
        build.job().name(),
        build.job().frame(),
        build.job().control().points().stream()
            .map(p -> new FrameSheet.NamedPosition(p.name(), p.known()))
            .toList(),
        build.bounds());
  }
}
