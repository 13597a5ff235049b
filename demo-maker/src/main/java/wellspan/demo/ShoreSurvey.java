package wellspan.demo;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;

/**
 * The surveyor's ground points: northing before easting, decimal commas, a header in Norwegian.
 * Planted on purpose: 17 points without a level (9 at zero, 8 at −999), 6 measured twice, 3 spikes.
 */
final class ShoreSurvey {
  static final double E0 = 412_000;
  static final double N0 = 6_534_430;
  static final double WIDTH = 1300;
  static final double DEPTH = 560;
  private static final double SPACING = 9;
  private static final int[] ZERO = {2960, 3333, 3701, 4108, 4801, 5190, 5555, 6020, 6402};
  private static final int[] NOTHING = {3060, 3450, 3901, 4325, 4622, 5290, 5700, 6111};
  private static final int[] TWICE = {3105, 3606, 4205, 4705, 5404, 5860};
  private static final int[] TWICE_OFF = {0, 12, 0, 45, 0, 8};
  private static final int[] SPIKE = {3755, 4480, 5901};
  private static final double[] SPIKE_BY = {7.4, -6.2, 9.1};

  private ShoreSurvey() {}

  /**
   * @param settled how far the ground near the quay went down since the first survey, metres
   */
  static String list(Ground ground, double settled) {
    SplittableRandom random = new SplittableRandom(4121);
    StringBuilder text = new StringBuilder("Punkt;Nord;Øst;Høyde;Kode\n");
    List<double[]> points = new ArrayList<>();
    for (double n = N0 + SPACING / 2; n < N0 + DEPTH; n += SPACING) {
      for (double e = E0 + SPACING / 2; e < E0 + WIDTH; e += SPACING) {
        double pe = DesignSurface.round(e + random.nextDouble(-3.2, 3.2));
        double pn = DesignSurface.round(n + random.nextDouble(-3.2, 3.2));
        double quay = Math.hypot(pe - 413_150, pn - 6_534_620);
        double level = ground.level(pe, pn) + random.nextDouble(-0.02, 0.02);
        points.add(new double[] {pe, pn, level - settled * Math.max(0, 1 - quay / 120)});
      }
    }
    for (int i : ZERO) {
      points.get(high(points, i))[2] = 0;
    }
    for (int i : NOTHING) {
      points.get(high(points, i))[2] = -999;
    }
    for (int i = 0; i < SPIKE.length; i++) {
      points.get(high(points, SPIKE[i]))[2] += SPIKE_BY[i];
    }
    for (int i = 0; i < points.size(); i++) {
      line(text, i + 1, points.get(i));
    }
    for (int i = 0; i < TWICE.length; i++) {
      double[] p = points.get(high(points, TWICE[i])).clone();
      p[2] += TWICE_OFF[i] / 1000.0;
      line(text, 9101 + i, p);
    }
    return text.toString();
  }

  /** The next point from a number on that lies well above the water and was not touched yet. */
  private static int high(List<double[]> points, int from) {
    int i = from;
    while (points.get(i)[2] < 12 || points.get(i)[2] > 60) {
      i++;
    }
    return i;
  }

  private static void line(StringBuilder to, int number, double[] p) {
    String code = p[2] < 0.4 && p[2] > -100 ? "SJØ" : "TERR";
    to.append(
        String.format(Locale.ROOT, "%d;%.3f;%.3f;%.3f;%s%n", number, p[1], p[0], p[2], code)
            .replace('.', ',')
            .replace("\r\n", "\n"));
  }
}
