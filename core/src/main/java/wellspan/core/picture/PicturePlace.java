package wellspan.core.picture;

import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;

/**
 * Where a picture lies in plan: the outer corners of its upper left, upper right and lower left
 * pixels. A picture is a parallelogram; its fourth corner follows.
 *
 * @param corners easting, northing and NaN for each of the three, shared coordinates
 */
public record PicturePlace(double[] corners) {

  /**
   * By the six numbers of a world file: x and y of a step along a row, a step along a column, and
   * the centre of the first pixel.
   *
   * @throws IllegalArgumentException if the picture would have no area
   */
  public static PicturePlace ofWorld(double[] six, int width, int height) {
    double e = six[4] - (six[0] + six[2]) / 2, n = six[5] - (six[1] + six[3]) / 2;
    if (six[0] * six[3] - six[1] * six[2] == 0) {
      throw new IllegalArgumentException("its pixels have no area");
    }
    return new PicturePlace(
        new double[] {
          e,
          n,
          Double.NaN,
          e + width * six[0],
          n + width * six[1],
          Double.NaN,
          e + height * six[2],
          n + height * six[3],
          Double.NaN
        });
  }

  /** East of a place given by fractions of the width and height from the upper left. */
  public double east(double across, double down) {
    return corners[0] + across * (corners[3] - corners[0]) + down * (corners[6] - corners[0]);
  }

  public double north(double across, double down) {
    return corners[1] + across * (corners[4] - corners[1]) + down * (corners[7] - corners[1]);
  }

  /** Length of a row in plan, metres. */
  public double width() {
    return Math.hypot(corners[3] - corners[0], corners[4] - corners[1]);
  }

  /** Its four corners and the first again, without levels. */
  public Polyline outline() {
    double[] xyz = new double[15];
    for (int i = 0; i < 5; i++) {
      double across = i == 1 || i == 2 ? 1 : 0;
      double down = i == 2 || i == 3 ? 1 : 0;
      xyz[3 * i] = east(across, down);
      xyz[3 * i + 1] = north(across, down);
      xyz[3 * i + 2] = Double.NaN;
    }
    return new Polyline(xyz);
  }

  public Box bounds() {
    return Box.of(
        new double[] {
          corners[0],
          corners[1],
          Double.NaN,
          corners[3],
          corners[4],
          Double.NaN,
          corners[6],
          corners[7],
          Double.NaN,
          east(1, 1),
          north(1, 1),
          Double.NaN
        });
  }
}
