package wellspan.exchange.ifc.read;

import java.util.Optional;
import wellspan.core.solid.CurvedPatch;

/**
 * A curved surface that faces lie on, by two parameters, its normal ∂u × ∂v. Parameters are as ISO
 * 10303-42 has them, but for those of profiles, which count their chords.
 */
interface CurvedSurface extends CurvedPatch.Surface {
  /** After how much u the surface comes back to where it was; 0 if it does not. */
  double periodU();

  /** As {@link #periodU()} for v. */
  default double periodV() {
    return 0;
  }

  /**
   * The parameters of a place on it, within a period; u is NaN where the place has every u.
   *
   * @param place in threes
   */
  double[] parameters(double[] place);

  /** The v at which all u are one place. */
  default Optional<Double> pole(boolean upper) {
    return Optional.empty();
  }

  /**
   * @throws Unread if it is of a kind that is not read
   */
  static CurvedSurface of(Instance s, CurveReader curves) {
    return switch (s.entity().name()) {
      case "IfcCylindricalSurface", "IfcSphericalSurface", "IfcToroidalSurface" ->
          RoundSurface.of(s);
      case "IfcSurfaceOfRevolution", "IfcSurfaceOfLinearExtrusion" -> SweptSurface.of(s, curves);
      case "IfcBSplineSurfaceWithKnots", "IfcRationalBSplineSurfaceWithKnots" ->
          SplineFaces.surface(s);
      default -> throw new Unread(s, "is a surface of a kind that is not read");
    };
  }
}
