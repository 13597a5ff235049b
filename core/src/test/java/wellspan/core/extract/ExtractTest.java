package wellspan.core.extract;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.locationtech.jts.geom.Coordinate;
import org.locationtech.jts.geom.Geometry;
import org.locationtech.jts.geom.GeometryFactory;
import wellspan.core.align.Alignment;
import wellspan.core.align.AlignmentCut;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.align.Chainages;
import wellspan.core.align.PlanElement;
import wellspan.core.align.PlanPoint;
import wellspan.core.align.Profile;
import wellspan.core.align.Pvi;
import wellspan.core.align.SpiralLaw;
import wellspan.core.align.ThinnedLine;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.shape.Shape;

class ExtractTest {
  private final List<Finding> findings = new ArrayList<>();

  private static Alignment curve(SpiralLaw law, Chainages labels) {
    PlanElement.Line line = new PlanElement.Line(new PlanPoint(1000, 2000, 0.3), 50);
    PlanElement.Spiral in = new PlanElement.Spiral(line.end(), 40, 0, -1 / 80.0, law);
    PlanElement.Arc arc = new PlanElement.Arc(in.end(), 60, -80);
    Profile p =
        Profile.through(
            "p",
            List.of(
                new Pvi(0, 10, new Pvi.Rounding.None()),
                new Pvi(70, 12, new Pvi.Rounding.Circle(900)),
                new Pvi(150, 11, new Pvi.Rounding.None())));
    return new Alignment("Lane", List.of(line, in, arc), labels, Optional.of(p));
  }

  private static Extract range(double from, double to) {
    return new Extract(
        Set.of(),
        Set.of(),
        Optional.of(new ChainageRange(from, to)),
        Optional.empty(),
        Optional.empty(),
        0.01);
  }

  @Test
  void aCutAlignmentRunsWhereTheWholeOneDoes() {
    for (SpiralLaw law : List.of(SpiralLaw.CLOTHOID, SpiralLaw.BLOSS, SpiralLaw.CUBIC)) {
      Alignment whole = curve(law, new Chainages(100, List.of()));
      Alignment part = AlignmentCut.between(whole, 60, 130);
      assertThat(part.length()).isCloseTo(70, within(1e-9));
      for (double d = 0; d <= 70; d += 3.5) {
        AlignmentPoint a = whole.at(60 + d);
        AlignmentPoint b = part.at(d);
        assertThat(Math.hypot(a.east() - b.east(), a.north() - b.north()))
            .as(law + " at " + d)
            .isLessThan(1e-4);
        assertThat(b.level()).isCloseTo(a.level(), within(1e-9));
        assertThat(b.chainage()).isCloseTo(a.chainage(), within(1e-9));
      }
    }
  }

  @Test
  void rangesCountDisplayedChainages() {
    Chainages jump = new Chainages(100, List.of(new Chainages.Equation(80, 180, 500, true)));
    List<Item> out =
        range(510, 520)
            .of(List.of(Item.alignment("Lane", curve(SpiralLaw.CLOTHOID, jump))), findings);
    Alignment a = ((Shape.Axis) out.getFirst().shape()).alignment();
    assertThat(a.startChainage()).isEqualTo(510, within(1e-9));
    assertThat(a.length()).isCloseTo(10, within(1e-9));
    Chainages twice = new Chainages(100, List.of(new Chainages.Equation(80, 180, 120, true)));
    assertThatThrownBy(
            () ->
                range(130, 140)
                    .of(
                        List.of(Item.alignment("Lane", curve(SpiralLaw.CLOTHOID, twice))),
                        findings))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("2 places");
  }

