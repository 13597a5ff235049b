package wellspan.core.deliver;

import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/** Where the zero of a delivered file lies. */
public sealed interface LocalZero {
  /** The file holds shared coordinates. */
  record Shared() implements LocalZero {}

  /** The file holds local coordinates of the job's frame. */
  record BasePoint() implements LocalZero {}

  /** The file's zero is a shared position of its own; axes stay along the grid, at grid scale. */
  record Own(Position zero) implements LocalZero {}

  /** The frame of a file delivered this way from a job. */
  default Frame frame(Frame job) {
    return switch (this) {
      case Shared s -> job.withBasePoint(new Position(0, 0, 0)).withRotation(0).withScale(1);
      case BasePoint b -> job;
      case Own o -> job.withBasePoint(o.zero()).withRotation(0).withScale(1);
    };
  }

  /** What it is, in a few words. */
  default String title() {
    return switch (this) {
      case Shared s -> "shared coordinates";
      case BasePoint b -> "base point";
      case Own o -> "own zero";
    };
  }
}
