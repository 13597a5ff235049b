package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.exchange.bcf.TopicFile;
import wellspan.exchange.bcf.write.BcfVersion;

/** Keeps what was found as topics that others can open. */
public record FindingTopicsFile(Session session) {

  /** Writes a topic for each finding, in the background. */
  public void write(Path file, List<Finding> findings) {
    Build build = session.build();
    session
        .work()
        .startBeside(
            "Writing " + findings.size() + " topics",
            p -> {
              try {
                TopicFile.write(
                    file, BcfVersion.V3_0, build, findings, Clock.systemUTC().instant());
              } catch (IOException e) {
                throw new IllegalArgumentException(
                    "The topics could not be written: " + e.getMessage(), e);
              }
              return file;
            },
            f -> session.say(findings.size() + " topics are in " + f + "."),
            session::complain);
  }
}
