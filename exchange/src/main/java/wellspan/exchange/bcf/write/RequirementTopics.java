package wellspan.exchange.bcf.write;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.receive.Received;
import wellspan.core.requirement.RequirementReport;
import wellspan.core.shape.Shape;

/** Makes topics of the specifications that a model does not fulfil, each with a view from above. */
public final class RequirementTopics {
  private static final int WIDTH = 800;
  private static final int HEIGHT = 600;
  private static final double MARGIN = 1.25;
  private static final double LEAST = 5;

  private final Received model;
  private final Optional<Frame> frame;

  private RequirementTopics(Received model) {
    this.model = model;
    frame = model.frame();
  }

  /**
   * @param model the checked file with its shapes
   */
  public static List<BcfTopic> of(RequirementReport report, Received model) throws IOException {
    RequirementTopics make = new RequirementTopics(model);
    List<BcfTopic> out = new ArrayList<>();
    for (RequirementReport.Result r : report.results()) {
      if (!r.pass()) {
        out.add(make.topic(report, r));
      }
    }
    return out;
  }

  private BcfTopic topic(RequirementReport report, RequirementReport.Result r) throws IOException {
    String name = report.title() + "\u0000" + r.specification().name();
    Set<String> failed = new HashSet<>();
    List<String> ids = new ArrayList<>();
    StringBuilder text = new StringBuilder();
    if (!r.note().isEmpty()) {
      text.append(r.note());
    }
    for (RequirementReport.Failure f : r.failures()) {
      if (f.object().globalId().length() == 22 && failed.add(f.object().globalId())) {
        ids.add(f.object().globalId());
      }
      text.append(text.isEmpty() ? "" : "\n")
          .append(f.object().name().isEmpty() ? f.object().globalId() : f.object().name())
          .append(": ")
          .append(f.reason());
    }
    BcfTopic.Viewpoint view = view(failed);
    return new BcfTopic(
        UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)),
        r.specification().name().isBlank() ? "Specification" : r.specification().name(),
        text.toString(),
        ids,
        view,
        picture(failed, view));
  }

  private Position local(double e, double n, double h) {
    Position p = new Position(e, n, h);
    return frame.map(f -> f.toLocal(p)).orElse(p);
  }

  /** Over what failed; over the whole where none of it has a shape. */
  private BcfTopic.Viewpoint view(Set<String> failed) {
    Box box = Box.EMPTY;
    Box all = Box.EMPTY;
    for (Item i : model.items()) {
      Box b = local(i.bounds());
      all = all.union(b);
      box = failed.contains(i.said().globalId()) ? box.union(b) : box;
    }
    Box b = box.isEmpty() ? all : box;
    if (b.isEmpty()) {
      return new BcfTopic.Viewpoint(0, 0, 100, 100, (double) WIDTH / HEIGHT);
    }
    double aspect = (double) WIDTH / HEIGHT;
    double height =
        MARGIN * Math.max(LEAST, Math.max(b.maxN() - b.minN(), (b.maxE() - b.minE()) / aspect));
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
      out = out.union(Box.of(new double[] {p.east(), p.north(), p.height()}));
    }
    return out;
  }

  private byte[] picture(Set<String> failed, BcfTopic.Viewpoint view) throws IOException {
    BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
    Graphics2D g = image.createGraphics();
    g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
    g.setColor(new Color(0xF6F4EF));
    g.fillRect(0, 0, WIDTH, HEIGHT);
    g.setStroke(new BasicStroke(1.5f));
    for (boolean marked : new boolean[] {false, true}) {
      for (Item i : model.items()) {
        if (failed.contains(i.said().globalId()) == marked) {
          draw(g, i, marked, view);
        }
      }
    }
    g.dispose();
    ByteArrayOutputStream out = new ByteArrayOutputStream();
    ImageIO.write(image, "png", out);
    return out.toByteArray();
  }

  private void draw(Graphics2D g, Item i, boolean marked, BcfTopic.Viewpoint view) {
    g.setColor(marked ? new Color(0xC24A35) : new Color(0xC9C4B8));
    Optional<Mesh> mesh = i.triangles();
    if (mesh.isPresent()) {
      double[] xyz = mesh.get().xyz();
      int[] t = mesh.get().triangles();
      Path2D area = new Path2D.Double();
      for (int k = 0; k < t.length; k += 3) {
        for (int c = 0; c < 3; c++) {
          int v = 3 * t[k + c];
          double[] at = pixel(local(xyz[v], xyz[v + 1], xyz[v + 2]), view);
          if (c == 0) {
            area.moveTo(at[0], at[1]);
          } else {
            area.lineTo(at[0], at[1]);
          }
        }
        area.closePath();
        if (k % 3000 == 0) {
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
