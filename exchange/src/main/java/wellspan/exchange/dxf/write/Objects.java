package wellspan.exchange.dxf.write;

import java.io.IOException;
import wellspan.core.geom.Box;

/** The section of objects: the dictionaries and layouts that receivers look for. */
final class Objects {
  private final GroupText dxf;
  private final Tables.Handles handles;

  Objects(GroupText dxf, Tables.Handles handles) {
    this.dxf = dxf;
    this.handles = handles;
  }

  /**
   * @param extent of model space
   */
  void write(Box extent) throws IOException {
    String root = dxf.nextHandle();
    String groups = dxf.nextHandle();
    String layouts = dxf.nextHandle();
    String multilines = dxf.nextHandle();
    String multiline = dxf.nextHandle();
    String plots = dxf.nextHandle();
    String styles = dxf.nextHandle();
    dxf.put(0, "SECTION").put(2, "OBJECTS");
    dictionary(root, "0");
    entry("ACAD_GROUP", groups);
    entry("ACAD_LAYOUT", layouts);
    entry("ACAD_MLINESTYLE", multilines);
    entry("ACAD_PLOTSETTINGS", plots);
    entry("ACAD_PLOTSTYLENAME", styles);
    dictionary(groups, root);
    dictionary(layouts, root);
    entry("Model", handles.modelLayout());
    entry("Sheet", handles.paperLayout());
    dictionary(multilines, root);
    entry("Standard", multiline);
    dxf.put(0, "MLINESTYLE").put(5, multiline).put(330, multilines).put(100, "AcDbMlineStyle");
    dxf.put(2, "Standard").put(70, 0).put(3, "").put(62, 256).put(51, 90.0).put(52, 90.0);
    dxf.put(71, 2).put(49, 0.5).put(62, 256).put(6, "BYLAYER");
    dxf.put(49, -0.5).put(62, 256).put(6, "BYLAYER");
    dictionary(plots, root);
    dxf.put(0, "ACDBDICTIONARYWDFLT").put(5, styles).put(330, root);
    dxf.put(100, "AcDbDictionary").put(281, 1);
    entry("Normal", handles.plotStyle());
    dxf.put(100, "AcDbDictionaryWithDefault").put(340, handles.plotStyle());
    dxf.put(0, "ACDBPLACEHOLDER").put(5, handles.plotStyle()).put(330, styles);
    layout(handles.modelLayout(), layouts, "Model", handles.model(), 1712, 0, extent);
    layout(handles.paperLayout(), layouts, "Sheet", handles.paper(), 688, 1, Box.EMPTY);
    dxf.put(0, "ENDSEC");
  }

  private void dictionary(String handle, String owner) throws IOException {
    dxf.put(0, "DICTIONARY").put(5, handle).put(330, owner);
    dxf.put(100, "AcDbDictionary").put(281, 1);
  }

  private void entry(String name, String handle) throws IOException {
    dxf.put(3, name).put(350, handle);
  }

  private void layout(
      String handle, String owner, String name, String space, int flags, int tab, Box extent)
      throws IOException {
    dxf.put(0, "LAYOUT").put(5, handle).put(330, owner).put(100, "AcDbPlotSettings");
    dxf.put(1, "").put(2, "none_device").put(4, "ISO_A3_(420.00_x_297.00_MM)").put(6, "");
    for (int margin = 40; margin <= 43; margin++) {
      dxf.put(margin, 5.0);
    }
    dxf.put(44, 420.0).put(45, 297.0).put(46, 0.0).put(47, 0.0).put(48, 0.0).put(49, 0.0);
    dxf.put(140, 0.0).put(141, 0.0).put(142, 1.0).put(143, 1.0).put(70, flags).put(72, 1);
    dxf.put(73, 0).put(74, 5).put(7, "").put(75, 16).put(147, 1.0).put(148, 0.0).put(149, 0.0);
    dxf.put(100, "AcDbLayout").put(1, name).put(70, 1).put(71, tab);
    dxf.flat(10, 0, 0).flat(11, 420, 297).point(12, 0, 0, 0);
    boolean known = !extent.isEmpty();
    dxf.point(14, known ? extent.minE() : 0, known ? extent.minN() : 0, 0);
    dxf.point(15, known ? extent.maxE() : 420, known ? extent.maxN() : 297, 0);
    dxf.put(146, 0.0).point(13, 0, 0, 0).point(16, 1, 0, 0).point(17, 0, 1, 0);
    dxf.put(76, 0).put(330, space);
  }
}
