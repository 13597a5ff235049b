package wellspan.exchange.landxml.write;

import java.io.IOException;
import java.util.List;
import java.util.Locale;
import wellspan.core.road.CrossSection;
import wellspan.core.road.DesignArea;
import wellspan.core.road.SectionPoint;

/** Writes the design surfaces of cross sections along an alignment. */
final class CrossSectionElements {
  private static final List<String> SIDES = List.of("left", "right", "both");

  private final XmlElements xml;
  private final double plan;
  private final double unit;
  private final double up;
  private final int decimals;

  /**
   * @param plan units of the file in a shared metre of plan
   * @param unit metres in the file's unit
   * @param up from shared levels to those of the file, metres
   * @param decimals of offsets and levels
   */
  CrossSectionElements(XmlElements xml, double plan, double unit, double up, int decimals) {
    this.xml = xml;
    this.plan = plan;
    this.unit = unit;
    this.up = up;
    this.decimals = decimals;
  }

  /**
   * @param start the alignment's first chainage, in the file's unit
   * @param from distance along the sections' axis at which the written alignment begins, metres
   */
  void write(List<CrossSection> sections, double start, double from) throws IOException {
    xml.line(6, "CrossSects").newLine();
    for (CrossSection c : sections) {
      xml.line(8, "CrossSect")
          .attribute("sta", start + (c.distance() - from) * plan, AlignmentElements.FINE);
      if (c.skew() != 0) {
        xml.attribute("angleSkew", Math.toDegrees(c.skew()), AlignmentElements.FINE);
      }
      xml.newLine();
      for (DesignArea a : c.areas()) {
        area(a);
      }
      xml.white(8).close().newLine();
    }
    xml.white(6).close().newLine();
  }

  private void area(DesignArea a) throws IOException {
    xml.line(10, "DesignCrossSectSurf").attribute("name", a.name()).attribute("desc", a.note());
    String side = a.side().toLowerCase(Locale.ROOT);
    if (SIDES.contains(side)) {
      xml.attribute("side", side);
    }
    if (!a.material().isEmpty()) {
      xml.attribute("material", a.material());
    }
    xml.attribute("closedArea", Boolean.toString(a.form() == DesignArea.Form.AREA));
    if (a.thickness() > 0 && a.form() == DesignArea.Form.AREA) {
      xml.attribute("typicalThickness", a.thickness() / unit, decimals);
    }
    xml.newLine();
    for (SectionPoint p : a.points()) {
      xml.line(12, "CrossSectPnt");
      if (!p.code().isEmpty()) {
        xml.attribute("code", p.code());
      }
      xml.numbers(p.offset() * plan, (p.level() + up) / unit, decimals).close().newLine();
    }
    FeatureElements.write(xml, 12, a.sets());
    xml.white(10).close().newLine();
  }
}
