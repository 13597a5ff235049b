package wellspan.core.place;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.lifecycle.BeforeTry;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Position;
import wellspan.core.geom.Similarity;

class HelmertFitTest {
  private static final Position[] SITE = {
    new Position(0, 0, 1),
    new Position(120, 5, 2),
    new Position(80, 90, 3),
    new Position(-10, 60, 4),
    new Position(40, 30, 2.5)
  };

  private SplittableRandom random;

  @BeforeTry
  void seed() {
    random = new SplittableRandom(11);
  }

  private static List<PointPair> pairs(Similarity s) {
    List<PointPair> out = new ArrayList<>();
    for (int i = 0; i < SITE.length; i++) {
      out.add(new PointPair("P" + i, SITE[i], s.apply(SITE[i]), true));
    }
    return out;
  }

  /** Pairs without levels, named by their order. */
  private static List<PointPair> inPlan(double[][] from, double[][] to) {
    List<PointPair> out = new ArrayList<>();
    for (int i = 0; i < from.length; i++) {
      out.add(
          new PointPair(
              "" + i,
              new Position(from[i][0], from[i][1], Double.NaN),
              new Position(to[i][0], to[i][1], Double.NaN),
              true));
    }
    return out;
  }

  private static Similarity similarity(double degrees, double scale) {
    return new Similarity(
        new Position(0, 0, 0),
        new Position(412_868.35, 6_534_560.12, 3.5),
        Math.toRadians(degrees),
        scale);
  }

  /**
   * The published example of a conformal fit in Ghilani, "Adjustment Computations", chapter 18:
   * three points of a photograph against state plane coordinates, X = ax − by + Tx, Y = bx + ay +
   * Ty.
   */
  @Test
  void thePublishedExampleOfATextbookIsMet() throws Exception {
    double[][] from = {{121.622, -128.066}, {141.228, 187.718}, {175.802, 135.728}};
    double[][] to = {
      {1_049_422.40, 51_089.20}, {1_049_413.95, 49_659.30}, {1_049_244.95, 49_884.95}
    };
    List<PointPair> pairs = inPlan(from, to);
    Similarity s = HelmertFit.solve(pairs, true).similarity();
    assertThat(s.scale() * Math.cos(s.rotation())).isCloseTo(-4.51249, within(5e-6));
    assertThat(s.scale() * Math.sin(s.rotation())).isCloseTo(-0.25371, within(5e-6));
    Position zero = s.apply(new Position(0, 0, 0));
    assertThat(zero.east()).isCloseTo(1_050_003.715, within(5e-4));
    assertThat(zero.north()).isCloseTo(50_542.131, within(5e-4));
  }

  /**
   * Worked by hand: four corners of a square of 100 m, known at a square turned by a right angle
   * and enlarged to 200 m, one corner pulled out by 4 m in east. With a = Σ(xu+yv)/Σ(x²+y²) and b =
   * Σ(xv−yu)/Σ(x²+y²) over centred coordinates.
   */
  @Test
  void theClosedSolutionIsThatOfTheNormalEquations() throws Exception {
    double[][] from = {{0, 0}, {100, 0}, {100, 100}, {0, 100}};
    double[][] to = {{0, 0}, {0, 200}, {-200, 200}, {-196, 0}};
    List<PointPair> pairs = inPlan(from, to);
    HelmertFit fit = HelmertFit.solve(pairs, true);
    // a = Σ(xu+yv)/20000, b = Σ(xv−yu)/20000 with x,y = ±50 and u,v about (−99, 100)
    double a =
        (-50 * 99 - 50 * -100 + 50 * 99 - 50 * 100 + 50 * -101 + 50 * 100 - 50 * -97 + 50 * -100)
            / 20_000.0;
    double b = 0;
    for (int i = 0; i < 4; i++) {
      double x = from[i][0] - 50, y = from[i][1] - 50, u = to[i][0] + 99, v = to[i][1] - 100;
      b += (x * v - y * u) / 20_000;
    }
    assertThat(fit.similarity().scale()).isCloseTo(Math.hypot(a, b), within(1e-12));
    assertThat(fit.similarity().rotation()).isCloseTo(Math.atan2(b, a), within(1e-12));
    // residuals are at right angles to every parameter: their sums vanish
    double e = 0, n = 0, turn = 0, stretch = 0;
    for (HelmertFit.Residual r : fit.residuals()) {
      double x = r.pair().source().east() - 50, y = r.pair().source().north() - 50;
      e += r.east();
      n += r.north();
      stretch += x * r.east() + y * r.north();
      turn += x * r.north() - y * r.east();
    }
    assertThat(e).isCloseTo(0, within(1e-9));
    assertThat(n).isCloseTo(0, within(1e-9));
    // rotated by a right angle, the two conditions exchange their parts
    assertThat(Math.hypot(stretch, turn)).isCloseTo(0, within(1e-6));
    double sum = fit.residuals().stream().mapToDouble(r -> r.plan() * r.plan()).sum();
    assertThat(fit.planDeviation()).isCloseTo(Math.sqrt(sum / 4), within(1e-12));
    assertThat(fit.heightDeviation()).isNaN();
  }

