package wellspan.demo;

import java.util.Locale;
import wellspan.core.align.Alignment;
import wellspan.core.align.Profile;

/** Cross sections of both roads as their design office hands them over: courses, kerb, sides. */
final class RoadSections {
  private static final double EVERY = 20;
  private static final double LANE = 3.25;
  static final double CROSSFALL = 0.025;

  /** Width of a lane of Yard Link, metres. */
  static final double LINK = 3;

  private record Course(String name, String material, double thickness, double wider) {}

  private static final Course[] COURSES = {
    new Course("Surface course", "asphalt surface", 0.04, 0),
    new Course("Binder course", "asphalt binder", 0.06, 0.05),
    new Course("Base course", "asphalt base", 0.12, 0.12),
    new Course("Sub-base", "crushed rock", 0.30, 0.25)
  };

  private RoadSections() {}

  /** The element {@code CrossSects} of an alignment. */
  static String of(Alignment road) {
    StringBuilder s = new StringBuilder("      <CrossSects>\n");
    Profile profile = road.profile().orElseThrow();
    for (double d = 0; d <= road.length() + 1e-6; d += EVERY) {
      double at = Math.min(d, road.length());
      double level = profile.levelAt(at);
      s.append(f("        <CrossSect sta=\"%.3f\">\n", road.startChainage() + at));
      courses(s, level, width(at));
      sides(s, level, width(at), at);
      s.append("        </CrossSect>\n");
    }
    return s.append("      </CrossSects>\n").toString();
  }

  private static void courses(StringBuilder s, double level, double width) {
    for (int side : new int[] {-1, 1}) {
      double top = level;
      for (Course c : COURSES) {
        double w = width + c.wider();
        double edge = top - CROSSFALL * w;
        area(
            s,
            c.name(),
            side,
            c.material(),
            new double[][] {
              {0, top},
              {side * w, edge},
              {side * w, edge - c.thickness()},
              {0, top - c.thickness()}
            },
            side < 0 ? "LEL" : "LER");
        top -= c.thickness();
      }
    }
  }

  /** The element {@code CrossSects} of Yard Link, from the junction on: courses and kerbs. */
  static String ofLink(Alignment link) {
    StringBuilder s = new StringBuilder("      <CrossSects>\n");
    double length = link.length();
    int n = (int) Math.ceil((length - Junction.LINK_FROM) / EVERY);
    for (int i = 0; i <= n; i++) {
      double at = Junction.LINK_FROM + (length - Junction.LINK_FROM) * i / n;
      double level = link.profile().orElseThrow().levelAt(at);
      s.append(f("        <CrossSect sta=\"%.6f\">\n", link.startChainage() + at));
      courses(s, level, LINK);
      double edge = level - CROSSFALL * LINK;
      area(
          s, "Kerb", -1, "concrete", box(-LINK - 0.15, -LINK, edge + 0.12, edge + 0.12, 0.3), "KL");
      area(s, "Kerb", 1, "concrete", box(LINK, LINK + 0.15, edge + 0.12, edge + 0.12, 0.3), "KR");
      s.append("        </CrossSect>\n");
    }
    return s.append("      </CrossSects>\n").toString();
  }

  /** Lanes are wider on the quay, after a transition. */
  static double width(double distance) {
    return LANE + 0.5 * Math.clamp((distance - 700) / 100, 0.0, 1.0);
  }

  private static void sides(StringBuilder s, double level, double w, double at) {
    double edge = level - CROSSFALL * w;
    area(s, "Kerb", 1, "concrete", box(w, w + 0.15, edge + 0.125, edge + 0.125, 0.30), "KR");
    if (at >= 300) {
      area(
          s,
          "Footway",
          1,
          "concrete paving",
          box(w + 0.15, w + 2.15, edge + 0.125, edge + 0.165, 0.10),
          "FR");
    }
    double left = level - CROSSFALL * w;
    if (Math.abs(at - Junction.AT) < 30) {
      return; // there the branch leaves
    }
    area(s, "Verge", -1, "topsoil", box(-w - 1.5, -w, left - 0.06, left, 0.15), "VL");
  }

  private static double[][] box(double a, double b, double za, double zb, double thickness) {
    return new double[][] {{a, za}, {b, zb}, {b, zb - thickness}, {a, za - thickness}};
  }

  private static void area(
      StringBuilder s, String name, int side, String material, double[][] points, String code) {
    s.append(
        f(
            "          <DesignCrossSectSurf name=\"%s\" side=\"%s\" material=\"%s\" closedArea=\"true\">",
            name, side < 0 ? "left" : "right", material));
    for (int i = 0; i < points.length; i++) {
      String said =
          i == 0 && points[0][0] == 0 ? " code=\"CL\"" : i == 1 ? " code=\"" + code + "\"" : "";
      s.append(f("<CrossSectPnt%s>%.4f %.4f</CrossSectPnt>", said, points[i][0], points[i][1]));
    }
    s.append("</DesignCrossSectSurf>\n");
  }

  private static String f(String format, Object... values) {
    return String.format(Locale.ROOT, format, values);
  }
}
