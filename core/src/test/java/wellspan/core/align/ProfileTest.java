package wellspan.core.align;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class ProfileTest {
  private static Pvi pvi(double d, double level, Pvi.Rounding r) {
    return new Pvi(d, level, r);
  }

  private static final Pvi.Rounding NONE = new Pvi.Rounding.None();

  @Test
  void aParabolaLiesMidwayUnderItsCorner() {
    Profile p =
        Profile.through(
            "p",
            List.of(
                pvi(0, 10, NONE),
                pvi(100, 15, new Pvi.Rounding.Parabola(40, 40)),
                pvi(200, 13, NONE)));
    double e = (0.05 - -0.02) * 80 / 8; // external distance |Δg|·L/8
    assertThat(p.levelAt(100)).isCloseTo(15 - e, within(1e-12));
    assertThat(p.levelAt(60)).isCloseTo(13, within(1e-12));
    assertThat(p.levelAt(140)).isCloseTo(15 - 0.02 * 40, within(1e-12));
    assertThat(p.gradeAt(100)).isCloseTo(0.015, within(1e-12));
    assertThat(p.segments()).hasSize(3);
  }

  @Test
  void anAsymmetricParabolaMeetsItselfUnderTheCorner() {
    double l1 = 30;
    double l2 = 70;
    Profile p =
        Profile.through(
            "p",
            List.of(
                pvi(0, 0, NONE),
                pvi(100, 4, new Pvi.Rounding.Parabola(l1, l2)),
                pvi(300, 0, NONE)));
    double offset = (-0.02 - 0.04) * l1 * l2 / (2 * (l1 + l2));
    assertThat(p.levelAt(100)).isCloseTo(4 + offset, within(1e-12));
    assertThat(p.segments()).hasSize(4);
    for (int i = 0; i + 1 < p.segments().size(); i++) {
      ProfileSegment a = p.segments().get(i);
      ProfileSegment b = p.segments().get(i + 1);
      assertThat(a.endLevel()).isCloseTo(b.startLevel(), within(1e-12));
      assertThat(a.endGrade()).isCloseTo(b.startGrade(), within(1e-12));
    }
  }

  @Test
  void aCircleTouchesBothGradesAndKeepsItsRadius() {
    Profile p =
        Profile.through(
            "p",
            List.of(
                pvi(0, 10, NONE), pvi(200, 0, new Pvi.Rounding.Circle(1500)), pvi(400, 8, NONE)));
    ProfileSegment.Circle c = (ProfileSegment.Circle) p.segments().get(1);
    assertThat(c.radius()).isEqualTo(1500);
    assertThat(c.levelAt(0)).isCloseTo(10 - 0.05 * c.startDistance(), within(1e-10));
    assertThat(c.endLevel()).isCloseTo(0.04 * (c.endDistance() - 200), within(1e-9));
    assertThat(c.gradeAt(c.length())).isCloseTo(0.04, within(1e-10));
    double h = 0.01;
    double second = (c.levelAt(50 + h) - 2 * c.levelAt(50) + c.levelAt(50 - h)) / (h * h);
    double curvature = second / Math.pow(1 + Math.pow(c.gradeAt(50), 2), 1.5);
    assertThat(1 / curvature).isCloseTo(1500, within(1.0));
  }

  @Property(tries = 100)
  void levelsNeverJump(
      @ForAll @DoubleRange(min = -0.08, max = 0.08) double g1,
      @ForAll @DoubleRange(min = -0.08, max = 0.08) double g2,
      @ForAll @DoubleRange(min = 1, max = 49) double half) {
    Profile p =
        Profile.through(
            "p",
            List.of(
                pvi(0, 0, NONE),
                pvi(50, 50 * g1, new Pvi.Rounding.Parabola(half, half)),
                pvi(100, 50 * g1 + 50 * g2, NONE)));
    for (double d = 0; d < 99.99; d += 0.5) {
      assertThat(Math.abs(p.levelAt(d + 0.001) - p.levelAt(d))).isLessThan(0.0001);
    }
  }

  @Test
  void whatCannotBeAProfileIsRefused() {
    assertThatThrownBy(() -> Profile.through("p", List.of(pvi(0, 0, NONE))))
        .hasMessageContaining("two points");
    assertThatThrownBy(() -> Profile.through("p", List.of(pvi(10, 0, NONE), pvi(10, 1, NONE))))
        .hasMessageContaining("do not advance");
    assertThatThrownBy(
            () ->
                Profile.through(
                    "p",
                    List.of(
                        pvi(0, 0, NONE),
                        pvi(50, 1, new Pvi.Rounding.Parabola(40, 40)),
                        pvi(100, 0, new Pvi.Rounding.Parabola(40, 40)),
                        pvi(150, 3, NONE))))
        .hasMessageContaining("overlap");
  }

  @Test
  void outsideTheProfileThereIsNoLevel() {
    Profile p = Profile.through("p", List.of(pvi(10, 1, NONE), pvi(20, 2, NONE)));
    assertThat(p.levelAt(5)).isNaN();
    assertThat(p.levelAt(21)).isNaN();
    assertThat(p.levelAt(20)).isEqualTo(2);
  }
}
