package wellspan.core.typical;

import static wellspan.core.finding.Stop.SHAPE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.road.CrossSection;
import wellspan.core.road.DesignArea;
import wellspan.core.road.SectionPoint;

/**
 * Cross sections of courses whose top runs from string to string: a section wherever a string has a
 * corner, and in it an area for each course between each two neighbours.
 */
public final class StringSections {
  /** Nearer strings leave no room for a course between them, metres. */
  private static final double NARROWEST = 1e-3;

  /** So much of the length asked for may be missing without a word, metres. */
  private static final double SHORT = 1;

  private StringSections() {}

  /**
   * A string of a design.
   *
   * @param lines with levels, in shared coordinates
   */
  public record DesignString(String name, List<Polyline> lines) {}

  private record Edge(String name, EdgeOffsets place) {}

  /**
   * @param a along which sections stand; its own levels do not count
   * @param strings two or more, in any order
   * @param courses from the top down
   * @param from distance from its start, metres
   * @param to distance from its start, metres
   * @param findings takes where a string ends before the length asked for does
   * @throws IllegalArgumentException with a sentence, if strings have no levels, cross each other
   *     or have no stretch in common
   */
  public static List<CrossSection> of(
      Alignment a,
      List<DesignString> strings,
      List<Course> courses,
      double from,
      double to,
      List<Finding> findings) {
    if (strings.size() < 2) {
      throw new IllegalArgumentException(
          "Courses lie between two strings or more. Choose another string.");
    }
    if (courses.isEmpty()) {
      throw new IllegalArgumentException(
          "The typical section has no courses. Choose one with courses.");
    }
    List<Edge> edges = new ArrayList<>();
    double first = from;
    double last = to;
    for (DesignString s : strings) {
      EdgeOffsets place = EdgeOffsets.of(a, s.lines());
      if (place.isEmpty()) {
        throw new IllegalArgumentException(
            s.name() + " lies nowhere beside " + a.name() + ". Choose another string.");
      }
      first = Math.max(first, place.from());
      last = Math.min(last, place.to());
      edges.add(new Edge(s.name(), place));
    }
    if (!(last - first > NARROWEST)) {
      throw new IllegalArgumentException(
          "The strings have no stretch of " + a.name() + " in common between these chainages.");
    }
    if (first - from > SHORT || to - last > SHORT) {
      findings.add(
          Finding.warning(
              SHAPE,
              "section.string-ends",
              a.name(),
              String.format(
                  Locale.ROOT,
                  "The strings lie beside %s together from %s to %s only; there the courses end.",
                  a.name(),
                  Chainages.format(a.chainages().at(first)),
                  Chainages.format(a.chainages().at(last)))));
    }
    double middle = (first + last) / 2;
    edges.sort(Comparator.comparingDouble(e -> e.place().at(middle).orElse(0.0)));
    TreeSet<Double> at = new TreeSet<>(List.of(first, last));
    for (Edge e : edges) {
      at.addAll(e.place().distances(first, last));
    }
    List<CrossSection> out = new ArrayList<>();
    for (double d : at) {
      out.add(new CrossSection(d, 0, areas(a, edges, courses, d)));
    }
    return out;
  }

  private static List<DesignArea> areas(
      Alignment a, List<Edge> edges, List<Course> courses, double at) {
    List<SectionPoint> top = new ArrayList<>();
    for (Edge e : edges) {
      double level = e.place().levelAt(at).orElse(Double.NaN);
      SectionPoint p = new SectionPoint(e.place().at(at).orElse(Double.NaN), level, e.name());
      String here = Chainages.format(a.chainages().at(at));
      if (!Double.isFinite(level)) {
        throw new IllegalArgumentException(
            e.name() + " has no level at " + here + ". Choose a string with levels.");
      }
      if (!top.isEmpty() && p.offset() < top.getLast().offset() - NARROWEST) {
        throw new IllegalArgumentException(
            top.getLast().code()
                + " and "
                + p.code()
                + " cross each other before "
                + here
                + ". End the courses there.");
      }
      top.add(p);
    }
    List<DesignArea> out = new ArrayList<>();
    for (int i = 0; i + 1 < top.size(); i++) {
      if (top.get(i + 1).offset() - top.get(i).offset() < NARROWEST) {
        continue; // the courses end where the strings meet
      }
      String between =
          top.size() == 2 ? "" : " " + top.get(i).code() + " – " + top.get(i + 1).code();
      double depth = 0;
      for (Course c : courses) {
        SectionPoint left = moved(top.get(i), top.get(i + 1), i == 0 ? c.wider() : 0);
        SectionPoint right = moved(top.get(i + 1), top.get(i), i + 2 == top.size() ? c.wider() : 0);
        out.add(
            new DesignArea(
                c.name() + between,
                "",
                c.material(),
                "course",
                DesignArea.Form.AREA,
                c.thickness(),
                List.of(
                    lower(left, depth),
                    lower(right, depth),
                    lower(right, depth + c.thickness()),
                    lower(left, depth + c.thickness()))));
        depth += c.thickness();
      }
    }
    return out;
  }

  /** A point moved outwards on the line from another one through it. */
  private static SectionPoint moved(SectionPoint p, SectionPoint from, double by) {
    double run = p.offset() - from.offset();
    double way = Math.signum(run) * by;
    return new SectionPoint(
        p.offset() + way, p.level() + way * (p.level() - from.level()) / run, p.code());
  }

  private static SectionPoint lower(SectionPoint p, double depth) {
    return new SectionPoint(p.offset(), p.level() - depth, p.code());
  }
}
