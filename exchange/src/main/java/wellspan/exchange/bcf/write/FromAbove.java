package wellspan.exchange.bcf.write;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import javax.imageio.ImageIO;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

/**
 * Items seen from straight above, in the coordinates of the model they are delivered in.
 *
 * @param id GlobalId of an item
 * @param frame of the model; shared coordinates where there is none
 */
record FromAbove(List<Item> items, Function<Item, String> id, Optional<Frame> frame) {
  private static final int WIDTH = 800;
  private static final int HEIGHT = 600;
  private static final double MARGIN = 1.25;
  private static final Color MARKED = new Color(0xC24A35);

  private Position local(double e, double n, double h) {
    Position p = new Position(e, n, h);
    return frame.map(f -> f.toLocal(p)).orElse(p);
  }

  /**
   * Over what is marked, or over a place; over the whole where there is neither.
   *
   * @param marked GlobalIds
   * @param least visible height, metres
   */
  BcfTopic.Viewpoint view(Set<String> marked, Optional<Position> place, double least) {
    Box box = Box.EMPTY;
    Box all = Box.EMPTY;
    for (Item i : items) {
      Box b = local(i.bounds());
      all = all.union(b);
      box = marked.contains(id.apply(i)) ? box.union(b) : box;
    }
    if (place.isPresent()) {
      Position p = local(place.get().east(), place.get().north(), 0);
      box = Box.of(new double[] {p.east(), p.north(), 0});
    }
    Box b = box.isEmpty() ? all : box;
    if (b.isEmpty()) {
      return new BcfTopic.Viewpoint(0, 0, 100, 100, (double) WIDTH / HEIGHT);
    }
    double aspect = (double) WIDTH / HEIGHT;
    double height =
        MARGIN * Math.max(least, Math.max(b.maxN() - b.minN(), (b.maxE() - b.minE()) / aspect));
    double top = all.hasLevels() ? all.maxH() : 0;
    return new BcfTopic.Viewpoint(
        (b.minE() + b.maxE()) / 2, (b.minN() + b.maxN()) / 2, top + height, height, aspect);
  }

  private Box local(Box b) {
    double h = b.hasLevels() ? b.minH() : 0;
    double top = b.hasLevels() ? b.maxH() : 0;
    Box out = Box.EMPTY;
    for (int k = 0; k < 8; k++) {
      Position p =
          local(
              k % 2 == 0 ? b.minE() : b.maxE(),
              k / 2 % 2 == 0 ? b.minN() : b.maxN(),
              k / 4 == 0 ? h : top);
      out = out.union(Box.of(new double[] {p.east(), p.north(), p.level()}));
    }
    return out;
  }

  /** What the viewpoint shows, as PNG: what is marked in colour, a ring round the place. */
  byte[] picture(Set<String> marked, Optional<Position> place, BcfTopic.Viewpoint view)
      throws IOException {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(0xF6F4EF));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    g.setStroke(new BasicStroke(1.5f));
    for (boolean ofThese : new boolean[] {false, true}) {
      for (Item i : items) {
        if (marked.contains(id.apply(i)) == ofThese && isInView(local(i.bounds()), view)) {
          draw(g, i, ofThese, view);
        }
      }
    }
    place.ifPresent(
        p -> {
          double[] at = pixel(local(p.east(), p.north(), 0), view);
          g.setColor(MARKED);
          g.setStroke(new BasicStroke(4));
          g.draw(new Ellipse2D.Double(at[0] - 24, at[1] - 24, 48, 48));
        });
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private static boolean isInView(Box b, BcfTopic.Viewpoint v) {
    double half = v.height() / 2;
    double wide = half * v.aspect();
    return b.minE() <= v.x() + wide
        && b.maxE() >= v.x() - wide
        && b.minN() <= v.y() + half
        && b.maxN() >= v.y() - half;
  }

  /** Whether a triangle lies beside the picture in one direction, pixels. */
  private static boolean isOff(double a, double b, double c, double size) {
    return a < 0 && b < 0 && c < 0 || a > size && b > size && c > size;
  }

  private void draw(Graphics2D g, Item i, boolean marked, BcfTopic.Viewpoint view) {
    g.setColor(marked ? MARKED : new Color(0xC9C4B8));
    Optional<Mesh> mesh = i.triangles();
    if (mesh.isPresent()) {
      double[] xyz = mesh.get().xyz();
      int[] t = mesh.get().triangles();
      double[] at = new double[xyz.length / 3 * 2];
      for (int v = 0; 2 * v < at.length; v++) {
        double[] p = pixel(local(xyz[3 * v], xyz[3 * v + 1], xyz[3 * v + 2]), view);
        at[2 * v] = p[0];
        at[2 * v + 1] = p[1];
      }
      Path2D area = new Path2D.Double();
      int taken = 0;
      for (int k = 0; k < t.length; k += 3) {
        int a = 2 * t[k];
        int b = 2 * t[k + 1];
        int c = 2 * t[k + 2];
        if (isOff(at[a], at[b], at[c], WIDTH) || isOff(at[a + 1], at[b + 1], at[c + 1], HEIGHT)) {
          continue;
        }
        // all the same way round: top and bottom of a body would cancel each other
        boolean left =
            (at[b] - at[a]) * (at[c + 1] - at[a + 1]) > (at[c] - at[a]) * (at[b + 1] - at[a + 1]);
        int second = left ? b : c;
        int third = left ? c : b;
        area.moveTo(at[a], at[a + 1]);
        area.lineTo(at[second], at[second + 1]);
        area.lineTo(at[third], at[third + 1]);
        area.closePath();
        if (++taken % 1000 == 0) {
          g.fill(area);
          area.reset();
        }
      }
      g.fill(area);
      return;
    }
    if (i.shape() instanceof Shape.Lines lines) {
      lines.lines().forEach(l -> line(g, l.xyz(), view));
    } else if (i.shape() instanceof Shape.Axis a) {
      line(g, a.line().xyz(), view);
    }
  }

  private void line(Graphics2D g, double[] xyz, BcfTopic.Viewpoint view) {
    Path2D path = new Path2D.Double();
    for (int k = 0; k < xyz.length; k += 3) {
      double h = Double.isNaN(xyz[k + 2]) ? 0 : xyz[k + 2];
      double[] at = pixel(local(xyz[k], xyz[k + 1], h), view);
      if (k == 0) {
        path.moveTo(at[0], at[1]);
      } else {
        path.lineTo(at[0], at[1]);
      }
    }
    g.draw(path);
  }

  private static double[] pixel(Position p, BcfTopic.Viewpoint v) {
    double scale = HEIGHT / v.height();
    return new double[] {
      WIDTH / 2.0 + (p.east() - v.x()) * scale, HEIGHT / 2.0 - (p.north() - v.y()) * scale
    };
  }
}
