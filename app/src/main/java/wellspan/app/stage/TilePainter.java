package wellspan.app.stage;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import javafx.geometry.Rectangle2D;
import wellspan.core.geom.Mesh;
import wellspan.core.terrain.ContourInterval;
import wellspan.core.terrain.Contours;
import wellspan.core.terrain.TriangleIndex;

/** Paints a square piece of a surface into pixels; runs beside the window. */
final class TilePainter {
  static final int SIZE = 256;
  private static final double LINE_GAP_PIXELS = 7;
  private static final double FINEST_GAP_PIXELS = 0.8;
  private static final int MAJOR_EVERY = 5;

  private TilePainter() {}

  /**
   * @param east west edge of the tile, shared coordinates
   * @param north northern edge
   * @param resolution metres in a pixel
   */
  static BufferedImage paint(
      TriangleIndex index, SurfaceLook look, double east, double north, double resolution) {
    BufferedImage image = new BufferedImage(SIZE, SIZE, BufferedImage.TYPE_INT_ARGB_PRE);
    switch (look) {
      case SurfaceLook.ContourLines l -> {
        shade(image, index, east, north, resolution, 0.28, false);
        contours(image, index, l, east, north, resolution);
      }
      case SurfaceLook.Tint c -> byTriangle(image, index, east, north, resolution, t -> c.rgb());
      case SurfaceLook.RunOff r -> RunOffArrows.paint(image, index, r, east, north, resolution);
      case SurfaceLook.Shade s -> shade(image, index, east, north, resolution, 1, s.dark());
      case SurfaceLook.Triangles t -> {
        shade(image, index, east, north, resolution, 0.35, t.dark());
        edges(image, index, 3.5, t.edge(), east, north, resolution);
      }
      case SurfaceLook.Deviation d -> deviation(image, index, d, east, north, resolution);
      case SurfaceLook.Levels l ->
          byTriangle(
              image, index, east, north, resolution, t -> SurfaceColours.level(index.mesh(), t, l));
      case SurfaceLook.Slope s ->
          byTriangle(
              image, index, east, north, resolution, t -> SurfaceColours.slope(index.mesh(), t));
      case SurfaceLook.Aspect a ->
          byTriangle(
              image, index, east, north, resolution, t -> SurfaceColours.aspect(index.mesh(), t));
      case SurfaceLook.Difference d -> difference(image, index, d, east, north, resolution);
    }
    return image;
  }

  /** The rows and columns in which anything is painted, with one more around them for blending. */
  static Rectangle2D used(BufferedImage image) {
    int[] argb = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    int left = SIZE, top = SIZE, right = -1, bottom = -1;
    for (int y = 0; y < SIZE; y++) {
      for (int x = 0; x < SIZE; x++) {
        if (argb[y * SIZE + x] != 0) {
          left = Math.min(left, x);
          right = Math.max(right, x);
          top = Math.min(top, y);
          bottom = y;
        }
      }
    }
    if (right < 0) {
      return Rectangle2D.EMPTY;
    }
    int x = Math.max(0, left - 1), y = Math.max(0, top - 1);
    return new Rectangle2D(x, y, Math.min(SIZE, right + 2) - x, Math.min(SIZE, bottom + 2) - y);
  }

  private interface Fill {
    int argb(int triangle);
  }

  private static void shade(
      BufferedImage image,
      TriangleIndex index,
      double east,
      double north,
      double res,
      double strength,
      boolean dark) {
    Mesh m = index.mesh();
    fill(image, index, east, north, res, t -> hillshade(m, t, strength, dark));
  }

