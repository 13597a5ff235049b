package wellspan.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Five control points on the ground near the road, as three offices have them: the surveyor's list,
 * in which the fourth is 38 mm too high, the road design's setting-out points, and those the yard
 * drawing shows.
 */
final class ControlPoints {
  private static final double TOO_HIGH = 0.038;
  private static final double[][] PLACES = {
    {412_118.402, 6_534_792.775},
    {412_402.118, 6_534_890.330},
    {412_655.940, 6_534_758.512},
    {412_985.277, 6_534_726.081},
    {413_120.655, 6_534_640.947}
  };

  /** What the road designers' points differ by, millimetres in E, N, H. */
  private static final int[][] DESIGN = {
    {-3, 2, 1}, {4, -3, 3}, {-1, 4, -2}, {-2, 3, 0}, {2, 2, -1}
  };

  private ControlPoints() {}

  static List<double[]> onGround(Ground ground) {
    List<double[]> out = new ArrayList<>();
    for (double[] p : PLACES) {
      out.add(new double[] {p[0], p[1], DesignSurface.round(ground.level(p[0], p[1]))});
    }
    return out;
  }

  static List<double[]> inDesign(Ground ground) {
    List<double[]> out = onGround(ground);
    for (int i = 0; i < out.size(); i++) {
      for (int k = 0; k < 3; k++) {
        out.get(i)[k] += DESIGN[i][k] / 1000.0;
      }
    }
    return out;
  }

  /** The surveyor's list. */
  static String list(Ground ground) {
    StringBuilder s = new StringBuilder("id,easting,northing,height,code\n");
    List<double[]> points = onGround(ground);
    for (int i = 0; i < points.size(); i++) {
      double[] p = points.get(i);
      s.append(
          String.format(
              Locale.ROOT,
              "BN-%d,%.3f,%.3f,%.3f,control\n",
              i + 1,
              p[0],
              p[1],
              p[2] + (i == 3 ? TOO_HIGH : 0)));
    }
    return s.toString();
  }
}
