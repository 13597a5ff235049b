package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import javafx.geometry.Rectangle2D;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import wellspan.core.geom.Box;

class PlanWindowTest {
  private static final PlanWindow WINDOW = new PlanWindow(412_500, 6_534_700, 0.8, 900, 500);

  @Property
  void theGroundUnderTheCursorStaysWhenZooming(
      @ForAll @DoubleRange(min = 0.1, max = 10) double factor,
      @ForAll @DoubleRange(min = 0, max = 900) double x,
      @ForAll @DoubleRange(min = 0, max = 500) double y) {
    PlanWindow z = WINDOW.zoomed(factor, x, y);
    assertThat(z.eastAt(x)).isCloseTo(WINDOW.eastAt(x), within(1e-6));
    assertThat(z.northAt(y)).isCloseTo(WINDOW.northAt(y), within(1e-6));
  }

  @Test
  void pixelsAndGroundBelongTogether() {
    assertThat(WINDOW.x(WINDOW.eastAt(123))).isCloseTo(123, within(1e-6));
    assertThat(WINDOW.y(WINDOW.northAt(45))).isCloseTo(45, within(1e-6));
    PlanWindow m = WINDOW.moved(10, 20);
    assertThat(m.eastAt(10)).isCloseTo(WINDOW.eastAt(0), within(1e-6));
    assertThat(m.northAt(20)).isCloseTo(WINDOW.northAt(0), within(1e-6));
  }

  @Test
  void fittingShowsEverything() {
    Box b = new Box(412_000, 6_534_000, 0, 413_000, 6_534_300, 10);
    PlanWindow w = PlanWindow.fit(b, 900, 500, 0, 0);
    assertThat(w.x(b.minE())).isGreaterThan(0);
    assertThat(w.x(b.maxE())).isLessThan(900);
    assertThat(w.y(b.maxN())).isGreaterThan(0);
    assertThat(w.y(b.minN())).isLessThan(500);
  }

  @Test
  void roomAtTheRightStaysFree() {
    Box b = new Box(412_000, 6_534_000, 0, 413_000, 6_534_100, 10);
    PlanWindow w = PlanWindow.fit(b, 900, 500, 108, 0);
    assertThat(w.x(b.minE())).isCloseTo(30, within(1e-6));
    assertThat(w.x(b.maxE())).isCloseTo(900 - 108 - 30, within(1e-6));
    assertThat(w.y(b.maxN())).isGreaterThan(0);
  }

  @Test
  void zoomHasLimits() {
    assertThat(WINDOW.zoomed(1e12, 0, 0).metresPerPixel()).isEqualTo(0.0005);
    assertThat(WINDOW.zoomed(1e-12, 0, 0).metresPerPixel()).isEqualTo(50_000);
  }

  @Test
  void boxesCoverWholePixelsWithinThePicture() {
    PlanWindow w = new PlanWindow(1000, 2000, 0.5, 400, 300);
    Box small = new Box(1000.3, 2000.3, 1, 1001.2, 2000.9, 2);
    Rectangle2D r = w.pixels(List.of(small));
    assertThat(r).isEqualTo(new Rectangle2D(198, 146, 7, 6)); // two pixels for a line around it
    Box beside = new Box(1090, 1900, 1, 1500, 1990, 2);
    assertThat(w.pixels(List.of(beside))).isEqualTo(new Rectangle2D(378, 168, 22, 132));
    assertThat(w.pixels(List.of()).getWidth()).isZero();
    assertThat(w.pixels(List.of(new Box(5000, 5000, 0, 5001, 5001, 0))).getWidth()).isZero();
  }
}
