package wellspan.demo;

import java.util.SplittableRandom;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;

/**
 * The marshalling yard as its office draws it: a drawing in millimetres, the yard's south corner as
 * zero, y along site north, nothing said of unit or place, layers named as it pleases. Four control
 * points are marked with circles, rounded and measured to a millimetre; the pad's triangles lie
 * loose on three layers.
 */
final class YardLayout {
  private static final double WIDTH = 60;
  private static final double DEPTH = 90;
  private static final double LEVEL = 10.7;
  private static final double FALL = 0.01;
  private static final double CELL = 10;
  private static final int[] CONTROL = {0, 1, 2, 4};
  private static final Frame YARD =
      Frame.of("", "", new Position(412_928.96, 6_534_749.19, 0), 21.5);

  private final DxfLines dxf = new DxfLines(0.001);
  private final SplittableRandom random = new SplittableRandom(60_090);

  private YardLayout() {}

  static String drawing(Ground ground) {
    YardLayout y = new YardLayout();
    y.dxf.group(0, "SECTION", 2, "HEADER", 9, "$ACADVER", 1, "AC1015", 9, "$INSUNITS", 70, 0);
    y.dxf.group(0, "ENDSEC", 0, "SECTION", 2, "TABLES", 0, "TABLE", 2, "LAYER", 70, 7);
    String[] layers = {"Points", "lane edges", "PAD_A", "PAD_B", "PAD_C", "Yard Outline", "gates"};
    int[] colours = {1, 4, 34, 36, 38, 5, 6};
    for (int i = 0; i < layers.length; i++) {
      y.dxf.group(0, "LAYER", 2, layers[i], 70, 0, 62, colours[i], 6, "CONTINUOUS");
    }
    y.dxf.group(0, "ENDTAB", 0, "ENDSEC", 0, "SECTION", 2, "BLOCKS");
    y.gate();
    y.dxf.group(0, "ENDSEC", 0, "SECTION", 2, "ENTITIES");
    for (int i : CONTROL) {
      double[] p = ControlPoints.onGround(ground).get(i);
      y.control("BN-" + (i + 1), YARD.toLocal(new Position(p[0], p[1], p[2])));
    }
    y.pad();
    y.outline();
    y.lanes();
    y.dxf.group(0, "INSERT", 8, "gates", 2, "GATE").place(10, 6, 0, level(0));
    y.dxf.group(0, "INSERT", 8, "gates", 2, "GATE").place(10, WIDTH - 6, DEPTH, level(DEPTH));
    y.dxf.group(50, 180);
    y.dxf.group(0, "ENDSEC", 0, "EOF");
    return y.dxf.toString();
  }

  private static double level(double along) {
    return LEVEL + FALL * along;
  }

  /** Two posts and a bar of five metres. */
  private void gate() {
    dxf.group(0, "BLOCK", 8, "0", 2, "GATE", 70, 0, 10, 0, 20, 0, 30, 0);
    dxf.group(0, "LINE", 8, "0").place(10, 0, 0, 0).place(11, 5, 0, 0);
    dxf.group(0, "LINE", 8, "0").place(10, 0, -0.3, 0).place(11, 0, 0.3, 0);
    dxf.group(0, "LINE", 8, "0").place(10, 5, -0.3, 0).place(11, 5, 0.3, 0);
    dxf.group(0, "ENDBLK", 8, "0");
  }

  /** A circle of half a metre with its name beside it; measured to a millimetre. */
  private void control(String name, Position p) {
    long[] at = {measured(p.east()), measured(p.north()), measured(p.height())};
    dxf.group(0, "CIRCLE", 8, "Points", 10, at[0], 20, at[1], 30, at[2], 40, 500);
    dxf.group(
        0, "TEXT", 8, "Points", 10, at[0] + 700, 20, at[1] + 300, 30, at[2], 40, 600, 1, name);
  }

  private long measured(double metres) {
    return Math.round(1000 * metres) + random.nextInt(-1, 2);
  }

  private void pad() {
    for (double y = 0; y < DEPTH; y += CELL) {
      String layer = y < DEPTH / 3 ? "PAD_A" : y < 2 * DEPTH / 3 ? "PAD_B" : "PAD_C";
      for (double x = 0; x < WIDTH; x += CELL) {
        face(layer, x, y, x + CELL, y, x + CELL, y + CELL);
        face(layer, x, y, x + CELL, y + CELL, x, y + CELL);
      }
    }
  }

  private void face(String layer, double... xy) {
    dxf.group(0, "3DFACE", 8, layer);
    for (int k = 0; k < 4; k++) {
      int corner = Math.min(k, 2);
      dxf.place(10 + k, xy[2 * corner], xy[2 * corner + 1], level(xy[2 * corner + 1]));
    }
  }

  /** Closed, with rounded northern corners; drawn at height zero as outlines often are. */
  private void outline() {
    double r = 6;
    double quarter = Math.tan(Math.PI / 8);
    dxf.group(0, "LWPOLYLINE", 8, "Yard Outline", 90, 6, 70, 1);
    flat(0, 0, 0);
    flat(WIDTH, 0, 0);
    flat(WIDTH, DEPTH - r, quarter);
    flat(WIDTH - r, DEPTH, 0);
    flat(r, DEPTH, quarter);
    flat(0, DEPTH - r, 0);
  }

  private void flat(double x, double y, double bulge) {
    dxf.group(
        10,
        DxfLines.decimal(1000 * x),
        20,
        DxfLines.decimal(1000 * y),
        42,
        DxfLines.decimal(bulge));
  }

  private void lanes() {
    for (int lane = 0; lane <= 8; lane++) {
      double x = 6 + 6 * lane;
      dxf.group(0, "LINE", 8, "lane edges").place(10, x, 8, level(8));
      dxf.place(11, x, DEPTH - 8, level(DEPTH - 8));
    }
  }
}
