package wellspan.core.proof;

import wellspan.core.geom.Position;

/**
 * How exactly two files can be compared.
 *
 * @param tolerance largest distance between a position as sent and as arrived, metres
 * @param noLevels whether the arrived file can say that a point has no level
 * @param codes whether both files hold codes of points
 * @param pointNames whether both files hold names of points
 */
record Limits(double tolerance, boolean noLevels, boolean codes, boolean pointNames) {

  /**
   * Distance of what arrived from what was sent. A point without a level must arrive without one
   * where the format can say that; elsewhere its plan position counts.
   */
  double distance(Position sent, Position arrived) {
    double plan = sent.planDistanceTo(arrived);
    boolean none = Double.isNaN(sent.level());
    if (none && (!noLevels || Double.isNaN(arrived.level()))) {
      return plan;
    }
    return none ? Double.POSITIVE_INFINITY : Math.hypot(plan, sent.level() - arrived.level());
  }
}
