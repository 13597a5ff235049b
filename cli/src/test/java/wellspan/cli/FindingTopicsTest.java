package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** The findings of a job as topics that other programs open. */
class FindingTopicsTest extends CommandFixture {
  private static final Path DEMO = Path.of("..", "demo", "job");

  private static List<String> markups(Path bcf) throws Exception {
    List<String> out = new ArrayList<>();
    try (ZipFile zip = new ZipFile(bcf.toFile())) {
      for (ZipEntry e : zip.stream().toList()) {
        if (e.getName().endsWith("markup.bcf")) {
          out.add(new String(zip.getInputStream(e).readAllBytes(), StandardCharsets.UTF_8));
        }
        if (e.getName().endsWith("snapshot.png")) {
          assertThat(
                  ImageIO.read(new ByteArrayInputStream(zip.getInputStream(e).readAllBytes()))
                      .getWidth())
              .isEqualTo(800);
        }
      }
    }
    return out;
  }

  @ParameterizedTest
  @ValueSource(strings = {"3.0", "2.1"})
  void eachFindingIsATopic(String version) throws Exception {
    Path bcf = dir.resolve("found.bcf");
    run("check", DEMO.toString(), "--json", "--bcf", bcf.toString(), "--bcf-version", version);
    List<String> markups = markups(bcf);
    assertThat(markups).hasSize(json().size()).hasSizeGreaterThan(5);
    assertThat(markups).allSatisfy(m -> assertThat(m).contains("TopicType=\"Finding\""));
    String message = json().get(0).get("message").asText();
    assertThat(markups.stream().map(m -> m.replace("&quot;", "\"").replace("&amp;", "&")))
        .anySatisfy(m -> assertThat(m).contains(message.substring(0, 40)));
  }

  @Test
  void theSameFindingsHaveTheSameTopics() throws Exception {
    Path one = dir.resolve("one.bcf");
    Path two = dir.resolve("two.bcf");
    run("check", DEMO.toString(), "--bcf", one.toString());
    run("check", DEMO.toString(), "--bcf", two.toString());
    try (ZipFile a = new ZipFile(one.toFile());
        ZipFile b = new ZipFile(two.toFile())) {
      assertThat(a.stream().map(ZipEntry::getName).toList())
          .isEqualTo(b.stream().map(ZipEntry::getName).toList());
    }
  }

  @Test
  void aPageIsForRequirementsOnly() throws Exception {
    Path html = dir.resolve("x.html");
    assertThat(run("check", DEMO.toString(), "--html", html.toString())).isEqualTo(2);
    assertThat(err.toString()).contains("--html goes with --ids");
    assertThat(Files.exists(html)).isFalse();
  }
}
