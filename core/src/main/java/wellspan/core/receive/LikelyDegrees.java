package wellspan.core.receive;

import java.util.Locale;
import java.util.Optional;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;

/** Numbers without a system that are longitude and latitude rather than metres. */
public final class LikelyDegrees {
  /** No work is as small in metres; in degrees this is a hundred kilometres. */
  private static final double SMALLEST_WORK = 1;

  private LikelyDegrees() {}

  /**
   * A warning if the extent fits the globe and would be tiny in metres.
   *
   * @param box of at least two places
   */
  public static Optional<Finding> check(String item, Box box) {
    if (box.isEmpty()) {
      return Optional.empty();
    }
    boolean globe =
        box.minE() >= -180 && box.maxE() <= 180 && box.minN() >= -90 && box.maxN() <= 90;
    double size = Math.hypot(box.width(), box.depth());
    return globe && size > 0 && size < SMALLEST_WORK
        ? Optional.of(
            Finding.warning(
                Stop.RECEIVE,
                "units.degrees",
                item,
                String.format(
                    Locale.ROOT,
                    "These numbers look like longitude and latitude in degrees: in metres the whole of %s would be %.3f m across. Name their system at the stop Place, or with --crs, if they are.",
                    item,
                    size)))
        : Optional.empty();
  }
}
