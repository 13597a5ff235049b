package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.geom.Box;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.core.shape.Shape;

/** All of the work is seen beside the sign of north, which stands in the upper right corner. */
class PlanFitTest {
  private static final double WIDTH = 720;
  private static final double HEIGHT = 570;

  private static SeenItems seen(double... xy) {
    double[] xyz = new double[xy.length / 2 * 3];
    for (int i = 0; i < xy.length / 2; i++) {
      xyz[3 * i] = xy[2 * i];
      xyz[3 * i + 1] = xy[2 * i + 1];
    }
    Item line = Item.of("L", Kind.of("string"), new Shape.Lines(List.of(new Polyline(xyz))));
    Revision r = new Revision("Rev A", "a.dxf", "x", "abc", 1, Instant.EPOCH, Map.of());
    return new SeenItems(
        Build.of(
            Job.named("j").withSource(Source.of("a", r)),
            Map.of(
                "a",
                new Received("DXF", "", "metre", List.of(line), Map.of(), List.of(), List.of()))));
  }

  private static boolean isFree(PlanWindow w, double e, double n) {
    return w.x(e) < WIDTH - 100 || w.y(n) > 174;
  }

  private static PlanWindow fit(SeenItems s) {
    return PlanFit.of(s, s.bounds(), WIDTH, HEIGHT, false);
  }

  @Test
  void aLineThatEndsInTheCornerIsSeenToItsEnd() {
    PlanWindow w = fit(seen(0, 0, 200, 0, 433, 259));
    assertThat(isFree(w, 433, 259)).isTrue();
    assertThat(w.x(0)).isPositive();
    assertThat(w.y(0)).isLessThan(HEIGHT - 50);
  }

  @Test
  void aLowPictureBeginsBelowTheSignAndLosesNothing() {
    PlanWindow w = fit(seen(0, 0, 900, 300));
    assertThat(isFree(w, 900, 300)).isTrue();
    assertThat(w.metresPerPixel()).isEqualTo(900 / (WIDTH - 60));
  }

  @Test
  void theCornerOfAnOutlineMayBeCovered() {
    SeenItems s = seen(0, 0, 1000, 0, 1000, 600, 0, 600, 0, 0);
    assertThat(fit(s)).isEqualTo(PlanWindow.fit(s.bounds(), WIDTH, HEIGHT, 0, 0));
  }

  @Test
  void anEmptyCornerChangesNothing() {
    SeenItems s = seen(0, 600, 0, 0, 1000, 0);
    assertThat(fit(s)).isEqualTo(PlanWindow.fit(s.bounds(), WIDTH, HEIGHT, 0, 0));
  }

  /** Whoever looks at a part of a road sees the rest of it at the edges, also under the sign. */
  @Test
  void whatReachesBeyondThePartThatIsLookedAtChangesNothing() {
    SeenItems s = seen(0, 0, 433, 259);
    Box part = new Box(50, 30, 0, 200, 119, 0);
    assertThat(PlanFit.of(s, part, WIDTH, HEIGHT, false))
        .isEqualTo(PlanWindow.fit(part, WIDTH, HEIGHT, 0, 0));
  }

  @Test
  void nothingIsFittedToNothing() {
    SeenItems none = new SeenItems(Build.of(Job.named("j"), Map.of()));
    assertThat(PlanFit.of(none, Box.EMPTY, WIDTH, HEIGHT, false).metresPerPixel()).isEqualTo(1);
  }
}
