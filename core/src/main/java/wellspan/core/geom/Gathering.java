package wellspan.core.geom;

import java.util.List;
import java.util.function.ToDoubleFunction;

/** Where most of several extents lie, so that a single one far away does not spoil a picture. */
public final class Gathering {
  /** What lies farther than this from the rest is not in its place yet, metres. */
  public static final double FAR = 100_000;

  private Gathering() {}

  /**
   * The extent of those that lie around the middle one of all.
   *
   * @param boxes empty ones do not count
   * @param reach how far the middle of an extent may lie from that of the middle one, along each
   *     axis, metres
   * @return empty only if all are
   */
  public static Box of(List<Box> boxes, double reach) {
    List<Box> some = boxes.stream().filter(b -> !b.isEmpty()).toList();
    if (some.isEmpty()) {
      return Box.EMPTY;
    }
    double east = middle(some, b -> b.centre().east());
    double north = middle(some, b -> b.centre().north());
    Box near =
        some.stream()
            .filter(b -> Math.abs(b.centre().east() - east) <= reach)
            .filter(b -> Math.abs(b.centre().north() - north) <= reach)
            .reduce(Box.EMPTY, Box::union);
    return near.isEmpty() ? some.stream().reduce(Box.EMPTY, Box::union) : near;
  }

  private static double middle(List<Box> boxes, ToDoubleFunction<Box> of) {
    return boxes.stream().mapToDouble(of).sorted().skip(boxes.size() / 2).findFirst().orElseThrow();
  }
}
