package wellspan.core.network;

import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

/** A pipe with its ends: centres of chambers, lowest inside points. */
public record LaidPipe(Pipe pipe, Chamber start, Chamber end, Position from, Position to) {
  /** Between the centres of its chambers, metres. */
  public double planLength() {
    return Math.hypot(to.east() - from.east(), to.north() - from.north());
  }

  /** In plan, from the easting axis counter-clockwise, radians. */
  double direction() {
    return Math.atan2(to.north() - from.north(), to.east() - from.east());
  }

  /** Fall over length in plan, positive falling. */
  public double slope() {
    return (from.level() - to.level()) / planLength();
  }

  LaidPipe moved(Similarity how) {
    return new LaidPipe(pipe, start.moved(how), end.moved(how), how.apply(from), how.apply(to));
  }
}
