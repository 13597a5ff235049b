package wellspan.core.frame;

import java.util.List;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/** Proposals for a base point near the work. */
public final class BasePoints {
  private BasePoints() {}

  /**
   * A proposed base point.
   *
   * @param why what speaks for it, in a few words
   */
  public record Proposal(Position point, String why) {}

  /**
   * A rounded point inside or close to the work's south-west: hundreds of metres for work of some
   * size, tens for a small site, level zero unless the work lies more than 1 000 m from it.
   */
  public static Position propose(Box work) {
    double round = round(work);
    return new Position(
        Math.floor(work.minE() / round) * round,
        Math.floor(work.minN() / round) * round,
        height(work, 1000));
  }

  /** Several proposals, the one that gives positive local coordinates first. */
  public static List<Proposal> proposals(Box work) {
    double round = round(work);
    Position c = work.centre();
    Position middle =
        new Position(
            Math.round(c.east() / round) * round,
            Math.round(c.north() / round) * round,
            height(work, 1000));
    Position low =
        new Position(middle.east(), middle.north(), work.hasLevels() ? Math.floor(work.minH()) : 0);
    return List.of(
        new Proposal(propose(work), "south-west of the work, local coordinates stay positive"),
        new Proposal(middle, "in the middle of the work, distances are shortest"),
        new Proposal(low, "in the middle, at the work's lowest level"));
  }

  private static double round(Box work) {
    return Math.max(work.width(), work.depth()) > 400 ? 100 : 10;
  }

  private static double height(Box work, double farAbove) {
    return work.hasLevels() && Math.abs(work.minH()) > farAbove
        ? Math.floor(work.minH() / 100) * 100
        : 0;
  }
}
