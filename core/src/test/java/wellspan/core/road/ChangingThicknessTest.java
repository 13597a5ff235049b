package wellspan.core.road;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.assertj.core.data.Percentage;
import wellspan.core.align.Alignment;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Mesh;

/**
 * Courses whose width, fall and thickness change from section to section, also to nothing at a
 * corner or across: on a straight their volume is that of prismoids between points of one number.
 */
class ChangingThicknessTest {
  private static final double STEP = 100;

  private record Outline(List<double[]> points) {
    double area() {
      double sum = 0;
      for (int i = 0; i < points.size(); i++) {
        double[] p = points.get(i);
        double[] q = points.get((i + 1) % points.size());
        sum += (p[0] * q[1] - q[0] * p[1]) / 2;
      }
      return sum;
    }

    Outline halfWayTo(Outline other) {
      List<double[]> out = new ArrayList<>();
      for (int i = 0; i < points.size(); i++) {
        double[] p = points.get(i);
        double[] q = other.points.get(i);
        out.add(new double[] {(p[0] + q[0]) / 2, (p[1] + q[1]) / 2});
      }
      return new Outline(out);
    }
  }

  /** Inner edge, outer edge, then back below, as thick as stated at each of them. */
  private static Outline course(
      double in, double out, double level, double fall, double thickIn, double thickOut) {
    double outer = level - fall * (out - in);
    return new Outline(
        List.of(
            new double[] {in, level},
            new double[] {out, outer},
            new double[] {out, outer - thickOut},
            new double[] {in, level - thickIn}));
  }

  private static double prismoids(List<Outline> outlines) {
    double sum = 0;
    for (int i = 0; i + 1 < outlines.size(); i++) {
      Outline a = outlines.get(i);
      Outline b = outlines.get(i + 1);
      sum += STEP * (a.area() + 4 * a.halfWayTo(b).area() + b.area()) / 6;
    }
    return Math.abs(sum);
  }

  private static Mesh made(List<Outline> outlines, boolean repeated, boolean backwards) {
    List<List<SectionPoint>> sections = new ArrayList<>();
    for (Outline o : outlines) {
      sections.add(
          new ArrayList<>(o.points.stream().map(p -> new SectionPoint(p[0], p[1], "")).toList()));
    }
    return made(sections, prismoids(outlines), repeated, backwards);
  }

  private static Mesh made(
      List<List<SectionPoint>> outlines, double exact, boolean repeated, boolean backwards) {
    List<CrossSection> sections = new ArrayList<>();
    for (int s = 0; s < outlines.size(); s++) {
      List<SectionPoint> points = new ArrayList<>(outlines.get(s));
      if (backwards) {
        Collections.reverse(points);
      }
      if (repeated) {
        points.add(points.getFirst());
      }
      DesignArea a = new DesignArea("Base", "right", "", "", DesignArea.Form.AREA, 0, points);
      sections.add(new CrossSection(s * STEP, 0, List.of(a)));
    }
    PlanPoint start = new PlanPoint(400_000, 5_700_000, 0.7);
    Alignment axis =
        new Alignment(
            "Mill Lane",
            List.of(new PlanElement.Line(start, STEP * (outlines.size() - 1))),
            new Chainages(0, List.of()),
            Optional.empty());
    List<Finding> findings = new ArrayList<>();
    List<RoadPart> parts = RoadParts.of(axis, sections, findings);
    assertThat(findings).isEmpty();
    assertThat(parts).hasSize(1);
    assertThat(parts.getFirst().body().exactVolume())
        .isCloseTo(exact, Percentage.withPercentage(1e-6));
    return parts.getFirst().body().mesh(0.010);
  }

  private static void isRight(List<Outline> outlines) {
    for (boolean repeated : new boolean[] {false, true}) {
      for (boolean backwards : new boolean[] {false, true}) {
        Mesh m = made(outlines, repeated, backwards);
        assertThat(m.isClosed()).as("closed").isTrue();
        assertThat(m.volume())
            .as("first point repeated: %s, backwards: %s", repeated, backwards)
            .isCloseTo(prismoids(outlines), Percentage.withPercentage(0.1));
      }
    }
  }

