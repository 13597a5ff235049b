package wellspan.core.road;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.align.Alignment;
import wellspan.core.align.Profile;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;

/** Whether cross sections lie about the profile of their alignment. */
final class SectionLevels {
  /** No road lies as far above or below its own profile, metres. */
  private static final double FAR = 5;

  private SectionLevels() {}

  /**
   * Tells sections that lie far from the profile. Some programs count the levels of sections from
   * it, which nothing in the file tells.
   *
   * @param sections within the alignment
   * @return nothing if the middle one of them lies near the profile, or if there is none
   */
  static Optional<Finding> farFromProfile(Alignment axis, List<CrossSection> sections) {
    if (axis.profile().isEmpty()) {
      return Optional.empty();
    }
    Profile profile = axis.profile().get();
    List<Double> above =
        sections.stream()
            .flatMap(c -> nearest(c).map(p -> p.level() - profile.levelAt(c.distance())))
            .filter(Double::isFinite)
            .sorted(Comparator.comparingDouble(Math::abs))
            .toList();
    double middle = above.isEmpty() ? 0 : above.get(above.size() / 2);
    if (Math.abs(middle) <= FAR) {
      return Optional.empty();
    }
    return Optional.of(
        Finding.warning(
                RECEIVE,
                "section.profile",
                axis.name(),
                String.format(
                    Locale.ROOT,
                    "%s: its cross sections lie %.1f m %s its profile, as no road does. Their levels are taken as they stand; if they are meant from the profile on, ask the sender for levels.",
                    axis.name(),
                    Math.abs(middle),
                    middle < 0 ? "below" : "above"))
            .withFigure(Figure.of(Math.abs(middle), 1, "m")));
  }

  /** The point of a section that is nearest to the line. */
  private static Stream<SectionPoint> nearest(CrossSection c) {
    return c.areas().stream()
        .flatMap(a -> a.points().stream())
        .min(Comparator.comparingDouble(p -> Math.abs(p.offset())))
        .stream();
  }
}
