package wellspan.demo;

import java.util.ArrayList;
import java.util.List;

/**
 * The surveyor's lines in space: the coast road's edges, top and toe of the bank, the creek, the
 * quay's edge, the boundary of the site. Planted on purpose: a fence line that crosses the top of
 * the bank 0.85 m above it, on a layer named as nobody else would.
 */
final class Breaklines {
  private static final double STEP = 12;
  private static final double FENCE = 0.85;

  private final Ground ground;
  private final DxfDrawing dxf = new DxfDrawing(1);

  private Breaklines(Ground ground) {
    this.ground = ground;
  }

  static String drawing(Ground ground) {
    Breaklines b = new Breaklines(ground);
    String[] layers = {
      "SURV-ROAD-EDGE",
      "SURV-BANK-TOP",
      "SURV-BANK-TOE",
      "SURV-CREEK",
      "SURV-QUAY",
      "SURV-SITE",
      "ny linje (2)"
    };
    int[] colours = {8, 30, 32, 5, 1, 6, 3};
    for (int i = 0; i < layers.length; i++) {
      b.dxf.layer(layers[i], colours[i]);
    }
    double e = ShoreSurvey.E0, n = ShoreSurvey.N0;
    b.line(
        "SURV-ROAD-EDGE",
        0,
        false,
        e + 40,
        n + 40,
        e + 46,
        n + 220,
        e + 40,
        n + 400,
        e + 30,
        n + 520);
    b.line(
        "SURV-ROAD-EDGE",
        0,
        false,
        e + 47,
        n + 40,
        e + 53,
        n + 220,
        e + 47,
        n + 400,
        e + 37,
        n + 520);
    b.line("SURV-BANK-TOP", 0, false, e + 120, n + 130, e + 300, n + 150, e + 470, n + 190);
    b.line("SURV-BANK-TOE", 0, false, e + 120, n + 112, e + 300, n + 132, e + 470, n + 170);
    b.line(
        "SURV-CREEK",
        0,
        false,
        e + 560,
        n + 60,
        e + 590,
        n + 250,
        e + 612,
        n + 430,
        e + 618,
        n + 520);
    b.line("SURV-QUAY", 0, false, e + 1100, n + 160, e + 1230, n + 200, e + 1245, n + 290);
    b.line("ny linje (2)", FENCE, false, e + 258, n + 128 + 14, e + 250, n + 260);
    b.line(
        "SURV-SITE", 0, true, e + 15, n + 20, e + 1280, n + 20, e + 1285, n + 540, e + 12, n + 545);
    return b.dxf.text(6);
  }

  /** A polyline in space with a vertex every few metres, at ground level or above it. */
  private void line(String layer, double above, boolean closed, double... corners) {
    dxf.polyline(layer, closed);
    for (double[] p : vertices(closed, corners)) {
      dxf.vertex(layer, p[0], p[1], DesignSurface.round(ground.level(p[0], p[1]) + above));
    }
    dxf.endPolyline(layer);
  }

  private static List<double[]> vertices(boolean closed, double... c) {
    List<double[]> out = new ArrayList<>();
    int corners = c.length / 2;
    int sides = closed ? corners : corners - 1;
    for (int i = 0; i < sides; i++) {
      double e0 = c[2 * i], n0 = c[2 * i + 1];
      double e1 = c[2 * ((i + 1) % corners)], n1 = c[2 * ((i + 1) % corners) + 1];
      int pieces = (int) Math.ceil(Math.hypot(e1 - e0, n1 - n0) / STEP);
      for (int k = 0; k < pieces; k++) {
        out.add(at(e0, n0, e1, n1, (double) k / pieces));
      }
    }
    if (!closed) {
      out.add(new double[] {c[c.length - 2], c[c.length - 1]});
    }
    return out;
  }

  private static double[] at(double e0, double n0, double e1, double n1, double t) {
    return new double[] {
      DesignSurface.round(e0 + t * (e1 - e0)), DesignSurface.round(n0 + t * (n1 - n0))
    };
  }
}
