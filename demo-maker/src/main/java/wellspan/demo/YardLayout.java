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

  private final DxfDrawing dxf = new DxfDrawing(0.001);
  private final SplittableRandom random = new SplittableRandom(60_090);

  private YardLayout() {}

  static String drawing(Ground ground) {
    YardLayout y = new YardLayout();
    String[] layers = {"Points", "lane edges", "PAD_A", "PAD_B", "PAD_C", "Yard Outline", "gates"};
    int[] colours = {1, 4, 34, 36, 38, 5, 6};
    for (int i = 0; i < layers.length; i++) {
      y.dxf.layer(layers[i], colours[i]);
    }
    y.gate();
    for (int i : CONTROL) {
      double[] p = ControlPoints.onGround(ground).get(i);
      y.control("BN-" + (i + 1), YARD.toLocal(new Position(p[0], p[1], p[2])));
    }
    y.pad();
    y.outline();
    y.lanes();
    y.gateAt(6, 0, 0);
    y.gateAt(WIDTH - 6, DEPTH, 180);
    return y.dxf.text(0);
  }

  private static double level(double along) {
    return LEVEL + FALL * along;
  }

  /** Two posts and a bar of five metres. */
  private void gate() {
    dxf.block("GATE");
    dxf.entity("LINE", "0", "AcDbLine").place(10, 0, 0, 0).place(11, 5, 0, 0);
    dxf.entity("LINE", "0", "AcDbLine").place(10, 0, -0.3, 0).place(11, 0, 0.3, 0);
    dxf.entity("LINE", "0", "AcDbLine").place(10, 5, -0.3, 0).place(11, 5, 0.3, 0);
    dxf.endBlock();
  }

  private void gateAt(double x, double along, double turned) {
    dxf.entity("INSERT", "gates", "AcDbBlockReference").group(2, "GATE");
    dxf.place(10, x, along, level(along)).group(50, turned);
  }

  /** A circle of half a metre with its name beside it; measured to a millimetre. */
  private void control(String name, Position p) {
    long[] at = {measured(p.east()), measured(p.north()), measured(p.level())};
    dxf.entity("CIRCLE", "Points", "AcDbCircle");
    dxf.place(10, at[0] / 1000.0, at[1] / 1000.0, at[2] / 1000.0).group(40, 500);
    dxf.entity("TEXT", "Points", "AcDbText");
    dxf.place(10, (at[0] + 700) / 1000.0, (at[1] + 300) / 1000.0, at[2] / 1000.0);
    dxf.group(40, 600, 1, name, 100, "AcDbText");
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
    dxf.entity("3DFACE", layer, "AcDbFace");
    for (int k = 0; k < 4; k++) {
      int corner = Math.min(k, 2);
      dxf.place(10 + k, xy[2 * corner], xy[2 * corner + 1], level(xy[2 * corner + 1]));
    }
  }

  /** Closed, with rounded northern corners; drawn at height zero as outlines often are. */
  private void outline() {
    double r = 6;
    double quarter = Math.tan(Math.PI / 8);
    dxf.entity("LWPOLYLINE", "Yard Outline", "AcDbPolyline").group(90, 6, 70, 1);
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
        DxfDrawing.decimal(1000 * x),
        20,
        DxfDrawing.decimal(1000 * y),
        42,
        DxfDrawing.decimal(bulge));
  }

  private void lanes() {
    for (int lane = 0; lane <= 8; lane++) {
      double x = 6 + 6 * lane;
      dxf.entity("LINE", "lane edges", "AcDbLine").place(10, x, 8, level(8));
      dxf.place(11, x, DEPTH - 8, level(DEPTH - 8));
    }
  }
}
