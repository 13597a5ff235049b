package wellspan.exchange.dxf.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/** What a reader of the drawing must know: what was not read, and what is not whole. */
final class DxfFindings {
  private DxfFindings() {}

  static List<Finding> of(Drawing drawing, Map<String, Integer> unread, int inLayouts) {
    List<Finding> out = new ArrayList<>();
    blocks(
        out,
        drawing.elsewhere(),
        "drawing.elsewhere",
        "is in another drawing, which is not part of this file. Ask for it, or for a drawing with it bound in.");
    Set<String> missing = drawing.missing();
    blocks(
        out,
        missing,
        "drawing.block",
        "is inserted and does not exist in the file, so nothing of it arrives.");
    blocks(
        out,
        drawing.endless(),
        "drawing.endless",
        "contains itself or is nested too deeply; the inner one is left out.");
    drawing
        .badSplines()
        .forEach(
            (layer, n) ->
                out.add(
                    Finding.warning(
                            RECEIVE,
                            "drawing.spline",
                            layer,
                            "Splines of layer "
                                + layer
                                + " cannot be drawn, as their knots do not fit their points; they are left out.")
                        .withFigure(Figure.count(n, "splines"))));
    if (inLayouts > 0) {
      out.add(
          Finding.note(
                  RECEIVE,
                  "drawing.layout",
                  "",
                  inLayouts + " entities stand on sheets (paper space) and are not received.")
              .withFigure(Figure.count(inLayouts)));
    }
    unread.forEach(
        (type, n) ->
            out.add(
                Finding.error(
                        RECEIVE,
                        "drawing.unread",
                        "",
                        n + " " + type + " in the drawing: not shown, as this kind is not read.")
                    .withFigure(Figure.count(n))));
    return out;
  }

  /**
   * @param broken entities that do not say where they are, by kind
   * @param withoutArea faces whose corners are one or two places
   * @param thick entities with a thickness
   * @param clips boundaries by which inserted blocks are cut off
   */
  static List<Finding> of(Map<String, Integer> broken, int withoutArea, int thick, int clips) {
    List<Finding> out = new ArrayList<>();
    broken.forEach(
        (type, n) ->
            out.add(
                Finding.error(
                        RECEIVE,
                        "drawing.broken",
                        "",
                        n + " " + type + " in the drawing: left out, as coordinates are missing.")
                    .withFigure(Figure.count(n))));
    if (withoutArea > 0) {
      out.add(
          Finding.warning(
                  RECEIVE,
                  "drawing.degenerate",
                  "",
                  withoutArea + " 3DFACE in the drawing: left out, as they have no area.")
              .withFigure(Figure.count(withoutArea)));
    }
    if (thick > 0) {
      out.add(
          Finding.note(
                  RECEIVE,
                  "drawing.thickness",
                  "",
                  thick
                      + " entities have a thickness (group 39); they are taken as lines at their foot, without it.")
              .withFigure(Figure.count(thick)));
    }
    if (clips > 0) {
      out.add(
          Finding.warning(
                  RECEIVE,
                  "drawing.clip",
                  "",
                  clips
                      + " SPATIAL_FILTER in the drawing: boundaries by which blocks are cut off are not applied, the blocks are shown whole.")
              .withFigure(Figure.count(clips)));
    }
    return out;
  }

  private static void blocks(List<Finding> out, Set<String> names, String code, String what) {
    for (String name : names) {
      out.add(Finding.warning(RECEIVE, code, name, "The block " + name + " " + what));
    }
  }
}
