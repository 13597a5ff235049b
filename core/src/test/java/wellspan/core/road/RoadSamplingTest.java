package wellspan.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;

/** How many triangles a road is made of, against the fewest that stay within the tolerance. */
class RoadSamplingTest {
  private static final double OUTER = 5.5;

  private static Alignment road() {
    List<PlanElement> e = new ArrayList<>();
    e.add(new PlanElement.Line(new PlanPoint(412_000, 6_534_500, 0.4), 130));
    for (double r : new double[] {90, -150, 400, -240}) {
      e.add(new PlanElement.Spiral(e.getLast().end(), 50, 0, 1 / r, SpiralLaw.CLOTHOID));
      e.add(new PlanElement.Arc(e.getLast().end(), 90, r));
      e.add(new PlanElement.Spiral(e.getLast().end(), 50, 1 / r, 0, SpiralLaw.CLOTHOID));
      e.add(new PlanElement.Line(e.getLast().end(), 40));
    }
    double length = e.stream().mapToDouble(PlanElement::length).sum();
    Pvi.Rounding none = new Pvi.Rounding.None();
    Profile profile =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 20, none),
                new Pvi(length / 2, 34, new Pvi.Rounding.Parabola(80, 80)),
                new Pvi(length, 15, none)));
    return new Alignment("Road", e, new Chainages(0, List.of()), Optional.of(profile));
  }

  private static DesignArea lane(double level) {
    return new DesignArea(
        "Surface course",
        "",
        "asphalt",
        "",
        DesignArea.Form.AREA,
        0,
        List.of(
            new SectionPoint(-OUTER, level, ""),
            new SectionPoint(OUTER, level, ""),
            new SectionPoint(OUTER, level - 0.04, ""),
            new SectionPoint(-OUTER, level - 0.04, "")));
  }

  @ParameterizedTest
  @ValueSource(doubles = {0.001, 0.010, 0.050})
  void trianglesAreAtMostHalfAsManyAgainAsAnyNeed(double chord) {
    Alignment axis = road();
    List<Double> at = new ArrayList<>();
    for (double d = 0; d < axis.length(); d += 20) {
      at.add(d);
    }
    at.add(axis.length());
    List<CrossSection> sections = new ArrayList<>();
    for (double d : at) {
      sections.add(new CrossSection(d, 0, List.of(lane(axis.at(d).level()))));
    }
    RoadPart part = RoadParts.of(axis, sections, new ArrayList<>()).getFirst();
    int made = part.body().mesh(chord).vertexCount() / 4 - 1;
    int fewest = 0;
    for (int i = 0; i + 1 < at.size(); i++) {
      fewest += fewest(axis, at.get(i), at.get(i + 1), chord);
    }
    assertThat(made).isGreaterThanOrEqualTo(fewest).isLessThanOrEqualTo(fewest * 3 / 2);
  }

  /** Steps, each as long as the edges of the lane stay within the tolerance of their curves. */
  private static int fewest(Alignment axis, double from, double to, double chord) {
    int steps = 0;
    double d = from;
    while (d < to - 1e-9) {
      double low = d;
      double high = to;
      if (!fits(axis, d, to, chord)) {
        for (int i = 0; i < 30; i++) {
          double middle = (low + high) / 2;
          if (fits(axis, d, middle, chord)) {
            low = middle;
          } else {
            high = middle;
          }
        }
        d = low;
      } else {
        d = to;
      }
      steps++;
    }
    return steps;
  }

  private static boolean fits(Alignment axis, double from, double to, double chord) {
    for (double offset : new double[] {-OUTER, OUTER}) {
      double[] a = point(axis, from, offset);
      double[] b = point(axis, to, offset);
      double[] along = {b[0] - a[0], b[1] - a[1], b[2] - a[2]};
      double length = Math.sqrt(dot(along, along));
      for (int k = 1; k < 16; k++) {
        double[] p = point(axis, from + (to - from) * k / 16, offset);
        double[] q = {p[0] - a[0], p[1] - a[1], p[2] - a[2]};
        double t = dot(q, along) / length;
        if (Math.sqrt(Math.max(0, dot(q, q) - t * t)) > chord) {
          return false;
        }
      }
    }
    return true;
  }

  private static double dot(double[] a, double[] b) {
    return a[0] * b[0] + a[1] * b[1] + a[2] * b[2];
  }

  private static double[] point(Alignment axis, double d, double offset) {
    AlignmentPoint p = axis.at(d);
    double right = p.direction() - Math.PI / 2;
    return new double[] {
      p.east() + offset * Math.cos(right), p.north() + offset * Math.sin(right), p.level()
    };
  }
}
