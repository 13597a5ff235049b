package wellspan.exchange.dxf.write;

import java.io.IOException;
import java.util.Collection;
import wellspan.core.geom.Box;

/** The tables and blocks that a drawing must have around its entities. */
final class Tables {
  private final GroupText dxf;
  private final boolean r12;
  private final Handles handles;

  /**
   * Numbers that records in several sections refer to; empty in R12.
   *
   * @param model the block record of model space
   * @param paper that of the sheet
   * @param modelLayout the layout of model space
   * @param paperLayout that of the sheet
   * @param plotStyle the plot style of all layers
   */
  record Handles(
      String model, String paper, String modelLayout, String paperLayout, String plotStyle) {
    static Handles of(GroupText dxf) {
      return dxf.handles()
          ? new Handles(
              dxf.nextHandle(),
              dxf.nextHandle(),
              dxf.nextHandle(),
              dxf.nextHandle(),
              dxf.nextHandle())
          : new Handles("", "", "", "", "");
    }
  }

  Tables(GroupText dxf, Handles handles) {
    this.dxf = dxf;
    this.handles = handles;
    r12 = !dxf.handles();
  }

  /**
   * @param extent of the drawing, shown when it is opened
   */
  void write(Collection<LayerLook> layers, Box extent) throws IOException {
    dxf.put(0, "SECTION").put(2, "TABLES");
    view(extent);
    lineTypes();
    String table = table("LAYER", layers.size() + 1);
    layer(table, new LayerLook("0", 7, -1));
    for (LayerLook l : layers) {
      layer(table, l);
    }
    dxf.put(0, "ENDTAB");
    String style = textStyle();
    if (r12) {
      dxf.put(0, "ENDSEC");
      return;
    }
    table("VIEW", 0);
    dxf.put(0, "ENDTAB");
    table("UCS", 0);
    dxf.put(0, "ENDTAB");
    String applications = table("APPID", 1);
    record("APPID", "AcDbRegAppTableRecord", applications).put(2, "ACAD").put(70, 0);
    dxf.put(0, "ENDTAB");
    dimensionStyle(style);
    String blocks = table("BLOCK_RECORD", 2);
    blockRecord("*Model_Space", handles.model(), handles.modelLayout(), blocks);
    blockRecord("*Paper_Space", handles.paper(), handles.paperLayout(), blocks);
    dxf.put(0, "ENDTAB").put(0, "ENDSEC");
    dxf.put(0, "SECTION").put(2, "BLOCKS");
    block("*Model_Space", handles.model(), false);
    block("*Paper_Space", handles.paper(), true);
    dxf.put(0, "ENDSEC");
  }

  private String table(String name, int records) throws IOException {
    dxf.put(0, "TABLE").put(2, name);
    String handle = "";
    if (!r12) {
      handle = dxf.nextHandle();
      dxf.put(5, handle).put(330, "0").put(100, "AcDbSymbolTable");
    }
    dxf.put(70, records);
    return handle;
  }

  private GroupText record(String type, String subclass, String owner) throws IOException {
    dxf.object(type, owner);
    return r12 ? dxf : dxf.put(100, "AcDbSymbolTableRecord").put(100, subclass);
  }

  private void view(Box extent) throws IOException {
    String table = table("VPORT", 1);
    boolean known = !extent.isEmpty();
    double e = known ? (extent.minE() + extent.maxE()) / 2 : 0;
    double n = known ? (extent.minN() + extent.maxN()) / 2 : 0;
    double wide = known ? extent.maxE() - extent.minE() : 0;
    double high = known ? extent.maxN() - extent.minN() : 0;
    double ratio = 1.6;
    double height = 1.1 * Math.max(high, wide / ratio);
    record("VPORT", "AcDbViewportTableRecord", table)
        .put(2, r12 ? "*ACTIVE" : "*Active")
        .put(70, 0);
    dxf.flat(10, 0, 0).flat(11, 1, 1).flat(12, e, n).flat(13, 0, 0).flat(14, 10, 10);
    dxf.flat(15, 10, 10).point(16, 0, 0, 1).point(17, 0, 0, 0);
    dxf.put(40, height > 0 ? height : 1).put(41, ratio).put(42, 50.0).put(43, 0.0).put(44, 0.0);
    dxf.put(50, 0.0).put(51, 0.0).put(71, 0).put(72, 100).put(73, 1).put(74, 3);
    dxf.put(75, 0).put(76, 0).put(77, 0).put(78, 0);
    dxf.put(0, "ENDTAB");
  }

