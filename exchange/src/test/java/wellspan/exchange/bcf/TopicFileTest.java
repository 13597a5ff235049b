package wellspan.exchange.bcf;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import java.util.function.BiFunction;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;
import wellspan.exchange.bcf.read.BcfReader;
import wellspan.exchange.bcf.read.ReadTopic;
import wellspan.exchange.bcf.write.BcfTopic;
import wellspan.exchange.bcf.write.BcfVersion;
import wellspan.exchange.file.ReadException;

/** Topics are read back before they stand under their name; what departs from BCF is refused. */
class TopicFileTest {
  private static final List<BcfTopic> TOPICS =
      List.of(topic(1, "Kerbs & edges – größer", "two <fail>\r\nin a row"), topic(2, "Pipe", " "));

  @TempDir Path dir;

  private static BcfTopic topic(int n, String title, String description) {
    return new BcfTopic(
        "Finding",
        UUID.nameUUIDFromBytes(new byte[] {(byte) n}),
        title,
        description,
        n == 1 ? List.of("0CLFusoFzTIfQabrxvD$Hu", "2BiMNrOMjHbOqhty6lkSl5") : List.of(),
        new BcfTopic.Viewpoint(412_000.125, -2e-7, 30, 20, 4 / 3.0),
        new byte[] {1, 2, 3});
  }

  private Path written(BcfVersion version) throws IOException {
    Path file = dir.resolve("found.bcf");
    TopicFile.write(file, version, "a.ifc", "", TOPICS, Instant.EPOCH);
    return file;
  }

  @ParameterizedTest
  @EnumSource
  void whatWasWrittenIsReadBack(BcfVersion version) throws IOException {
    List<ReadTopic> read = BcfReader.read(written(version));
    assertThat(read).hasSize(2);
    ReadTopic first = read.getFirst();
    assertThat(first.title()).isEqualTo("Kerbs & edges – größer");
    assertThat(first.description()).isEqualToNormalizingNewlines("two <fail>\nin a row");
    assertThat(first.objects()).isEqualTo(TOPICS.getFirst().objects());
    assertThat(first.cameras().getFirst()).containsExactly(412_000.125, -2e-7, 30);
    assertThat(first.pictures()).isEqualTo(1);
    assertThat(read.getLast().description()).isEmpty();
  }

  /** Writes the file anew with some of its texts changed. */
  private Path changed(Path file, BiFunction<String, String, String> change) throws IOException {
    Path out = dir.resolve("changed.bcf");
    try (ZipFile zip = new ZipFile(file.toFile());
        ZipOutputStream to = new ZipOutputStream(Files.newOutputStream(out))) {
      for (ZipEntry e : zip.stream().toList()) {
        byte[] bytes = zip.getInputStream(e).readAllBytes();
        if (!e.getName().endsWith(".png")) {
          String text = change.apply(e.getName(), new String(bytes, StandardCharsets.UTF_8));
          bytes = text == null ? null : text.getBytes(StandardCharsets.UTF_8);
        }
        if (bytes != null) {
          to.putNextEntry(new ZipEntry(e.getName()));
          to.write(bytes);
        }
      }
    }
    return out;
  }

  @ParameterizedTest
  @CsvSource(
      delimiter = '|',
      value = {
        "VersionId=\"3.0\"|VersionId=\"9.0\"|it is BCF 9.0",
        "(<Title>.*?</Title>)(<CreationDate>.*?</CreationDate>)|$2$1|<Title> stands too late in <Topic>",
        "<Title>.*?</Title>|<Title> </Title>|the topic has no Title",
        "TopicStatus=\"Open\"|TopicStatus=\"\"|the topic has no TopicStatus",
        "<Description>|<Remark>x</Remark><Description>|<Remark> does not belong in <Topic>",
        "<X>4.*?</X>|<X>east</X>|which is no number",
        "VisualizationInfo Guid=\"....|VisualizationInfo Guid=\"0000|another viewpoint",
        "viewpoint.bcfv</Viewpoint>|gone.bcfv</Viewpoint>|gone.bcfv is not there",
        "snapshot.png</Snapshot>|gone.png</Snapshot>|gone.png is not there",
        "</Topic>|</Tropic>|no well-formed XML"
      })
  void whatOthersWouldRefuseIsRefused(String from, String to, String why) throws IOException {
    Path broken = changed(written(BcfVersion.V3_0), (name, text) -> text.replaceFirst(from, to));
    assertThatThrownBy(() -> BcfReader.read(broken))
        .isInstanceOf(ReadException.class)
        .hasMessageStartingWith("changed.bcf: ")
        .hasMessageContaining(why);
  }

  @Test
  void anEntryThatMustBeThereIsMissed() throws IOException {
    for (String gone : List.of("bcf.version", "extensions.xml")) {
      Path broken =
          changed(written(BcfVersion.V3_0), (name, text) -> name.equals(gone) ? null : text);
      assertThatThrownBy(() -> BcfReader.read(broken))
          .isInstanceOf(ReadException.class)
          .hasMessageContaining(gone);
    }
  }

  @Test
  void aTopicThatArrivesOtherwiseIsTold() throws IOException {
    Path other = changed(written(BcfVersion.V2_1), (name, text) -> text.replace("$Hu\"", "$Hv\""));
    List<ReadTopic> read = BcfReader.read(other);
    assertThatThrownBy(() -> TopicFile.compare(TOPICS, read)).hasMessageContaining("Kerbs & edges");
    assertThatThrownBy(() -> TopicFile.compare(TOPICS, read.subList(1, 2)))
        .hasMessage("2 topics were written and 1 read back.");
  }

  @Test
  void aFailedRunLeavesTheLastFile() throws IOException {
    Path file = written(BcfVersion.V3_0);
    byte[] before = Files.readAllBytes(file);
    BcfTopic twice = TOPICS.getFirst();
    assertThatThrownBy(
            () ->
                TopicFile.write(
                    file, BcfVersion.V3_0, "a.ifc", "", List.of(twice, twice), Instant.EPOCH))
        .isInstanceOf(IOException.class);
    assertThat(file).hasBinaryContent(before);
    assertThat(dir.toFile().list()).containsExactly("found.bcf");
  }
}
