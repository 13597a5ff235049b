package wellspan.core.road;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/** What is wrong with cross sections of one line, told once for all sections that have it. */
final class SectionFaults {
  /** More sections than this are told by their number, the first and the last. */
  private static final int NAMED = 4;

  private record Fault(String code, String sentence) {}

  private final Alignment axis;
  private final Map<Fault, List<Double>> distances = new LinkedHashMap<>();

  SectionFaults(Alignment axis) {
    this.axis = axis;
  }

  /**
   * Notes that a section has a fault.
   *
   * @param sentence what is said of the section, or of all that have it
   * @param distance of the section along the line
   */
  void add(String code, String sentence, double distance) {
    distances.computeIfAbsent(new Fault(code, sentence), k -> new ArrayList<>()).add(distance);
  }

  /** Chainage at a distance; beyond the ends the labels run on. */
  String chainage(double distance) {
    return Chainages.format(axis.chainages().at(distance));
  }

  void to(List<Finding> findings) {
    distances.forEach(
        (fault, at) ->
            findings.add(
                Finding.error(
                        RECEIVE,
                        fault.code(),
                        axis.name(),
                        axis.name() + ", " + sections(at) + ": " + fault.sentence())
                    .withFigure(Figure.count(at.size(), at.size() == 1 ? "section" : "sections"))));
  }

  private String sections(List<Double> at) {
    if (at.size() == 1) {
      return "section " + chainage(at.getFirst());
    }
    return at.size() <= NAMED
        ? "sections " + at.stream().map(this::chainage).collect(Collectors.joining(", "))
        : at.size() + " sections from " + chainage(at.getFirst()) + " to " + chainage(at.getLast());
  }
}