  @Test
  void whatFollowsNoAlignmentGoesWholeAndIsCounted() {
    Item lane = Item.alignment("Lane", curve(SpiralLaw.CLOTHOID, new Chainages(0, List.of())));
    Item fence = Item.string("Fence", new Polyline(new double[] {0, 0, 1, 900, 0, 1}));
    Item hedge = Item.string("Hedge", new Polyline(new double[] {0, 5, 1, 900, 5, 1}));
    range(10, 20).of(List.of(lane), findings);
    assertThat(findings).isEmpty();
    List<Item> out = range(10, 20).of(List.of(lane, fence, hedge), findings);
    assertThat(out).contains(fence, hedge);
    assertThat(findings)
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("extract.whole");
              assertThat(f.isError()).isFalse();
              assertThat(f.message()).contains("2 items").contains("Fence");
            });
  }

  @Test
  void thinnedLinesKeepEndsAndTolerances() {
    Alignment a = curve(SpiralLaw.CLOTHOID, new Chainages(0, List.of()));
    Extract thin =
        new Extract(
            Set.of(),
            Set.of("alignment"),
            Optional.empty(),
            Optional.empty(),
            Optional.of(new Extract.Thin(0.05, 0.01)),
            0.01);
    Item out = thin.of(List.of(Item.alignment("Lane", a)), findings).getFirst();
    Polyline line = ((Shape.Lines) out.shape()).lines().getFirst();
    assertThat(line.pointCount()).isLessThan(25);
    assertThat(line.point(0).east()).isEqualTo(a.at(0).east());
    double worst = 0;
    double off = 0;
    for (double d = 0; d <= 150; d += 0.05) {
      AlignmentPoint p = a.at(d);
      worst = Math.max(worst, line.planDistance(p.east(), p.north()));
      off = Math.max(off, Math.abs(level(line, p) - p.level()));
    }
    assertThat(worst).isLessThan(0.05).isGreaterThan(0.02);
    assertThat(off).isLessThan(0.01);
    assertThat(findings)
        .singleElement()
        .satisfies(f -> assertThat(f.code()).isEqualTo("extract.thinned"));
  }

  private static double level(Polyline line, AlignmentPoint p) {
    double best = Double.POSITIVE_INFINITY;
    double level = Double.NaN;
    for (int i = 0; i + 1 < line.pointCount(); i++) {
      var a = line.point(i);
      var b = line.point(i + 1);
      double dx = b.east() - a.east();
      double dy = b.north() - a.north();
      double t =
          Math.clamp(
              ((p.east() - a.east()) * dx + (p.north() - a.north()) * dy) / (dx * dx + dy * dy),
              0,
              1);
      double d = Math.hypot(a.east() + t * dx - p.east(), a.north() + t * dy - p.north());
      if (d < best) {
        best = d;
        level = a.level() + t * (b.level() - a.level());
      }
    }
    return level;
  }

  @Test
  void aStraightLineOfManyPointsKeepsItsEndsOnly() {
    double[] xyz = new double[3 * 1001];
    for (int i = 0; i <= 1000; i++) {
      xyz[3 * i] = i;
      xyz[3 * i + 1] = 2 * i;
      xyz[3 * i + 2] = 0.01 * i;
    }
    ThinnedLine t = ThinnedLine.of(new Polyline(xyz), 0.001, 0.001);
    assertThat(t.line().pointCount()).isEqualTo(2);
    assertThat(t.before()).isEqualTo(1001);
  }

  @Test
  void anOutlineCutsLinesAndAlignments() {
    Geometry area =
        new GeometryFactory()
            .createPolygon(
                new Coordinate[] {
                  new Coordinate(1010, 1900),
                  new Coordinate(1030, 1900),
                  new Coordinate(1030, 2100),
                  new Coordinate(1010, 2100),
                  new Coordinate(1010, 1900)
                });
    Extract clip =
        new Extract(
            Set.of(), Set.of(), Optional.empty(), Optional.of(area), Optional.empty(), 0.01);
    Alignment a = curve(SpiralLaw.CLOTHOID, new Chainages(0, List.of()));
    Item axis = clip.of(List.of(Item.alignment("Lane", a)), findings).getFirst();
    assertThat(axis.bounds().minE()).isCloseTo(1010, within(1e-3));
    assertThat(axis.bounds().maxE()).isCloseTo(1030, within(1e-3));
    Item line =
        clip.of(
                List.of(
                    Item.string("s", new Polyline(new double[] {1000, 2000, 5, 1040, 2000, 9}))),
                findings)
            .getFirst();
    assertThat(((Shape.Lines) line.shape()).lines().getFirst().xyz())
        .containsExactly(new double[] {1010, 2000, 6, 1030, 2000, 8}, within(1e-9));
  }

  @Test
  void whatIsNotFoundIsNamed() {
    Extract e =
        new Extract(
            Set.of("Lane", "Nope"),
            Set.of("pipe"),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            0.01);
    Alignment a = curve(SpiralLaw.CLOTHOID, new Chainages(0, List.of()));
    assertThat(e.notFound(List.of(Item.alignment("Lane", a)))).containsExactly("Nope", "pipe");
  }

  @Test
  void noPartOfASplitIsLostHoweverShortItIs() {
    Alignment a = curve(SpiralLaw.CLOTHOID, new Chainages(0, List.of()));
    var parts = new Split.ByChainage(0.4).deal(List.of(Item.alignment("Lane", a)), 0.01);
    assertThat(parts).hasSize(375).containsKeys("0+000.000", "0+000.400", "0+149.600");
    double sum =
        parts.values().stream()
            .flatMap(List::stream)
            .mapToDouble(p -> ((Shape.Axis) p.item().shape()).alignment().length())
            .sum();
    assertThat(sum).isCloseTo(150, within(1e-6));
    assertThat(new Split.ByChainage(100).deal(List.of(Item.alignment("Lane", a)), 0.01))
        .containsOnlyKeys("0+000", "0+100");
  }
}
