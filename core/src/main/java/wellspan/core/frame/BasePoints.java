package wellspan.core.frame;

import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/** Proposals for a base point near the work. */
public final class BasePoints {
  private BasePoints() {}

  /**
   * A rounded point inside or close to the work's south-west: hundreds of metres for work of some
   * size, tens for a small site, level zero unless the work lies more than 1 000 m from it.
   */
  public static Position propose(Box work) {
    double size = Math.max(work.width(), work.depth());
    double round = size > 400 ? 100 : 10;
    double height = 0;
    if (work.hasLevels() && Math.abs(work.minH()) > 1000) {
      height = Math.floor(work.minH() / 100) * 100;
    }
    return new Position(
        Math.floor(work.minE() / round) * round, Math.floor(work.minN() / round) * round, height);
  }
}
