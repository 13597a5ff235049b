package wellspan.core.terrain;

import wellspan.core.geom.Mesh;

/**
 * Tells meshes that can be ground from bodies: a plumb line always meets ground from the same side,
 * and a closed body from both.
 */
public final class GroundLike {
  /** Share of a sheet's area that may stand upright, as at kerbs and walls. */
  private static final double UPRIGHT = 0.05;

  private static final double FLAT = 1e-9;

  private GroundLike() {}

  public static boolean is(Mesh mesh) {
    double upright = 0;
    double turned = 0;
    for (int t = 0; t < mesh.triangleCount(); t++) {
      double plan = mesh.planArea(t);
      if (Math.abs(plan) < FLAT) {
        upright += mesh.area(t);
      } else if (turned * plan < 0) {
        return false;
      } else {
        turned += plan;
      }
    }
    return turned != 0 && upright <= UPRIGHT * (upright + mesh.surfaceArea());
  }
}
