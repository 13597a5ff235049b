package wellspan.cli;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.MatchResult;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** The command that starts Wellspan out of its folder. */
class LauncherTest {
  private static final Path HOME = Path.of("").toAbsolutePath().getParent();

  /**
   * The run that the ahead-of-time cache is made of reads files of the demo; were one of them not
   * there it would end at once, and every later start would load what it did not come to.
   */
  @Test
  void theFilesThatItIsTrainedWithAreThere() throws IOException {
    Path home = Files.exists(HOME.resolve("wellspan")) ? HOME : HOME.getParent();
    List<String> named =
        Pattern.compile("\\$home/(demo/[^\"\\s]+)")
            .matcher(Files.readString(home.resolve("wellspan")))
            .results()
            .map((MatchResult r) -> r.group(1))
            .toList();
    assertThat(named).hasSizeGreaterThanOrEqualTo(2);
    assertThat(named).allSatisfy(n -> assertThat(home.resolve(n)).exists());
  }
}
