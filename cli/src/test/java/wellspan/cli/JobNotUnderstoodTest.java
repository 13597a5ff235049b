package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.ObjectMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;

/**
 * A job of a later Wellspan, with a step that this one does not know: whatever is made of it would
 * lack the step, so nothing is.
 */
class JobNotUnderstoodTest extends CommandFixture {
  private Path job() throws IOException {
    Path folder = dir.resolve("job");
    JobStore store = new JobStore(folder);
    store.create(Job.named("Later"));
    ObjectMapper json = new ObjectMapper();
    ObjectNode n = (ObjectNode) json.readTree(store.jobFile().toFile());
    n.putObject("steps").putArray("p/points/p").addObject().put("step", "smooth out").put("by", 2);
    Files.writeString(store.jobFile(), n.toPrettyString());
    return folder;
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "check JOB",
        "check JOB --bcf JOB/found.bcf",
        "check JOB --mend terrain.spike",
        "deliver JOB",
        "describe JOB",
        "describe JOB --table JOB/table.csv",
        "shape JOB",
        "shape JOB --unmake Ground",
        "frame JOB",
        "tally JOB JOB/job.json",
        "place JOB source --shared",
        "compare JOB a b",
        "masses JOB a b c",
        "attribute JOB JOB/facts.csv"
      })
  void nothingIsMadeOfIt(String call) throws IOException {
    Path job = job();
    List<Path> before = files(job);
    String text = Files.readString(job.resolve("job.json"));
    int code = run(call.replace("JOB", job.toString()).split(" "));
    assertThat(code).as(err.toString()).isEqualTo(2);
    assertThat(err.toString()).contains("job.json", "smooth out");
    assertThat(out.toString()).isEmpty();
    assertThat(job.resolve("job.json")).hasContent(text);
    assertThat(files(job)).isEqualTo(before);
  }

  private static List<Path> files(Path folder) throws IOException {
    try (Stream<Path> all = Files.walk(folder)) {
      return all.filter(f -> !f.endsWith("job.lock")).sorted().toList(); // the lock stays
    }
  }
}
