package wellspan.core.place;

import wellspan.core.geom.Position;

/**
 * One point in a source's own coordinates and in shared ones, metres both.
 *
 * @param source its height may be NaN
 * @param shared its height may be NaN
 * @param used whether it takes part in the fit; others only get residuals
 */
public record PointPair(String name, Position source, Position shared, boolean used) {

  public PointPair withUsed(boolean u) {
    return new PointPair(name, source, shared, u);
  }

  boolean hasHeights() {
    return Double.isFinite(source.level()) && Double.isFinite(shared.level());
  }
}