  /** Light from the north-west, 45° high. */
  private static int hillshade(Mesh m, int t, double strength, boolean dark) {
    int[] tri = m.triangles();
    int a = tri[3 * t], b = tri[3 * t + 1], c = tri[3 * t + 2];
    double ux = m.east(b) - m.east(a), uy = m.north(b) - m.north(a), uz = m.level(b) - m.level(a);
    double wx = m.east(c) - m.east(a), wy = m.north(c) - m.north(a), wz = m.level(c) - m.level(a);
    double nx = uy * wz - uz * wy, ny = uz * wx - ux * wz, nz = ux * wy - uy * wx;
    double l = Math.sqrt(nx * nx + ny * ny + nz * nz);
    if (nz < 0) {
      l = -l;
    }
    double light = l == 0 ? 0.7 : Math.max(0, (-0.5 * nx + 0.5 * ny + 0.7071 * nz) / l);
    double k = dark ? 0.25 + 0.55 * light : 0.5 + 0.5 * light;
    int r = (int) (k * (dark ? 150 : 232));
    int g = (int) (k * (dark ? 140 : 222));
    int bl = (int) (k * (dark ? 110 : 196));
    int alpha = (int) (255 * strength);
    return alpha << 24 | r * alpha / 255 << 16 | g * alpha / 255 << 8 | bl * alpha / 255;
  }

