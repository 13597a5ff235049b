package wellspan.core.road;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import wellspan.core.align.Alignment;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/**
 * Makes the parts of a road out of its cross sections: design surfaces of the same name, side and
 * order belong together from section to section; where one is missing the part ends at the last
 * section that has it.
 */
public final class RoadParts {
  private final Alignment axis;
  private final RoadLine line;
  private final RoadStations stations;
  private final List<Finding> findings;
  private final SectionFaults faults;
  private final List<Track> tracks = new ArrayList<>();

  /** One design surface followed from section to section. */
  private static final class Track {
    final DesignArea first;
    final List<List<SectionRing>> runs = new ArrayList<>();
    int lastSection = -1;
    double lastOffset;

    Track(DesignArea first) {
      this.first = first;
    }
  }

  private RoadParts(Alignment axis, List<Finding> findings) {
    this.axis = axis;
    this.findings = findings;
    faults = new SectionFaults(axis);
    line = new RoadLine(axis);
    stations = new RoadStations(line);
  }

  /**
   * @param sections in any order
   * @param findings takes what is wrong with them
   */
  public static List<RoadPart> of(
      Alignment axis, List<CrossSection> sections, List<Finding> findings) {
    return new RoadParts(axis, findings).parts(sections);
  }

  private List<RoadPart> parts(List<CrossSection> sections) {
    List<CrossSection> all = OutlineSeries.alike(rising(sections));
    SectionLevels.farFromProfile(axis, all).ifPresent(findings::add);
    for (int s = 0; s < all.size(); s++) {
      Map<String, List<DesignArea>> byName = new LinkedHashMap<>();
      for (DesignArea a : all.get(s).areas()) {
        byName
            .computeIfAbsent(
                a.title() + "\u0000" + a.side() + "\u0000" + a.form(), k -> new ArrayList<>())
            .add(a);
      }
      for (List<DesignArea> same : byName.values()) {
        follow(all, s, same);
      }
    }
    faults.to(findings);
    List<RoadPart> out = new ArrayList<>();
    for (Track t : tracks) {
      part(t, out);
    }
    return numbered(out);
  }

  private List<CrossSection> rising(List<CrossSection> sections) {
    List<CrossSection> out = new ArrayList<>();
    boolean disordered = false;
    for (CrossSection c : sections) {
      if (c.distance() < -1e-3 || c.distance() > line.length() + 1e-3) {
        faults.add(
            "section.beyond",
            "beyond the alignment, which runs from "
                + chainage(0)
                + " to "
                + chainage(line.length())
                + "; left out. Ask for the alignment that is meant.",
            c.distance());
        continue;
      }
      disordered |= !out.isEmpty() && c.distance() < out.getLast().distance();
      out.add(new CrossSection(Math.clamp(c.distance(), 0, line.length()), c.skew(), c.areas()));
    }
    if (disordered) {
      findings.add(
          Finding.warning(
              RECEIVE,
              "section.order",
              axis.name(),
              axis.name()
                  + ": cross sections are not in the order of their chainages; they were sorted."));
      out.sort(Comparator.comparingDouble(CrossSection::distance));
    }
    return out;
  }

  private String chainage(double distance) {
    return faults.chainage(distance);
  }

  private void follow(List<CrossSection> all, int s, List<DesignArea> same) {
    DesignArea head = same.getFirst();
    List<Track> open =
        tracks.stream()
            .filter(
                t ->
                    t.lastSection == s - 1
                        && t.first.title().equals(head.title())
                        && t.first.side().equals(head.side())
                        && t.first.form() == head.form())
            .toList();
    List<Track> ended =
        tracks.stream()
            .filter(
                t ->
                    t.lastSection < s - 1
                        && t.first.title().equals(head.title())
                        && t.first.side().equals(head.side())
                        && t.first.form() == head.form())
            .toList();
    Set<Track> taken = new HashSet<>();
    for (int i = 0; i < same.size(); i++) {
      DesignArea a = same.get(i);
      SectionRing ring = ring(all.get(s), a);
      if (ring == null) {
        continue;
      }
      double offset = middle(ring);
      Track t = open.size() == same.size() ? open.get(i) : nearest(open, taken, offset);
      if (t == null) {
        t = open.isEmpty() ? nearest(ended, taken, offset) : null;
      }
      if (t == null) {
        t = new Track(a);
        tracks.add(t);
      }
      taken.add(t);
      append(t, ring, s);
      t.lastSection = s;
      t.lastOffset = offset;
    }
  }

  private static Track nearest(List<Track> open, Set<Track> taken, double offset) {
    return open.stream()
        .filter(t -> !taken.contains(t))
        .min(Comparator.comparingDouble(t -> Math.abs(t.lastOffset - offset)))
        .orElse(null);
  }

  private static double middle(SectionRing r) {
    double sum = 0;
    for (double o : r.offset()) {
      sum += o;
    }
    return sum / r.size();
  }

  /** The outline turned counter-clockwise, or null and a finding. */
  private SectionRing ring(CrossSection c, DesignArea a) {
    try {
      SectionRing r = SectionOutline.of(c, a);
      if (a.side().toLowerCase(Locale.ROOT).equals("left") && r.size() > 0 && allAbove(r)) {
        faults.add(
            "section.side",
            a.title()
                + " is said to lie on the left, but its offsets are to the right; it is shown where its offsets say. Ask which of them is meant.",
            c.distance());
      }
      return r;
    } catch (SectionOutline.Refused e) {
      faults.add(
          "section.outline", a.title() + " is left out there: " + e.getMessage(), c.distance());
      return null;
    }
  }