  @Property(tries = 150)
  void anyChangeKeepsItsVolume(@ForAll @IntRange(min = 0) int seed) {
    Random r = new Random(seed);
    List<Outline> outlines = new ArrayList<>();
    int n = 2 + r.nextInt(4);
    for (int s = 0; s < n; s++) {
      double in = 3 * r.nextDouble();
      double thick = 0.05 + 0.5 * r.nextDouble();
      outlines.add(
          course(
              in,
              in + 0.5 + 5 * r.nextDouble(),
              100 + r.nextDouble(),
              0.1 * r.nextDouble() - 0.05,
              thick,
              thick * (0.2 + 1.6 * r.nextDouble())));
    }
    isRight(outlines);
  }

  @Example
  void aWedgeThinsToNothingAtEitherCorner() {
    Outline full = course(1, 5, 10, -0.025, 0.3, 0.3);
    isRight(List.of(full, course(1, 5, 10, -0.025, 0, 0.3)));
    isRight(List.of(full, course(1, 5, 10, -0.025, 0.3, 0)));
    isRight(List.of(course(1, 5, 10, -0.025, 0, 0.3), full, course(2, 4, 10, 0.05, 0.3, 0)));
    isRight(List.of(course(1, 5, 10, 0, 0, 0.3), course(1, 6, 10, 0, 0, 0.2)));
  }

  @Example
  void aCourseEndsInAnEdge() {
    Outline full = course(1, 5, 10, -0.025, 0.3, 0.2);
    isRight(List.of(full, course(1, 6, 10, 0.01, 0, 0)));
    isRight(List.of(course(2, 3, 10, 0.04, 0, 0), full, full));
  }

  @Example
  void aCrownedCourseThinsToASliver() {
    List<double[]> thick =
        List.of(
            new double[] {0.577, 9.7},
            new double[] {0.896, 9.74},
            new double[] {1.216, 9.674},
            new double[] {1.216, 9.345},
            new double[] {0.896, 9.372},
            new double[] {0.577, 9.372});
    List<double[]> thin =
        List.of(
            new double[] {2.687, 10.253},
            new double[] {3.023, 10.261},
            new double[] {3.36, 10.214},
            new double[] {3.36, 10.214},
            new double[] {3.023, 10.253},
            new double[] {2.687, 10.253});
    isRight(List.of(new Outline(thick), new Outline(thin)));
  }

  /** A mark on a straight edge, where a layer beside it ends, belongs to no corner of the next. */
  @Property(tries = 100)
  void aMarkOnAnEdgeChangesNothing(
      @ForAll @IntRange(min = 0) int seed, @ForAll boolean coded, @ForAll boolean turned) {
    Random r = new Random(seed);
    List<Outline> outlines = new ArrayList<>();
    List<List<SectionPoint>> marked = new ArrayList<>();
    double t = 0.1 + 0.8 * r.nextDouble(); // two marks on one edge are one string, at one share
    for (int s = 0; s < 3; s++) {
      double in = 3 * r.nextDouble();
      double thick = 0.1 + 0.4 * r.nextDouble();
      Outline o =
          course(in, in + 1 + 4 * r.nextDouble(), 100 + r.nextDouble(), 0.02, thick, thick / 2);
      outlines.add(o);
      List<SectionPoint> points = new ArrayList<>();
      for (int i = 0; i < 4; i++) {
        points.add(new SectionPoint(o.points.get(i)[0], o.points.get(i)[1], coded ? "c" + i : ""));
      }
      marked.add(points);
      int edge = r.nextInt(4);
      SectionPoint p = points.get(edge);
      SectionPoint q = points.get((edge + 1) % 4);
      SectionPoint mark =
          new SectionPoint(
              p.offset() + t * (q.offset() - p.offset()),
              p.level() + t * (q.level() - p.level()),
              "");
      if (coded || s == 1) { // without codes nothing tells that two marks are not the same one
        points.add(edge + 1, mark);
      }
      if (coded && turned) {
        Collections.rotate(points, r.nextInt(5));
      }
    }
    double exact = prismoids(outlines);
    Mesh m = made(marked, exact, false, turned);
    assertThat(m.isClosed()).isTrue();
    assertThat(m.volume()).isCloseTo(exact, Percentage.withPercentage(0.1));
  }
}