  @Property(tries = 200)
  void exactDataGiveTheExactFit(
      @ForAll @DoubleRange(min = -180, max = 180) double degrees,
      @ForAll @DoubleRange(min = 0.5, max = 2) double scale)
      throws Exception {
    Similarity s = similarity(degrees, scale);
    HelmertFit fit = HelmertFit.solve(pairs(s), true);
    assertThat(fit.similarity().scale()).isCloseTo(scale, within(1e-10));
    assertThat(Math.IEEEremainder(fit.similarity().rotation() - s.rotation(), 2 * Math.PI))
        .isCloseTo(0, within(1e-10));
    for (HelmertFit.Residual r : fit.residuals()) {
      assertThat(r.plan()).isLessThan(1e-7);
      assertThat(Math.abs(r.height())).isLessThan(1e-9);
      assertThat(r.gross()).isFalse();
    }
  }

  @Property(tries = 60)
  void oneGrossErrorAmongGoodPointsIsMarkedAndOnlyIt(@ForAll @IntRange(max = 7) int wrong)
      throws Exception {
    Similarity s = similarity(21.5, 1);
    List<PointPair> pairs = new ArrayList<>();
    for (int i = 0; i < 8; i++) {
      Position p = new Position(random.nextDouble(200), random.nextDouble(200), 5);
      Position q = s.apply(p);
      double noise = 0.001;
      double pull = i == wrong ? 0.08 : 0;
      pairs.add(
          new PointPair(
              "P" + i,
              p,
              new Position(
                  q.east() + random.nextDouble(-noise, noise) + pull,
                  q.north() + random.nextDouble(-noise, noise),
                  q.level() + random.nextDouble(-noise, noise)),
              true));
    }
    HelmertFit fit = HelmertFit.solve(pairs, false);
    for (int i = 0; i < 8; i++) {
      assertThat(fit.residuals().get(i).gross()).as("P" + i).isEqualTo(i == wrong);
    }
  }

  @Test
  void aHeightOutOfLineIsMarkedToo() throws Exception {
    List<PointPair> pairs = pairs(similarity(10, 1));
    PointPair p = pairs.get(2);
    Position k = p.shared();
    pairs.set(
        2,
        new PointPair(
            p.name(), p.source(), new Position(k.east(), k.north(), k.level() + 0.038), true));
    HelmertFit fit = HelmertFit.solve(pairs, false);
    assertThat(fit.residuals())
        .extracting(HelmertFit.Residual::gross)
        .containsExactly(false, false, true, false, false);
    pairs.set(2, pairs.get(2).withUsed(false));
    HelmertFit without = HelmertFit.solve(pairs, false);
    assertThat(without.heightDeviation()).isLessThan(1e-9);
    assertThat(without.residuals().get(2).height()).isCloseTo(-0.038, within(1e-9));
  }

