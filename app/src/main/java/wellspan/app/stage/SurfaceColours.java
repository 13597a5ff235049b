package wellspan.app.stage;

import wellspan.core.geom.Mesh;

/** Colours of triangles by level, slope and aspect. */
final class SurfaceColours {
  /** Where classes of slope end, per cent. */
  static final double[] SLOPES = {2, 5, 10, 20, 33, 50, 100};

  private static final int[] SLOPE_COLOURS = {
    0xE7EFE2, 0xC9DDB8, 0xA9C88D, 0xE8D58A, 0xE3A95A, 0xD27842, 0xA94A33, 0x6E2B2B
  };

  /** From the water over the meadows to the rock. */
  private static final int[] LEVEL_COLOURS = {
    0x3E6C8F, 0x7FA8B8, 0xA8C69F, 0xD3D6A1, 0xD9B97C, 0xB98B5E, 0x8E6A55, 0xE9E2DA
  };

  /** North, east, south, west. */
  private static final int[] ASPECT_COLOURS = {0x4F7CAC, 0xD9B44A, 0xC0563F, 0x5E8C61};

  private SurfaceColours() {}

  static int level(Mesh m, int t, SurfaceLook.Levels look) {
    int[] v = m.triangles();
    double mean = (m.level(v[3 * t]) + m.level(v[3 * t + 1]) + m.level(v[3 * t + 2])) / 3;
    return level(mean, look.lowest(), look.highest());
  }

  static int level(double level, double lowest, double highest) {
    double s = highest > lowest ? (level - lowest) / (highest - lowest) : 0.5;
    double at = Math.clamp(s, 0, 1) * (LEVEL_COLOURS.length - 1);
    int i = Math.min((int) at, LEVEL_COLOURS.length - 2);
    return mix(LEVEL_COLOURS[i], LEVEL_COLOURS[i + 1], at - i);
  }

  static int slope(Mesh m, int t) {
    double[] g = gradient(m, t);
    return slopeClass(slopeIndex(100 * Math.hypot(g[0], g[1])));
  }

  static int slopeIndex(double percent) {
    int i = 0;
    while (i < SLOPES.length && percent >= SLOPES[i]) {
      i++;
    }
    return i;
  }

  static int slopeClass(int i) {
    return SLOPE_COLOURS[i];
  }

  static int aspect(Mesh m, int t) {
    double[] g = gradient(m, t);
    if (Math.hypot(g[0], g[1]) < 0.002) {
      return 0xE4E0D4; // as good as level: water runs nowhere
    }
    return aspect(Math.atan2(-g[0], -g[1]));
  }

  /**
   * @param azimuth from north clockwise, radians
   */
  static int aspect(double azimuth) {
    double at = azimuth / (Math.PI / 2);
    at -= 4 * Math.floor(at / 4);
    int i = (int) at % 4;
    return mix(ASPECT_COLOURS[i], ASPECT_COLOURS[(i + 1) % 4], at - (int) at);
  }

  /** Metres down for a metre to the east and to the north. */
  static double[] fall(Mesh m, int t) {
    double[] g = gradient(m, t);
    return new double[] {-g[0], -g[1]};
  }

  /** Rise to the east and to the north. */
  private static double[] gradient(Mesh m, int t) {
    int[] v = m.triangles();
    int a = v[3 * t], b = v[3 * t + 1], c = v[3 * t + 2];
    double ux = m.east(b) - m.east(a), uy = m.north(b) - m.north(a), uz = m.level(b) - m.level(a);
    double wx = m.east(c) - m.east(a), wy = m.north(c) - m.north(a), wz = m.level(c) - m.level(a);
    double det = ux * wy - uy * wx;
    return det == 0
        ? new double[] {1e6, 0}
        : new double[] {(uz * wy - wz * uy) / det, (wz * ux - uz * wx) / det};
  }

  private static int mix(int from, int to, double s) {
    int out = 0;
    for (int shift = 16; shift >= 0; shift -= 8) {
      int a = from >> shift & 0xFF, b = to >> shift & 0xFF;
      out |= (int) Math.round(a + s * (b - a)) << shift;
    }
    return out;
  }
}
