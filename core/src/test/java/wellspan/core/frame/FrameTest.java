package wellspan.core.frame;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

class FrameTest {
  private static final Frame SITE =
      Frame.of("EPSG:25832", "NN2000", new Position(412_000, 6_534_500, 0), 21.5);

  @Test
  void aPointAlongSiteNorthLiesOnTheLocalYAxis() {
    double r = Math.toRadians(21.5);
    Position p = new Position(412_000 + 100 * Math.sin(r), 6_534_500 + 100 * Math.cos(r), 12);
    Position local = SITE.toLocal(p);
    assertThat(local.east()).isCloseTo(0, within(1e-9));
    assertThat(local.north()).isCloseTo(100, within(1e-9));
    assertThat(local.level()).isEqualTo(12);
  }

  @Test
  void ninetyDegreesPutsEastOnY() {
    Frame f = SITE.withRotation(90);
    Position local = f.toLocal(new Position(412_050, 6_534_500, 0));
    assertThat(local.east()).isCloseTo(0, within(1e-9));
    assertThat(local.north()).isCloseTo(50, within(1e-9));
  }

  @Property
  void localAndBackIsTheSamePlace(
      @ForAll @DoubleRange(min = -50_000, max = 50_000) double dx,
      @ForAll @DoubleRange(min = -50_000, max = 50_000) double dy,
      @ForAll @DoubleRange(min = -360, max = 360) double rotation) {
    Frame f = SITE.withRotation(rotation);
    Position p = new Position(412_000 + dx, 6_534_500 + dy, 3.25);
    assertThat(f.toShared(f.toLocal(p)).distanceTo(p)).isLessThan(1e-8);
  }

  @Test
  void numbersThatAreNoneAreRefused() {
    assertThatThrownBy(() -> SITE.withRotation(Double.NaN))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("finite");
  }

  @Test
  void singlePrecisionStepsAreThePublishedOnes() {
    assertThat(SinglePrecision.resolution(500_000)).isEqualTo(0.03125);
    assertThat(SinglePrecision.resolution(6_500_000)).isEqualTo(0.5);
    assertThat(SinglePrecision.resolution(10_000)).isCloseTo(0.001, within(1e-4));
  }

  @Test
  void theProposedBasePointIsRoundAndNear() {
    Box work = new Box(411_980, 6_534_480, -6, 413_300, 6_535_032, 64);
    Position p = BasePoints.propose(work);
    assertThat(p).isEqualTo(new Position(411_900, 6_534_400, 0));
  }

  @Test
  void aFarBasePointIsFoundWithAProposal() {
    Box work = new Box(411_980, 6_534_480, -6, 413_300, 6_535_032, 64);
    assertThat(FrameChecks.check(SITE, work)).isEmpty();
    assertThat(FrameChecks.check(SITE.withBasePoint(new Position(0, 0, 0)), work))
        .singleElement()
        .satisfies(
            f -> {
              assertThat(f.code()).isEqualTo("frame.far");
              assertThat(f.message())
                  .contains("6548.1 km")
                  .contains("500.0 mm")
                  .contains("E 411900");
              assertThat(f.place()).contains(new Position(411_900, 6_534_400, 0));
            });
  }

  @Test
  void systemsThatDoNotFitAreFound() {
    Box work = new Box(411_980, 6_534_480, -6, 413_300, 6_535_032, 64);
    assertThat(FrameChecks.check(SITE.withCrs(""), work))
        .extracting(Finding::code)
        .containsExactly("frame.crs.missing");
    assertThat(FrameChecks.check(SITE.withCrs("EPSG:99999"), work))
        .extracting(Finding::code)
        .containsExactly("frame.crs.unknown");
    assertThat(FrameChecks.check(SITE.withCrs("EPSG:4326"), work))
        .extracting(Finding::code)
        .containsExactly("frame.crs.geographic");
    assertThat(FrameChecks.check(SITE.withCrs("EPSG:27700"), work))
        .extracting(Finding::code)
        .containsExactly("frame.crs.outside");
  }

  @Test
  void aSystemWhoseProjectionIsNotKnownIsSaidAndNothingBreaks() {
    Box work = new Box(1_030_000, 1_270_000, 0, 1_040_000, 1_280_000, 10);
    Frame f = Frame.of("EPSG:6244", "", new Position(1_035_000, 1_275_000, 0), 0);
    assertThat(FrameChecks.check(f, work))
        .extracting(Finding::code)
        .containsExactly("frame.crs.unchecked");
  }
}
