package wellspan.app.stage;

import java.awt.BasicStroke;
import java.awt.Graphics2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.TriangleIndex;

/**
 * Arrows down the steepest fall of the triangle under each, longer where it is steeper, so that one
 * sees where water gathers.
 */
final class RunOffArrows {
  private static final int GAP = 32;
  private static final double SHORTEST = 7;
  private static final double LONGEST = 21;

  /** From this slope on arrows are longest, and below the other there is none. */
  private static final double STEEP = 0.35;

  private static final double LEVEL = 0.002;

  private RunOffArrows() {}

  static void paint(
      BufferedImage image,
      TriangleIndex index,
      SurfaceLook.RunOff look,
      double east,
      double north,
      double resolution) {
    Path2D arrows = new Path2D.Double();
    for (int y = GAP / 2; y < TilePainter.SIZE; y += GAP) {
      for (int x = GAP / 2; x < TilePainter.SIZE; x += GAP) {
        int t = index.triangleAt(east + x * resolution, north - y * resolution);
        if (t >= 0) {
          arrow(index.mesh(), t, x, y, arrows);
        }
      }
    }
    Graphics2D g = TilePainter.graphics(image);
    g.setColor(look.line());
    g.setStroke(new BasicStroke(1.2f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
    g.draw(arrows);
    g.dispose();
  }

  private static void arrow(Mesh m, int t, double x, double y, Path2D to) {
    double[] fall = SurfaceColours.fall(m, t);
    double slope = Math.hypot(fall[0], fall[1]);
    if (slope < LEVEL) {
      return;
    }
    double length = SHORTEST + (LONGEST - SHORTEST) * Math.min(1, slope / STEEP);
    double dx = fall[0] / slope, dy = -fall[1] / slope; // pixels count downwards
    double tipX = x + dx * length / 2, tipY = y + dy * length / 2;
    to.moveTo(x - dx * length / 2, y - dy * length / 2);
    to.lineTo(tipX, tipY);
    for (int side = -1; side <= 1; side += 2) {
      to.moveTo(tipX, tipY);
      to.lineTo(tipX - 3.5 * dx - side * 2.5 * dy, tipY - 3.5 * dy + side * 2.5 * dx);
    }
  }
}
