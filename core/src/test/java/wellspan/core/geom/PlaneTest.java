package wellspan.core.geom;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class PlaneTest {
  private static final Position AT = new Position(412_000, 6_534_000, 20);

  @Test
  void aPlaneFallsInItsBearing() {
    Plane east = Plane.falling(AT, 0.02, 90);
    assertThat(east.levelAt(412_050, 6_534_000)).isCloseTo(19, within(1e-9));
    assertThat(east.levelAt(412_000, 6_534_050)).isCloseTo(20, within(1e-9));
    Plane south = Plane.falling(AT, 0.1, 180);
    assertThat(south.levelAt(412_000, 6_533_990)).isCloseTo(19, within(1e-9));
    Plane level = Plane.falling(AT, 0, 33);
    assertThat(level.levelAt(0, 0)).isEqualTo(20);
  }

  @Test
  void anotherZeroIsTheSamePlane() {
    Plane p = Plane.falling(AT, 0.05, 215);
    Plane local = p.from(411_000, 6_533_000);
    assertThat(local.levelAt(1_010, 1_020)).isCloseTo(p.levelAt(412_010, 6_534_020), within(1e-9));
  }
}
