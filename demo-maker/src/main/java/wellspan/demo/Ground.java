package wellspan.demo;

import java.util.SplittableRandom;

/**
 * The invented shore: levels fall from the hills in the west to the fjord in the south, with a
 * creek across.
 */
final class Ground {
  private final double[] phase = new double[12];

  Ground(long seed) {
    SplittableRandom random = new SplittableRandom(seed);
    for (int i = 0; i < phase.length; i++) {
      phase[i] = random.nextDouble(2 * Math.PI);
    }
  }

  /** Level at a place, metres. */
  double level(double e, double n) {
    double x = e - 412_000;
    double y = n - 6_534_500;
    double slope = 38 - 0.045 * x + 1.35e-5 * x * x + 0.03 * (y - 200) - 0.35 * Math.max(0, 70 - y);
    double hills = 0;
    double[] length = {610, 430, 270, 175, 96, 54};
    double[] height = {7.5, 5.2, 2.8, 1.5, 0.55, 0.22};
    for (int i = 0; i < length.length; i++) {
      double a = phase[2 * i];
      double along = x * Math.cos(a) + y * Math.sin(a);
      hills += height[i] * Math.sin(2 * Math.PI * along / length[i] + phase[2 * i + 1]);
    }
    double toCreek = x - 560 - 0.12 * (y - 300);
    double creek = 6.5 * Math.exp(-toCreek * toCreek / (2 * 26 * 26));
    double level = slope + hills - creek;
    return level < 0 ? Math.max(-6, 0.35 * level) : level;
  }
}
