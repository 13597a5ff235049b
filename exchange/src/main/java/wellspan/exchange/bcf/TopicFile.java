package wellspan.exchange.bcf;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.job.AtomicFile;
import wellspan.exchange.bcf.read.BcfReader;
import wellspan.exchange.bcf.read.ReadTopic;
import wellspan.exchange.bcf.write.BcfTopic;
import wellspan.exchange.bcf.write.BcfVersion;
import wellspan.exchange.bcf.write.BcfWriter;
import wellspan.exchange.bcf.write.FindingTopics;

/** Topics in a file that others open; it stands under its name only once it was read back whole. */
public final class TopicFile {
  /** Up to which a camera stands where it was put, metres. */
  private static final double CAMERA = 1e-6;

  private TopicFile() {}

  /**
   * Writes topics, reads them back and compares; one that is there is replaced.
   *
   * @param model name of the model's file
   * @param project GlobalId of the project in it, empty if there is none
   * @throws IOException if the file cannot be written, or what was read back differs; then what was
   *     there stays
   */
  public static void write(
      Path file,
      BcfVersion version,
      String model,
      String project,
      List<BcfTopic> topics,
      Instant at)
      throws IOException {
    Path place = file.toAbsolutePath();
    Path fresh = AtomicFile.fresh(place);
    try {
      BcfWriter.write(fresh, version, model, project, topics, at);
      compare(topics, BcfReader.read(fresh));
      AtomicFile.move(fresh, place);
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  /** The same with a topic for each finding of a job, about its first delivery's model. */
  public static void write(
      Path file, BcfVersion version, Build build, List<Finding> findings, Instant at)
      throws IOException {
    write(
        file,
        version,
        FindingTopics.model(build.job()),
        FindingTopics.project(build.job()),
        FindingTopics.of(build, findings),
        at);
  }

  /**
   * @throws IOException with the first topic that did not arrive as it was meant
   */
  static void compare(List<BcfTopic> sent, List<ReadTopic> arrived) throws IOException {
    if (sent.size() != arrived.size()) {
      throw new IOException(
          sent.size() + " topics were written and " + arrived.size() + " read back.");
    }
    for (int i = 0; i < sent.size(); i++) {
      BcfTopic s = sent.get(i);
      ReadTopic a = arrived.get(i);
      boolean same =
          a.guid().equals(s.guid().toString())
              && a.type().equals(s.type())
              && a.title().equals(s.title())
              && lines(a.description()).equals(lines(s.description()))
              && a.objects().equals(s.objects())
              && a.pictures() == 1
              && a.cameras().size() == 1
              && near(a.cameras().getFirst(), s.viewpoint());
      if (!same) {
        throw new IOException("The topic \"" + s.title() + "\" was read back otherwise.");
      }
    }
  }

  /** XML knows one sort of line end only. */
  private static String lines(String text) {
    return text.replaceAll("\\r\\n?", "\n").strip();
  }

  private static boolean near(double[] camera, BcfTopic.Viewpoint v) {
    return Math.abs(camera[0] - v.x()) <= CAMERA
        && Math.abs(camera[1] - v.y()) <= CAMERA
        && Math.abs(camera[2] - v.z()) <= CAMERA;
  }
}
