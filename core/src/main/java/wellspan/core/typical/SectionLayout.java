package wellspan.core.typical;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.road.DesignArea;
import wellspan.core.road.SectionPoint;

/**
 * A typical section laid out at a level: the outline of each body, offsets positive to the right.
 *
 * @param level of the axis, metres
 */
public record SectionLayout(TypicalSection section, double level) {

  /** The surface of a side from the axis outwards: offset and level of each corner. */
  public List<SectionPoint> surface(int side) {
    List<SectionPoint> out = new ArrayList<>();
    double o = 0;
    double z = level;
    out.add(new SectionPoint(0, z, ""));
    for (Strip s : section.side(side)) {
      if (s.rise() != 0) {
        z += s.rise();
        out.add(new SectionPoint(side * o, z, ""));
      }
      o += s.width();
      z += s.climb();
      out.add(new SectionPoint(side * o, z, ""));
    }
    return out;
  }

  /** Outlines of all bodies: courses from the top down, then strips with a thickness. */
  public List<DesignArea> bodies() {
    List<DesignArea> out = new ArrayList<>();
    double depth = 0;
    for (Course c : section.courses()) {
      out.add(
          area(
              c.name(),
              "",
              c.material(),
              "",
              c.thickness(),
              band(depth, c.thickness(), c.wider())));
      depth += c.thickness();
    }
    for (int side : new int[] {-1, 1}) {
      double o = 0;
      double z = level;
      List<Strip> strips = section.side(side);
      for (int i = 0; i < strips.size(); i++) {
        Strip s = strips.get(i);
        z += s.rise();
        if (s.thickness() > 0 && !goesOn(strips, i)) {
          List<SectionPoint> ring = strip(side, o, z, strips, i);
          String word = s.use().word();
          out.add(
              area(
                  Character.toUpperCase(word.charAt(0)) + word.substring(1),
                  side < 0 ? "left" : "right",
                  s.material(),
                  s.use() == StripUse.CYCLE_TRACK ? "cycleway" : word,
                  s.thickness(),
                  ring));
        }
        o += s.width();
        z += s.climb();
      }
    }
    return out;
  }

  /** Whether a strip is one body with that within it: a ditch has a slope, a bottom and a slope. */
  private static boolean goesOn(List<Strip> strips, int i) {
    return i > 0
        && strips.get(i).use() == StripUse.DITCH
        && strips.get(i - 1).use() == StripUse.DITCH
        && strips.get(i).rise() == 0
        && strips.get(i).thickness() == strips.get(i - 1).thickness()
        && strips.get(i).material().equals(strips.get(i - 1).material());
  }

  /** Outline of a strip's body, with those that go on from it. */
  private static List<SectionPoint> strip(
      int side, double from, double level, List<Strip> strips, int first) {
    List<SectionPoint> top = new ArrayList<>();
    double o = from;
    double z = level;
    top.add(point(side * o, z));
    for (int i = first; i < strips.size() && (i == first || goesOn(strips, i)); i++) {
      o += strips.get(i).width();
      z += strips.get(i).climb();
      top.add(point(side * o, z));
    }
    List<SectionPoint> ring = new ArrayList<>(top);
    for (SectionPoint p : top.reversed()) {
      ring.add(point(p.offset(), p.level() - strips.get(first).thickness()));
    }
    return ring;
  }

  private static SectionPoint point(double offset, double z) {
    return new SectionPoint(offset, z, "");
  }

  private static DesignArea area(
      String name,
      String side,
      String material,
      String note,
      double thickness,
      List<SectionPoint> ring) {
    return new DesignArea(name, side, material, note, DesignArea.Form.AREA, thickness, ring);
  }

  /** A course: the paved surface lowered, from edge to edge. */
  private List<SectionPoint> band(double depth, double thickness, double wider) {
    List<SectionPoint> top = new ArrayList<>(paved(-1, wider).reversed());
    List<SectionPoint> right = paved(1, wider);
    top.addAll(top.isEmpty() ? right : right.subList(Math.min(1, right.size()), right.size()));
    List<SectionPoint> ring = new ArrayList<>();
    top.forEach(p -> ring.add(point(p.offset(), p.level() - depth)));
    top.reversed().forEach(p -> ring.add(point(p.offset(), p.level() - depth - thickness)));
    return ring;
  }

  /**
   * The paved surface of a side, its last strip drawn on beyond the edge; the axis alone if none.
   */
  private List<SectionPoint> paved(int side, double wider) {
    List<SectionPoint> out = new ArrayList<>();
    out.add(new SectionPoint(0, level, ""));
    List<Strip> strips = section.side(side);
    int n = TypicalSection.paved(strips);
    double o = 0;
    double z = level;
    for (int i = 0; i < n; i++) {
      Strip s = strips.get(i);
      double w = s.width() + (i == n - 1 ? wider : 0);
      z += s.rise() - w * s.fall() / 100;
      o += w;
      out.add(new SectionPoint(side * o, z, ""));
    }
    return out;
  }
}
