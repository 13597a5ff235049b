package wellspan.demo;

import java.util.Locale;
import java.util.SplittableRandom;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/**
 * The marshalling yard as its office draws it: points in millimetres, the yard's south corner as
 * zero, y along site north, nothing said of unit or place. Four control points stand in it, rounded
 * and measured to a millimetre.
 */
final class YardLayout {
  private static final double WIDTH = 60;
  private static final double DEPTH = 90;
  private static final double LEVEL = 4.2;
  private static final int[] CONTROL = {0, 1, 2, 4};
  private static final Frame YARD =
      Frame.of("", "", new Position(412_868.350, 6_534_560.120, 0), 21.5);

  private final StringBuilder text = new StringBuilder("no;x;y;z;remark\n");
  private final SplittableRandom random = new SplittableRandom(60_090);

  private YardLayout() {}

  static String list(Ground ground) {
    YardLayout y = new YardLayout();
    for (int i : CONTROL) {
      double[] p = ControlPoints.onGround(ground).get(i);
      y.row("BN-" + (i + 1), YARD.toLocal(new Position(p[0], p[1], p[2])), 1, "control");
    }
    double[][] corners = {{0, 0}, {WIDTH, 0}, {WIDTH, DEPTH}, {0, DEPTH}};
    for (int i = 0; i < corners.length; i++) {
      Position p = new Position(corners[i][0], corners[i][1], LEVEL + 0.01 * corners[i][1]);
      y.row("C" + (i + 1), p, 0, "pad corner");
    }
    for (int lane = 0; lane <= 8; lane++) {
      for (int end = 0; end <= 1; end++) {
        double x = 6 + 6 * lane;
        double along = end == 0 ? 8 : DEPTH - 8;
        String name = "L" + (lane + 1) + (end == 0 ? "a" : "b");
        y.row(name, new Position(x, along, LEVEL + 0.01 * along), 0, "lane edge");
      }
    }
    return y.text.toString();
  }

  /** Millimetres, off by up to {@code noise} of them. */
  private void row(String name, Position p, int noise, String remark) {
    text.append(
        String.format(
            Locale.ROOT,
            "%s;%d;%d;%d;%s\n",
            name,
            millimetres(p.east(), noise),
            millimetres(p.north(), noise),
            millimetres(p.height(), noise),
            remark));
  }

  private long millimetres(double metres, int noise) {
    return Math.round(1000 * metres) + (noise == 0 ? 0 : random.nextInt(-noise, noise + 1));
  }
}
