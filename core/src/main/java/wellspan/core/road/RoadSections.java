package wellspan.core.road;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import wellspan.core.attribute.PropertySet;

/**
 * The cross sections out of which {@link RoadParts} makes given parts of a road again: every part
 * has an outline in every section within its stretches and in none between them.
 */
public final class RoadSections {
  private static final double SAME = 1e-6;

  private final List<Part> parts;
  private final TreeSet<Double> distances = new TreeSet<>();

  /**
   * A part under the name that it is to have.
   *
   * @param sets what else is said of it; it goes with its first outline
   */
  public record Part(String name, String material, RoadPart part, List<PropertySet> sets) {}

  private RoadSections(List<Part> parts) {
    this.parts = parts;
    for (Part p : parts) {
      for (List<SectionRing> run : runs(p)) {
        run.forEach(r -> add(r.distance()));
      }
    }
  }

  /**
   * @param parts of one axis, each of another name
   */
  public static List<CrossSection> of(List<Part> parts) {
    return new RoadSections(parts).sections();
  }

  /**
   * Parts with an outline at each place where one of them has one, so that all take the same steps:
   * as they come back from cross sections that hold just these parts.
   *
   * @param bodies of one axis
   */
  public static List<RoadBody> together(List<RoadBody> bodies) {
    List<Part> parts = bodies.stream().map(b -> new Part("", "", b.part(), List.of())).toList();
    RoadSections all = new RoadSections(parts);
    RoadStations stations = new RoadStations(new RoadLine(bodies.getFirst().axis()));
    List<RoadBody> out = new ArrayList<>();
    for (int i = 0; i < bodies.size(); i++) {
      CarriedSection body = new CarriedSection(stations, all.outlines(parts.get(i)));
      out.add(
          new RoadBody(bodies.get(i).road(), bodies.get(i).axis(), parts.get(i).part().with(body)));
    }
    return out;
  }

  private List<List<SectionRing>> outlines(Part p) {
    return runs(p).stream()
        .map(
            run ->
                distances
                    .subSet(
                        run.getFirst().distance() - SAME,
                        true,
                        run.getLast().distance() + SAME,
                        true)
                    .stream()
                    .map(d -> outline(p, run, d))
                    .toList())
        .toList();
  }

  private List<CrossSection> sections() {
    for (Part p : parts) {
      betweenStretches(p);
    }
    List<CrossSection> out = new ArrayList<>();
    Set<Part> begun = new HashSet<>();
    for (double d : distances) {
      out.add(section(d, true, begun));
      if (parts.stream().anyMatch(p -> isStep(p, d))) {
        out.add(section(d, false, begun));
      }
    }
    return out;
  }

  private static List<List<SectionRing>> runs(Part p) {
    return p.part().body().runs();
  }

  private void add(double d) {
    Double below = distances.floor(d + SAME);
    if (below == null || d - below > SAME) {
      distances.add(d);
    }
  }

  /** A section without the part, where none stands between two of its stretches. */
  private void betweenStretches(Part p) {
    List<List<SectionRing>> runs = runs(p);
    for (int i = 0; i + 1 < runs.size(); i++) {
      double end = runs.get(i).getLast().distance();
      double start = runs.get(i + 1).getFirst().distance();
      if (start - end > SAME && distances.subSet(end + SAME, true, start - SAME, true).isEmpty()) {
        distances.add((end + start) / 2);
      }
    }
  }

  /** Whether one stretch ends where another one begins, and not with the same edge. */
  private static boolean isStep(Part p, double d) {
    List<List<SectionRing>> runs = runs(p);
    for (int i = 0; i + 1 < runs.size(); i++) {
      SectionRing end = runs.get(i).getLast();
      SectionRing start = runs.get(i + 1).getFirst();
      if (Math.abs(end.distance() - d) < SAME
          && Math.abs(start.distance() - d) < SAME
          && !(end.isFlat() && start.isFlat())) {
        return true;
      }
    }
    return false;
  }

  /**
   * @param first of two sections at one place that before a step, else that behind it
   */
  private CrossSection section(double d, boolean first, Set<Part> begun) {
    List<DesignArea> areas = new ArrayList<>();
    double skew = 0;
    for (Part p : parts) {
      List<SectionRing> run = null;
      for (List<SectionRing> r : runs(p)) {
        boolean reaches = r.getFirst().distance() < d + SAME && r.getLast().distance() > d - SAME;
        boolean ended = !first && r.getLast().distance() < d + SAME;
        if (reaches && !ended && (run == null || !first)) {
          run = r;
        }
      }
      if (run != null) {
        SectionRing ring = outline(p, run, d);
        skew = ring.skew();
        areas.add(area(p, ring, begun.add(p)));
      }
    }
    return new CrossSection(d, skew, areas);
  }

  private static SectionRing outline(Part p, List<SectionRing> run, double d) {
    for (SectionRing r : run) {
      if (Math.abs(r.distance() - d) < SAME) {
        return r;
      }
    }
    return p.part().body().at(run, d);
  }

  private static DesignArea area(Part p, SectionRing ring, boolean first) {
    List<SectionPoint> points = new ArrayList<>();
    for (int i = 0; i < ring.size(); i++) {
      points.add(new SectionPoint(ring.offset()[i], ring.level()[i], ring.code().get(i)));
    }
    RoadPart part = p.part();
    return new DesignArea(
        p.name(),
        part.side(),
        p.material(),
        part.kind(),
        ring.closed() ? DesignArea.Form.AREA : DesignArea.Form.LINE,
        part.thickness(),
        points,
        first ? p.sets() : List.of());
  }
}
