package wellspan.app.session;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import wellspan.core.job.Job;
import wellspan.core.job.Source;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;

/** What was read in this session, by file and by how it was read. Window's thread. */
final class ReadSources {
  private record ReadAs(String storedAs, ReadingRule rule) {
    static ReadAs current(Source s) {
      return new ReadAs(s.current().storedAs(), s.reading());
    }
  }

  private final Map<ReadAs, Received> read = new HashMap<>();

  /** What the current revision of a source holds, if it was read in this session. */
  Optional<Received> known(Source s) {
    return Optional.ofNullable(read.get(ReadAs.current(s)));
  }

  void keep(Source s, Received received) {
    read.put(ReadAs.current(s), received);
  }

  /** What is known of a job's sources, by the name of the source. */
  Map<String, Received> of(Job job) {
    Map<String, Received> out = new LinkedHashMap<>();
    for (Source s : job.sources()) {
      known(s).ifPresent(r -> out.put(s.name(), r));
    }
    return out;
  }

  /** Whether nothing of a job is still to be read. */
  boolean holdsAllOf(Job job) {
    return job.sources().stream().allMatch(s -> known(s).isPresent());
  }
}
