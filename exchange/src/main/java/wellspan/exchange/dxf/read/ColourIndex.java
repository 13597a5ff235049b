package wellspan.exchange.dxf.read;

/**
 * The format's numbered colours: 1 to 9 are fixed, 10 to 249 are 24 hues in five shades, each full
 * and half saturated, 250 to 255 are greys.
 */
final class ColourIndex {
  private static final int[] FIRST = {
    0xFFFFFF, 0xFF0000, 0xFFFF00, 0x00FF00, 0x00FFFF, 0x0000FF, 0xFF00FF, 0xFFFFFF, 0x808080,
    0xC0C0C0
  };
  private static final double[] SHADES = {1, 0.65, 0.5, 0.3, 0.15};

  private ColourIndex() {}

  /**
   * @return 0xRRGGBB; white for a number that does not exist
   */
  static int rgb(int index) {
    if (index < 0 || index > 255) {
      return FIRST[0];
    }
    if (index < 10) {
      return FIRST[index];
    }
    if (index >= 250) {
      int grey = 0x33 + (index - 250) * (0xFF - 0x33) / 5;
      return grey << 16 | grey << 8 | grey;
    }
    double hue = (index / 10 - 1) / 4.0; // in sixths of the circle
    double low = index % 2 == 0 ? 0 : 0.5;
    double value = SHADES[index % 10 / 2];
    int rgb = 0;
    for (int k = 0; k < 3; k++) {
      // red rises and falls around 0, green around 2, blue around 4
      double away = Math.abs((hue - 2 * k + 9) % 6 - 3);
      double full = Math.clamp(2 - away, 0.0, 1.0);
      rgb = rgb << 8 | (int) (255 * value * (low + (1 - low) * full));
    }
    return rgb;
  }
}
