package wellspan.core.typical;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.road.CrossSection;

/** The cross sections of a road that a typical section is carried along. */
public final class TypicalRoad {
  private TypicalRoad() {}

  /**
   * How a section is superelevated.
   *
   * @param shoulders how paved shoulders fall
   * @param most largest difference between a shoulder's fall and its lane's, per cent
   */
  public record Turned(Superelevation by, ShoulderRule shoulders, double most) {
    TypicalSection section(TypicalSection usual, double distance) {
      return by.at(distance)
          .map(f -> usual.falling(f.left(), f.right(), shoulders, most))
          .orElse(usual);
    }
  }

  /**
   * Sections at both ends and wherever an edge that is followed needs one. Where an edge has no
   * place beside the alignment the section keeps its own width.
   *
   * @param a with a profile
   * @param from distance from its start, metres
   * @param to distance from its start, metres
   * @param left string that the paved edge on the left follows
   * @param right string that the paved edge on the right follows
   * @param turned gives the section at a distance its falls
   * @throws IllegalArgumentException with a sentence, if the alignment has no levels, or an edge
   *     lies on the other side
   */
  public static List<CrossSection> sections(
      Alignment a,
      TypicalSection section,
      double from,
      double to,
      Optional<EdgeOffsets> left,
      Optional<EdgeOffsets> right,
      Optional<Turned> turned) {
    if (a.profile().isEmpty()) {
      throw new IllegalArgumentException(
          a.name() + " has no profile, so nothing says how high the road lies. Choose another.");
    }
    TreeSet<Double> at = new TreeSet<>(List.of(from, to));
    left.ifPresent(e -> at.addAll(e.distances(from, to)));
    right.ifPresent(e -> at.addAll(e.distances(from, to)));
    turned.ifPresent(t -> at.addAll(t.by().distances(from, to)));
    List<CrossSection> out = new ArrayList<>();
    for (double d : at) {
      double level = a.profile().get().levelAt(d);
      if (!Double.isFinite(level)) {
        throw new IllegalArgumentException(
            a.name()
                + " has no level at "
                + Chainages.format(a.chainages().at(d))
                + ". Choose chainages within its profile.");
      }
      TypicalSection own = turned.map(t -> t.section(section, d)).orElse(section);
      TypicalSection here = widened(a, own, d, -1, left);
      here = widened(a, here, d, 1, right);
      out.add(new CrossSection(d, 0, new SectionLayout(here, level).bodies()));
    }
    return out;
  }

  private static TypicalSection widened(
      Alignment a, TypicalSection section, double at, int side, Optional<EdgeOffsets> edge) {
    Optional<Double> offset = edge.flatMap(e -> e.at(at));
    if (offset.isEmpty()) {
      return section;
    }
    try {
      return section.widened(side, side * offset.get());
    } catch (IllegalArgumentException e) {
      throw new IllegalArgumentException(
          "At " + Chainages.format(a.chainages().at(at)) + " " + e.getMessage(), e);
    }
  }
}