  private static boolean allAbove(SectionRing r) {
    double sum = 0;
    for (double o : r.offset()) {
      if (o < 0) {
        return false;
      }
      sum += o;
    }
    return sum > 0;
  }

  /** Joins an outline to those before it, so that all of a stretch have as many points. */
  private static void append(Track t, SectionRing ring, int section) {
    boolean apart = t.runs.isEmpty() || t.lastSection != section - 1;
    if (!apart) {
      List<SectionRing> run = t.runs.getLast();
      SectionRing last = run.getLast();
      if (ring.distance() - last.distance() < 1e-6) {
        apart = true; // two sections at one place: a step
      } else if (last.isFlat() && ring.isFlat()) {
        if (run.size() > 1) { // nothing between two edges
          t.runs.add(new ArrayList<>(List.of(ring)));
        } else {
          run.set(0, ring);
        }
        return;
      } else {
        if (last.isFlat() && run.size() > 1) { // faded out and grows again: a body of its own
          run = new ArrayList<>(List.of(last));
          t.runs.add(run);
        }
        RingMatching m = RingMatching.of(last, ring);
        if (!last.isAll(m.first())) { // all that follows it back share its points
          run.replaceAll(r -> r.at(m.first()).asEdge());
        } else if (run.size() == 1) {
          run.set(0, last.asEdge());
        }
        run.add(ring.at(m.second()).asEdge());
        return;
      }
    }
    t.runs.add(new ArrayList<>(List.of(ring)));
  }

  private void part(Track t, List<RoadPart> out) {
    DesignArea a = t.first;
    List<List<SectionRing>> runs = t.runs.stream().filter(r -> r.size() > 1).toList();
    List<List<SectionRing>> alone = t.runs.stream().filter(r -> r.size() == 1).toList();
    boolean flat = runs.stream().flatMap(List::stream).allMatch(SectionRing::isFlat);
    for (List<SectionRing> r : alone) {
      if (!r.getFirst().isFlat() && !isStep(t, r.getFirst())) {
        findings.add(
            Finding.error(
                RECEIVE,
                "section.alone",
                axis.name(),
                axis.name()
                    + ": "
                    + a.title()
                    + " stands at "
                    + chainage(r.getFirst().distance())
                    + " only and not in the sections beside it; it has no length there and is left out."));
      }
    }
    if (runs.isEmpty()) {
      if (alone.stream().allMatch(r -> r.getFirst().isFlat())) {
        noThickness(a);
      }
      return;
    }
    if (flat && runs.getFirst().getFirst().closed()) {
      noThickness(a);
    }
    gaps(a, runs);
    CarriedSection body = new CarriedSection(stations, runs);
    String kind =
        runs.getFirst().getFirst().closed()
            ? PartWords.kind(List.of(a.name(), a.note(), codes(a), a.material()))
            : "design line";
    out.add(
        new RoadPart(a.title(), side(a, t), a.material(), 0, kind, a.thickness(), body, a.sets()));
  }

  /** Where a part is missing in sections between others that have it. */
  private void gaps(DesignArea a, List<List<SectionRing>> runs) {
    for (int i = 0; i + 1 < runs.size(); i++) {
      SectionRing end = runs.get(i).getLast();
      SectionRing begin = runs.get(i + 1).getFirst();
      boolean faded = end.isFlat() && begin.isFlat();
      if (!faded && begin.distance() - end.distance() > 1e-3) {
        findings.add(
            Finding.note(
                    RECEIVE,
                    "section.gap",
                    axis.name(),
                    axis.name()
                        + ": "
                        + a.title()
                        + " ends at "
                        + chainage(end.distance())
                        + " and begins again at "
                        + chainage(begin.distance())
                        + "; the sections between do not have it.")
                .withFigure(Figure.of(begin.distance() - end.distance(), 3, "m")));
      }
    }
  }

  /** Whether another stretch of the same part begins or ends at the same place. */
  private static boolean isStep(Track t, SectionRing r) {
    return t.runs.stream()
        .filter(o -> o.size() > 1)
        .anyMatch(
            o ->
                Math.abs(o.getFirst().distance() - r.distance()) < 1e-6
                    || Math.abs(o.getLast().distance() - r.distance()) < 1e-6);
  }

  private void noThickness(DesignArea a) {
    findings.add(
        Finding.warning(
            RECEIVE,
            "section.thickness",
            axis.name(),
            axis.name()
                + ": "
                + a.title()
                + " has no thickness in any section; no body can be made of it."));
  }

  private static String codes(DesignArea a) {
    return a.points().stream().map(SectionPoint::code).distinct().collect(Collectors.joining(" "));
  }

  private static String side(DesignArea a, Track t) {
    if (!a.side().isEmpty()) {
      return a.side();
    }
    double min = 0;
    double max = 0;
    for (double o : t.runs.getFirst().getFirst().offset()) {
      min = Math.min(min, o);
      max = Math.max(max, o);
    }
    return min >= 0 ? "right" : max <= 0 ? "left" : "both";
  }

  /** Numbers parts of one kind that lie over each other from the top down: a kerb is no course. */
  private List<RoadPart> numbered(List<RoadPart> parts) {
    List<RoadPart> out = new ArrayList<>();
    for (RoadPart p : parts) {
      int above = 1;
      for (RoadPart o : parts) { // none lies under itself
        above += o.kind().equals(p.kind()) && p.body().liesUnder(o.body()) ? 1 : 0;
      }
      out.add(
          new RoadPart(
              p.name(),
              p.side(),
              p.material(),
              above,
              p.kind(),
              p.thickness(),
              p.body(),
              p.sets()));
    }
    return out;
  }
}
