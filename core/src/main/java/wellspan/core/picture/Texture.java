package wellspan.core.picture;

import wellspan.core.geom.Box;

/**
 * A picture laid over a surface from above. Texture coordinates follow from the plan: they are the
 * fractions of the picture's width and height at a place.
 */
public record Texture(Pixels pixels, PicturePlace place) {
  /** A texture has at most this many pixels. */
  public static final int MOST = 64_000_000;

  private static final int SAMPLES = 8;

  /** Fraction of the width from the left at a place, 0 to 1 within the picture. */
  public double across(double east, double north) {
    return fraction(east, north, 6, 3);
  }

  /** Fraction of the height from the top at a place. */
  public double down(double east, double north) {
    return fraction(east, north, 3, 6);
  }

  /** Share of one side of the parallelogram, by the areas that a place spans with the other. */
  private double fraction(double east, double north, int other, int side) {
    double[] c = place.corners();
    double e = east - c[0], n = north - c[1];
    double oe = c[other] - c[0], on = c[other + 1] - c[1];
    double se = c[side] - c[0], sn = c[side + 1] - c[1];
    return (e * on - n * oe) / (se * on - sn * oe);
  }

  /**
   * The part of the picture over a box, with north up and square pixels. A pixel that covers
   * several of the picture's is their mean; beyond the picture pixels are clear.
   *
   * @param size of a pixel, metres
   * @throws IllegalArgumentException with a sentence, if there would be far too many
   */
  public Texture over(Box box, double size) {
    if (!(size > 0)) {
      throw new IllegalArgumentException("The size of a pixel must be greater than zero.");
    }
    double columns = Math.max(1, Math.ceil(box.width() / size - 1e-9));
    double rows = Math.max(1, Math.ceil(box.depth() / size - 1e-9));
    if (columns * rows > MOST) {
      throw new IllegalArgumentException(
          String.format(
              java.util.Locale.ROOT,
              "Pixels of %.3f m make a picture of %.0f × %.0f. Choose larger ones.",
              size,
              columns,
              rows));
    }
    int w = (int) columns, h = (int) rows;
    PicturePlace to =
        PicturePlace.ofWorld(
            new double[] {size, 0, 0, -size, box.minE() + size / 2, box.maxN() - size / 2}, w, h);
    double own = place.width() / pixels.width();
    int fine = (int) Math.clamp(Math.ceil(size / own), 1, SAMPLES);
    int[] argb = new int[w * h];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        argb[y * w + x] = mean(to, (double) x / w, (double) y / h, w, h, fine);
      }
    }
    return new Texture(new Pixels(w, h, argb), to);
  }

  private int mean(PicturePlace to, double across, double down, int w, int h, int fine) {
    long a = 0, r = 0, g = 0, b = 0;
    for (int i = 0; i < fine * fine; i++) {
      double u = across + (i % fine + 0.5) / fine / w;
      int row = i / fine;
      double v = down + (row + 0.5) / fine / h;
      int c = at(to.east(u, v), to.north(u, v));
      int alpha = c >>> 24;
      a += alpha;
      r += (long) alpha * (c >> 16 & 0xFF);
      g += (long) alpha * (c >> 8 & 0xFF);
      b += (long) alpha * (c & 0xFF);
    }
    if (a == 0) {
      return 0;
    }
    int alpha = (int) (a / ((long) fine * fine));
    return alpha << 24 | (int) (r / a) << 16 | (int) (g / a) << 8 | (int) (b / a);
  }

  /** The colour at a place; clear beyond the picture. */
  public int at(double east, double north) {
    int x = (int) Math.floor(across(east, north) * pixels.width());
    int y = (int) Math.floor(down(east, north) * pixels.height());
    return x < 0 || y < 0 || x >= pixels.width() || y >= pixels.height()
        ? 0
        : pixels.argb()[y * pixels.width() + x];
  }
}