  private static void fill(
      BufferedImage image,
      TriangleIndex index,
      double east,
      double north,
      double res,
      Fill colour) {
    int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    Mesh m = index.mesh();
    int[] tri = m.triangles();
    double size = SIZE * res;
    index.forEachNear(
        east,
        north - size,
        east + size,
        north,
        t -> {
          double ax = (m.east(tri[3 * t]) - east) / res, ay = (north - m.north(tri[3 * t])) / res;
          double bx = (m.east(tri[3 * t + 1]) - east) / res,
              by = (north - m.north(tri[3 * t + 1])) / res;
          double cx = (m.east(tri[3 * t + 2]) - east) / res,
              cy = (north - m.north(tri[3 * t + 2])) / res;
          int y0 = (int) Math.max(0, Math.ceil(Math.min(ay, Math.min(by, cy)) - 0.5));
          int y1 = (int) Math.min(SIZE - 1, Math.floor(Math.max(ay, Math.max(by, cy)) - 0.5));
          if (y1 < y0
              || Math.max(ax, Math.max(bx, cx)) < 0
              || Math.min(ax, Math.min(bx, cx)) > SIZE) {
            return;
          }
          int argb = colour.argb(t);
          for (int y = y0; y <= y1; y++) {
            double row = y + 0.5;
            double left = Double.POSITIVE_INFINITY;
            double right = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < 3; k++) {
              double px = k == 0 ? ax : k == 1 ? bx : cx, py = k == 0 ? ay : k == 1 ? by : cy;
              double qx = k == 0 ? bx : k == 1 ? cx : ax, qy = k == 0 ? by : k == 1 ? cy : ay;
              if (py <= row != qy <= row) {
                double x = px + (row - py) / (qy - py) * (qx - px);
                left = Math.min(left, x);
                right = Math.max(right, x);
              }
            }
            int x0 = (int) Math.max(0, Math.ceil(left - 0.5));
            int x1 = (int) Math.min(SIZE - 1, Math.ceil(right - 0.5) - 1);
            for (int x = x0; x <= x1; x++) {
              pixels[y * SIZE + x] = argb;
            }
          }
        });
  }

  private static void byTriangle(
      BufferedImage image, TriangleIndex index, double east, double north, double res, Fill rgb) {
    fill(image, index, east, north, res, t -> 0xFF000000 | rgb.argb(t));
  }

  /** Where both surfaces lie, by the pixel; the rest of the first one stays grey. */
  private static void difference(
      BufferedImage image,
      TriangleIndex index,
      SurfaceLook.Difference look,
      double east,
      double north,
      double res) {
    fill(image, index, east, north, res, t -> 0x60303030);
    int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
    for (int y = 0; y < SIZE; y++) {
      for (int x = 0; x < SIZE; x++) {
        if (pixels[y * SIZE + x] != 0) {
          double e = east + (x + 0.5) * res;
          double n = north - (y + 0.5) * res;
          double d = look.other().levelAt(e, n) - index.levelAt(e, n);
          if (!Double.isNaN(d)) {
            pixels[y * SIZE + x] = 0xFF000000 | DifferenceColours.rgb(d);
          }
        }
      }
    }
  }

  static Graphics2D graphics(BufferedImage image) {
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
    return g;
  }

  private static void contours(
      BufferedImage image,
      TriangleIndex index,
      SurfaceLook.ContourLines look,
      double east,
      double north,
      double res) {
    double smallest = ContourInterval.forGap(FINEST_GAP_PIXELS * res);
    double interval =
        look.interval() > 0 ? look.interval() : ContourInterval.forGap(LINE_GAP_PIXELS * res);
    if (interval < smallest) {
      return; // closer together they would be one patch of colour
    }
    Path2D minor = new Path2D.Double();
    Path2D major = new Path2D.Double();
    double size = SIZE * res;
    double edge = 2 * res;
    index.forEachNear(
        east - edge,
        north - size - edge,
        east + size + edge,
        north + edge,
        t ->
            Contours.ofTriangle(
                index.mesh(),
                t,
                interval,
                (k, e0, n0, e1, n1) -> {
                  Path2D path = k % MAJOR_EVERY == 0 ? major : minor;
                  path.moveTo((e0 - east) / res, (north - n0) / res);
                  path.lineTo((e1 - east) / res, (north - n1) / res);
                }));
    Graphics2D g = graphics(image);
    g.setColor(look.line());
    g.setStroke(new BasicStroke(0.9f));
    g.draw(minor);
    g.setColor(look.major());
    g.setStroke(new BasicStroke(1.3f));
    g.draw(major);
    g.dispose();
  }

  /** Edges only where they can be told apart; closer together they would be a grey mush. */
  private static void edges(
      BufferedImage image,
      TriangleIndex index,
      double gap,
      Color colour,
      double east,
      double north,
      double res) {
    Mesh m = index.mesh();
    double mean =
        Math.sqrt(
            2
                * Math.max(1e-9, m.bounds().width() * m.bounds().depth())
                / Math.max(1, m.triangleCount()));
    if (mean / res < gap) {
      return;
    }
    int[] tri = m.triangles();
    Path2D path = new Path2D.Double();
    double size = SIZE * res;
    index.forEachNear(
        east,
        north - size,
        east + size,
        north,
        t -> {
          for (int k = 0; k < 3; k++) {
            int a = tri[3 * t + k];
            int b = tri[3 * t + (k + 1) % 3];
            path.moveTo((m.east(a) - east) / res, (north - m.north(a)) / res);
            path.lineTo((m.east(b) - east) / res, (north - m.north(b)) / res);
          }
        });
    Graphics2D g = graphics(image);
    g.setColor(colour);
    g.setStroke(new BasicStroke(0.7f));
    g.draw(path);
    g.dispose();
  }

  private static void deviation(
      BufferedImage image,
      TriangleIndex index,
      SurfaceLook.Deviation look,
      double east,
      double north,
      double res) {
    int[] tri = index.mesh().triangles();
    double[] d = look.deviations();
    fill(
        image,
        index,
        east,
        north,
        res,
        t -> {
          double worst = 0;
          for (int k = 0; k < 3; k++) {
            int v = tri[3 * t + k];
            double x = v < d.length ? d[v] : Double.POSITIVE_INFINITY;
            worst = x > worst || Double.isNaN(x) ? x : worst;
          }
          boolean same = worst <= look.tolerance();
          Color c = same ? look.same() : look.off();
          int alpha = same ? 70 : 200;
          return alpha << 24
              | c.getRed() * alpha / 255 << 16
              | c.getGreen() * alpha / 255 << 8
              | c.getBlue() * alpha / 255;
        });
    edges(image, index, 9, look.edge(), east, north, res);
  }
}
