package wellspan.app.session;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Polyline;
import wellspan.core.item.Item;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;

class OutlooksTest {
  private static Build build(int items) {
    Revision r = new Revision("Rev A", "a.dxf", "x", "abc", 1, Instant.EPOCH, Map.of());
    List<Item> all = new ArrayList<>();
    for (int i = 0; i < items; i++) {
      all.add(Item.string("Line " + i, new Polyline(new double[] {0, 0, 0, 5, 0, i})));
    }
    return Build.of(
        Job.named("j").withSource(Source.of("a", r)),
        Map.of("a", new Received("DXF", "", "metre", all, Map.of(), List.of(), List.of())));
  }

  @Test
  void whatWasPreparedIsWhatWouldBeWorkedOut() {
    Build b = build(Fingerprints.AT_ONCE + 1);
    Delivery d = b.job().deliveries().getFirst();
    List<Finding> findings =
        List.of(Finding.error(Stop.SHAPE, "terrain.spike", "Line 7", "A spike."));
    Outlooks outlooks = new Outlooks();
    outlooks.prepare(b, d, findings);
    Outlook prepared = outlooks.of(b, d, findings);
    assertThat(prepared).isEqualTo(Outlook.of(b, d, findings));
    assertThat(prepared.before()).extracting(Finding::code).contains("terrain.spike");
    assertThat(outlooks.of(b, d, findings)).as("worked out once").isSameAs(prepared);
  }

  @Test
  void anotherStateOfTheJobIsAnotherOutlook() {
    Outlooks outlooks = new Outlooks();
    Build full = build(2);
    Delivery d = full.job().deliveries().getFirst();
    assertThat(outlooks.of(full, d, List.of()).before())
        .noneMatch(f -> f.code().equals("deliver.nothing"));
    assertThat(outlooks.of(build(0), d, List.of()).before())
        .anyMatch(f -> f.code().equals("deliver.nothing"));
  }
}