  /**
   * The two-dimensional conformal example of Ghilani and Wolf, Adjustment Computations (chapter on
   * coordinate transformations): a = −4.51249, b = −0.25371, T = (1 050 003.715, 50 542.131),
   * rotation 183°13′05″, scale 4.51962, standard deviation of a coordinate 0.14.
   */
  @Test
  void aPublishedExampleIsMet() throws Exception {
    double[][] known = {
      {121.622, -128.066, 1_049_422.40, 51_089.20},
      {141.228, 187.718, 1_049_413.95, 49_659.30},
      {175.802, 135.728, 1_049_244.95, 49_884.95}
    };
    List<PointPair> pairs = new ArrayList<>();
    for (double[] k : known) {
      Position local = new Position(k[0], k[1], Double.NaN);
      pairs.add(new PointPair("P", local, new Position(k[2], k[3], Double.NaN), true));
    }
    HelmertFit f = HelmertFit.solve(pairs, true);
    Similarity s = f.similarity();
    assertThat(s.scale()).isCloseTo(4.51962, within(5e-6));
    assertThat(s.scale() * Math.cos(s.rotation())).isCloseTo(-4.51249, within(5e-6));
    assertThat(s.scale() * Math.sin(s.rotation())).isCloseTo(-0.25371, within(5e-6));
    double degrees = (Math.toDegrees(s.rotation()) + 360) % 360;
    assertThat(degrees).isCloseTo(183 + 13 / 60.0 + 5 / 3600.0, within(0.5 / 3600));
    Position zero = s.apply(new Position(0, 0, 0));
    assertThat(zero.east()).isCloseTo(1_050_003.715, within(5e-4));
    assertThat(zero.north()).isCloseTo(50_542.131, within(5e-4));
    assertThat(f.planDeviation()).isCloseTo(0.14, within(5e-3));
    double[][] v = {{0.004, 0.029}, {0.101, 0.077}, {0.105, 0.106}};
    for (int i = 0; i < 3; i++) {
      assertThat(Math.abs(f.residuals().get(i).east())).isCloseTo(v[i][0], within(5e-4));
      assertThat(Math.abs(f.residuals().get(i).north())).isCloseTo(v[i][1], within(5e-4));
    }
  }

  @Test
  void theScaleCanBeHeldAtOne() throws Exception {
    HelmertFit fit = HelmertFit.solve(pairs(similarity(30, 1.0005)), false);
    assertThat(fit.similarity().scale()).isEqualTo(1);
    assertThat(fit.similarity().rotation()).isCloseTo(Math.toRadians(30), within(1e-10));
    assertThat(fit.planDeviation()).isGreaterThan(0.01);
  }

  @Test
  void twoPairsFitWithoutRedundancy() throws Exception {
    HelmertFit fit = HelmertFit.solve(pairs(similarity(30, 1.2)).subList(0, 2), true);
    assertThat(fit.planDeviation()).isNaN();
    assertThat(fit.residuals()).noneMatch(HelmertFit.Residual::gross);
  }

  @Test
  void whatCannotBeFittedIsSaid() {
    List<PointPair> one = pairs(similarity(0, 1)).subList(0, 1);
    assertThatThrownBy(() -> HelmertFit.solve(one, false)).hasMessageContaining("two point pairs");
    assertThatThrownBy(() -> HelmertFit.solve(List.of(), false)).hasMessageContaining("none is");
    Position p = new Position(5, 5, 5);
    List<PointPair> same =
        List.of(new PointPair("A", p, SITE[0], true), new PointPair("B", p, SITE[1], true));
    assertThatThrownBy(() -> HelmertFit.solve(same, false))
        .isInstanceOf(HelmertFit.NoFitException.class)
        .hasMessageContaining("same source position");
    List<PointPair> nan =
        List.of(
            new PointPair("A", SITE[0], SITE[0], true),
            new PointPair("B", new Position(Double.NaN, 0, 0), SITE[1], true));
    assertThatThrownBy(() -> HelmertFit.solve(nan, false)).hasMessageContaining("pair B");
  }

  @Test
  void pointsOnALineAreEnoughInPlan() throws Exception {
    Similarity s = similarity(45, 1);
    List<PointPair> line = new ArrayList<>();
    for (int i = 0; i < 4; i++) {
      Position p = new Position(10 * i, 20 * i, i);
      line.add(new PointPair("L" + i, p, s.apply(p), true));
    }
    assertThat(HelmertFit.solve(line, true).similarity().rotation())
        .isCloseTo(s.rotation(), within(1e-10));
  }
}
