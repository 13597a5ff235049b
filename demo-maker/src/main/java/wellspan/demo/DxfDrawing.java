package wellspan.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/**
 * Text of a whole drawing of release 2000: a fixed frame of tables, dictionaries and sheets, and in
 * it layers, blocks and entities with handles and owners.
 */
final class DxfDrawing {
  private static final String FRAME = frame();
  private static final String MODEL = "20";
  private static final String LAYERS = "2B";
  private static final String BLOCK_RECORDS = "36";
  private static final String PLOT_STYLE = "24";

  private final double unit;
  private final StringBuilder layers = new StringBuilder();
  private final StringBuilder blockRecords = new StringBuilder();
  private final StringBuilder blocks = new StringBuilder();
  private final StringBuilder entities = new StringBuilder();
  private final double[] low = {Double.MAX_VALUE, Double.MAX_VALUE, Double.MAX_VALUE};
  private final double[] high = {-Double.MAX_VALUE, -Double.MAX_VALUE, -Double.MAX_VALUE};
  private final List<String> ends = new ArrayList<>();
  private StringBuilder text = entities;
  private String owner = MODEL;
  private int handle = 0x100;

  /**
   * @param unit of the drawing in metres
   */
  DxfDrawing(double unit) {
    this.unit = unit;
  }

  private static String frame() {
    try (InputStream in = DxfDrawing.class.getResourceAsStream("drawing-frame.dxf")) {
      return new String(in.readAllBytes(), StandardCharsets.US_ASCII);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private String next() {
    return Integer.toHexString(handle++).toUpperCase(Locale.ROOT);
  }

  DxfDrawing layer(String name, int colour) {
    put(layers, 0, "LAYER", 5, next(), 330, LAYERS, 100, "AcDbSymbolTableRecord");
    put(layers, 100, "AcDbLayerTableRecord", 2, name, 70, 0, 62, colour, 6, "Continuous");
    put(layers, 290, 1, 370, -3, 390, PLOT_STYLE);
    return this;
  }

  /** What follows until {@link #endBlock} belongs to a block of this name. */
  void block(String name) {
    owner = next();
    text = blocks;
    put(blockRecords, 0, "BLOCK_RECORD", 5, owner, 330, BLOCK_RECORDS);
    put(blockRecords, 100, "AcDbSymbolTableRecord", 100, "AcDbBlockTableRecord", 2, name);
    entity("BLOCK", "0", "AcDbBlockBegin").group(2, name, 70, 0, 10, 0, 20, 0, 30, 0, 3, name);
    group(1, "");
  }

  void endBlock() {
    entity("ENDBLK", "0", "AcDbBlockEnd");
    owner = MODEL;
    text = entities;
  }

  /** Begins an entity. */
  DxfDrawing entity(String type, String layer, String... subclasses) {
    begin(type, next(), owner, layer);
    for (String s : subclasses) {
      group(100, s);
    }
    return this;
  }

  private void begin(String type, String handle, String owner, String layer) {
    put(text, 0, type, 5, handle, 330, owner, 100, "AcDbEntity", 8, layer);
  }

  /** Begins an old polyline in space; {@link #vertex} and {@link #endPolyline} belong to it. */
  void polyline(String layer, boolean closed) {
    String own = next();
    ends.add(own);
    begin("POLYLINE", own, owner, layer);
    group(100, "AcDb3dPolyline", 66, 1, 10, 0, 20, 0, 30, 0, 70, closed ? 9 : 8);
  }

  void vertex(String layer, double x, double y, double z) {
    begin("VERTEX", next(), ends.getLast(), layer);
    group(100, "AcDbVertex", 100, "AcDb3dPolylineVertex").place(10, x, y, z).group(70, 32);
  }

  void endPolyline(String layer) {
    begin("SEQEND", next(), ends.getLast(), layer);
  }

  /** Appends groups given as code, value, code, value … */
  DxfDrawing group(Object... codesAndValues) {
    put(text, codesAndValues);
    return this;
  }

  private static void put(StringBuilder to, Object... codesAndValues) {
    for (int i = 0; i < codesAndValues.length; i += 2) {
      to.append(String.format(Locale.ROOT, "%3s\n%s\n", codesAndValues[i], codesAndValues[i + 1]));
    }
  }

  /** Appends a point given in metres. */
  DxfDrawing place(int code, double x, double y, double z) {
    double[] p = {x / unit, y / unit, z / unit};
    for (int k = 0; k < 3; k++) {
      if (text == entities) {
        low[k] = Math.min(low[k], p[k]);
        high[k] = Math.max(high[k], p[k]);
      }
      group(code + 10 * k, decimal(p[k]));
    }
    return this;
  }

  static String decimal(double v) {
    String s = String.format(Locale.ROOT, "%.6f", v).replaceAll("0+$", "");
    return s.endsWith(".") ? s + "0" : s;
  }

  /**
   * The whole text.
   *
   * @param units what the drawing says of its unit: 6 metres, 4 millimetres, 0 nothing
   */
  String text(int units) {
    StringBuilder extent = new StringBuilder();
    put(extent, 9, "$EXTMIN", 10, decimal(low[0]), 20, decimal(low[1]), 30, decimal(low[2]));
    put(extent, 9, "$EXTMAX", 10, decimal(high[0]), 20, decimal(high[1]), 30, decimal(high[2]));
    StringBuilder centre = new StringBuilder();
    put(centre, 12, decimal((low[0] + high[0]) / 2), 22, decimal((low[1] + high[1]) / 2));
    return FRAME
        .replace("${units}", String.valueOf(units))
        .replace("${extent}\n", extent)
        .replace("${centre}\n", centre)
        .replace("${height}", decimal(1.1 * Math.max(high[1] - low[1], (high[0] - low[0]) / 1.6)))
        .replace("${layers}\n", layers)
        .replace("${block records}\n", blockRecords)
        .replace("${blocks}\n", blocks)
        .replace("${entities}\n", entities);
  }
}
