package wellspan.core.proof;

import java.util.Locale;
import wellspan.core.geom.Box;
import wellspan.core.unit.LinearUnit;

/** How far a position may come back from where it was sent, by format and unit. */
public final class Tolerance {
  /** Doubles of map coordinates, turned and shifted a few times, metres. */
  private static final double DOUBLES = 5e-8;

  /** A thousandth of a millionth of a degree on the ground, metres. */
  private static final double DEGREES = 2e-3;

  /** Single precision keeps 24 bits. */
  private static final double SINGLE = 1.0 / (1 << 23);

  private Tolerance() {}

  /**
   * Of coordinates written with a number of decimals: half a unit of the last one in each of three
   * axes, as a distance.
   *
   * @return metres
   */
  public static double ofDecimals(int decimals, LinearUnit unit) {
    return Math.sqrt(3) * 0.5 * Math.pow(10, -decimals) * unit.metres() * 1.001 + DOUBLES;
  }

  /**
   * Of a file by its format, where it is not known how it was written.
   *
   * @param format title of the format as its reader gives it
   * @param work extent of what the file holds, in its own coordinates or shared ones
   * @return metres
   */
  public static double of(String format, Box work) {
    String f = format.toUpperCase(Locale.ROOT);
    if (f.startsWith("GLTF") || f.startsWith("GLB")) {
      double reach =
          work.isEmpty() ? 1 : Math.hypot(work.maxE() - work.minE(), work.maxN() - work.minN());
      return Math.max(1e-4, 2 * reach * SINGLE);
    }
    if (f.contains("KML") || f.contains("GEOJSON")) {
      return DEGREES;
    }
    if (f.contains("POINT LIST") || f.startsWith("OBJ")) {
      return 6e-4; // three decimals
    }
    return Proof.TOLERANCE;
  }
}
