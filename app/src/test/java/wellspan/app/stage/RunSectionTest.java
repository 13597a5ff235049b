package wellspan.app.stage;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.job.Revision;
import wellspan.core.job.Source;
import wellspan.core.network.Chamber;
import wellspan.core.progress.Progress;
import wellspan.exchange.landxml.read.LandXmlReader;

/** What the long section of a run of pipes shows of a received network. */
class RunSectionTest {
  private static Build build;

  @BeforeAll
  static void receive() throws Exception {
    Path demo = Path.of("..", "demo");
    Job job = Job.named("j");
    for (String name : new String[] {"net", "road"}) {
      Revision r = new Revision("Rev A", name, name, name, 1, Instant.EPOCH, Map.of());
      job = job.withSource(Source.of(name, r));
    }
    Path net = demo.resolve("drainage/quay-road-drainage.xml");
    Path road = demo.resolve("road/quay-road.xml");
    build =
        Build.of(
            job,
            Map.of(
                "net", LandXmlReader.read(net, Progress.NONE),
                "road", LandXmlReader.read(road, Progress.NONE)));
  }

  @Test
  void aPipeShowsItsRunUnderTheGround() {
    RunSection s = RunSection.of(build, Optional.of(ItemId.of("net", "pipe", "P10"))).orElseThrow();
    assertThat(s.run().stretches()).hasSize(14);
    assertThat(s.run().chambers()).extracting(Chamber::name).startsWith("M01").endsWith("Outfall");
    assertThat(s.surface()).isEqualTo("Design ground");
    assertThat(s.ground().getLast()[0]).isCloseTo(s.run().length(), within(1e-9));
    assertThat(s.low()).isLessThan(1.5);
    assertThat(s.high()).isGreaterThan(37.1);
  }

  @Test
  void aChamberShowsItToo() {
    assertThat(RunSection.of(build, Optional.of(ItemId.of("net", "chamber", "M07"))))
        .hasValueSatisfying(s -> assertThat(s.run().stretches()).hasSize(14));
  }

  @Test
  void anAlignmentIsCutAlongAsBefore() {
    Optional<ItemId> road = Optional.of(ItemId.of("road", "alignment", "Quay Road"));
    assertThat(RunSection.of(build, road)).isEmpty();
    assertThat(LongSection.of(build, road)).isPresent();
    assertThat(RunSection.of(build, Optional.empty())).isEmpty();
  }
}
