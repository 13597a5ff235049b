package wellspan.exchange.dxf.write;

import java.io.IOException;
import java.util.List;
import wellspan.core.deliver.DxfRelease;

/** The tables, blocks and objects that a drawing must have around its entities. */
final class Tables {
  /** A layer and the number of its colour. */
  record Layer(String name, int colour) {}

  private final GroupText dxf;
  private final boolean r12;

  Tables(GroupText dxf, DxfRelease release) {
    this.dxf = dxf;
    r12 = release == DxfRelease.R12;
  }

  /**
   * @return the number of the model space, which owns the entities; empty in R12
   */
  String write(List<Layer> layers) throws IOException {
    dxf.put(0, "SECTION").put(2, "TABLES");
    if (!r12) {
      table("VPORT", 0);
      dxf.put(0, "ENDTAB");
    }
    lineTypes();
    table("LAYER", layers.size() + 1);
    layer(new Layer("0", 7));
    for (Layer l : layers) {
      layer(l);
    }
    dxf.put(0, "ENDTAB");
    textStyle();
    if (r12) {
      dxf.put(0, "ENDSEC");
      return "";
    }
    table("VIEW", 0);
    dxf.put(0, "ENDTAB");
    table("UCS", 0);
    dxf.put(0, "ENDTAB");
    table("APPID", 1);
    record("APPID", "AcDbRegAppTableRecord").put(2, "ACAD").put(70, 0);
    dxf.put(0, "ENDTAB");
    table("DIMSTYLE", 1);
    dxf.put(100, "AcDbDimStyleTable").put(71, 1);
    dxf.put(0, "DIMSTYLE").put(105, dxf.nextHandle()).put(100, "AcDbSymbolTableRecord");
    dxf.put(100, "AcDbDimStyleTableRecord").put(2, "Standard").put(70, 0);
    dxf.put(0, "ENDTAB");
    table("BLOCK_RECORD", 2);
    String model = blockRecord("*Model_Space");
    String paper = blockRecord("*Paper_Space");
    dxf.put(0, "ENDTAB").put(0, "ENDSEC");
    dxf.put(0, "SECTION").put(2, "BLOCKS");
    block("*Model_Space", model, false);
    block("*Paper_Space", paper, true);
    dxf.put(0, "ENDSEC");
    return model;
  }

  private void table(String name, int records) throws IOException {
    dxf.put(0, "TABLE").put(2, name);
    if (!r12) {
      dxf.put(5, dxf.nextHandle()).put(100, "AcDbSymbolTable");
    }
    dxf.put(70, records);
  }

  private GroupText record(String type, String subclass) throws IOException {
    dxf.object(type);
    return r12 ? dxf : dxf.put(100, "AcDbSymbolTableRecord").put(100, subclass);
  }

  private void lineTypes() throws IOException {
    String[] names =
        r12 ? new String[] {"CONTINUOUS"} : new String[] {"ByBlock", "ByLayer", "Continuous"};
    table("LTYPE", names.length);
    for (String name : names) {
      record("LTYPE", "AcDbLinetypeTableRecord").put(2, name).put(70, 0).put(3, "");
      dxf.put(72, 65).put(73, 0).put(40, 0.0);
    }
    dxf.put(0, "ENDTAB");
  }

  private void layer(Layer l) throws IOException {
    record("LAYER", "AcDbLayerTableRecord").put(2, l.name()).put(70, 0).put(62, l.colour());
    dxf.put(6, r12 ? "CONTINUOUS" : "Continuous");
  }

  private void textStyle() throws IOException {
    table("STYLE", 1);
    record("STYLE", "AcDbTextStyleTableRecord").put(2, r12 ? "STANDARD" : "Standard").put(70, 0);
    dxf.put(40, 0.0).put(41, 1.0).put(50, 0.0).put(71, 0).put(42, 0.5).put(3, "txt").put(4, "");
    dxf.put(0, "ENDTAB");
  }

  private String blockRecord(String name) throws IOException {
    String handle = dxf.nextHandle();
    dxf.put(0, "BLOCK_RECORD").put(5, handle).put(100, "AcDbSymbolTableRecord");
    dxf.put(100, "AcDbBlockTableRecord").put(2, name);
    return handle;
  }

  private void block(String name, String owner, boolean paper) throws IOException {
    begin("BLOCK", owner, paper);
    dxf.put(100, "AcDbBlockBegin")
        .put(2, name)
        .put(70, 0)
        .point(10, 0, 0, 0)
        .put(3, name)
        .put(1, "");
    begin("ENDBLK", owner, paper);
    dxf.put(100, "AcDbBlockEnd");
  }

  private void begin(String type, String owner, boolean paper) throws IOException {
    dxf.object(type).put(330, owner).put(100, "AcDbEntity");
    if (paper) {
      dxf.put(67, 1);
    }
    dxf.put(8, "0");
  }

  /** The root dictionary with an empty list of groups. */
  static void objects(GroupText dxf) throws IOException {
    String root = dxf.nextHandle();
    String groups = dxf.nextHandle();
    dxf.put(0, "SECTION").put(2, "OBJECTS");
    dxf.put(0, "DICTIONARY").put(5, root).put(330, "0").put(100, "AcDbDictionary").put(281, 1);
    dxf.put(3, "ACAD_GROUP").put(350, groups);
    dxf.put(0, "DICTIONARY").put(5, groups).put(330, root).put(100, "AcDbDictionary").put(281, 1);
    dxf.put(0, "ENDSEC");
  }
}