  private void lineTypes() throws IOException {
    String[] names =
        r12 ? new String[] {"CONTINUOUS"} : new String[] {"ByBlock", "ByLayer", "Continuous"};
    String table = table("LTYPE", names.length);
    for (String name : names) {
      record("LTYPE", "AcDbLinetypeTableRecord", table).put(2, name).put(70, 0).put(3, "");
      dxf.put(72, 65).put(73, 0).put(40, 0.0);
    }
    dxf.put(0, "ENDTAB");
  }

  private void layer(String table, LayerLook l) throws IOException {
    record("LAYER", "AcDbLayerTableRecord", table).words(2, l.name()).put(70, 0);
    dxf.put(62, l.index());
    if (l.rgb() >= 0) {
      dxf.put(420, l.rgb());
    }
    dxf.put(6, r12 ? "CONTINUOUS" : "Continuous");
    if (!r12) {
      dxf.put(290, 1).put(370, -3).put(390, handles.plotStyle());
    }
  }

  private String textStyle() throws IOException {
    String table = table("STYLE", 1);
    String name = r12 ? "STANDARD" : "Standard";
    String own = dxf.object("STYLE", table);
    if (!r12) {
      dxf.put(100, "AcDbSymbolTableRecord").put(100, "AcDbTextStyleTableRecord");
    }
    dxf.put(2, name).put(70, 0);
    dxf.put(40, 0.0).put(41, 1.0).put(50, 0.0).put(71, 0).put(42, 0.5).put(3, "txt").put(4, "");
    dxf.put(0, "ENDTAB");
    return own;
  }

  private void dimensionStyle(String textStyle) throws IOException {
    String table = table("DIMSTYLE", 1);
    dxf.put(100, "AcDbDimStyleTable").put(71, 0);
    dxf.put(0, "DIMSTYLE").put(105, dxf.nextHandle()).put(330, table);
    dxf.put(100, "AcDbSymbolTableRecord").put(100, "AcDbDimStyleTableRecord");
    dxf.put(2, "Standard").put(70, 0).put(40, 1.0).put(41, 2.5).put(42, 0.625).put(44, 1.25);
    dxf.put(73, 0).put(74, 0).put(77, 1).put(140, 2.5).put(147, 0.625).put(271, 2).put(278, 46);
    dxf.put(340, textStyle).put(371, -2).put(372, -2);
    dxf.put(0, "ENDTAB");
  }

  private void blockRecord(String name, String handle, String layout, String table)
      throws IOException {
    dxf.put(0, "BLOCK_RECORD").put(5, handle).put(330, table);
    dxf.put(100, "AcDbSymbolTableRecord").put(100, "AcDbBlockTableRecord");
    dxf.put(2, name).put(340, layout);
  }

  private void block(String name, String owner, boolean paper) throws IOException {
    begin("BLOCK", owner, paper);
    dxf.put(100, "AcDbBlockBegin").put(2, name).put(70, 0).point(10, 0, 0, 0);
    dxf.put(3, name).put(1, "");
    begin("ENDBLK", owner, paper);
    dxf.put(100, "AcDbBlockEnd");
  }

  private void begin(String type, String owner, boolean paper) throws IOException {
    dxf.object(type, owner);
    dxf.put(100, "AcDbEntity");
    if (paper) {
      dxf.put(67, 1);
    }
    dxf.put(8, "0");
  }
}
