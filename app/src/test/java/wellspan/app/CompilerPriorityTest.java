package wellspan.app;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assumptions.assumeThat;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class CompilerPriorityTest {
  private static final Path THREADS = Path.of("/proc/self/task");

  /** Steps down of each thread with such a name, as the system says: the 19th figure of "stat". */
  private static List<Integer> stepsDown(String name) throws IOException {
    List<Integer> out = new ArrayList<>();
    try (DirectoryStream<Path> all = Files.newDirectoryStream(THREADS)) {
      for (Path t : all) {
        String stat = Files.readString(t.resolve("stat"));
        if (stat.contains("(" + name)) {
          String[] afterName = stat.substring(stat.lastIndexOf(')') + 2).split(" ");
          out.add(Integer.parseInt(afterName[16]));
        }
      }
    }
    return out;
  }

  @Test
  void theCompilerThatOptimizesGivesWayAndNobodyElse() throws Exception {
    assumeThat(Files.isDirectory(THREADS)).isTrue();
    assumeThat(Runtime.getRuntime().availableProcessors()).isLessThan(4);
    assumeThat(stepsDown("C2 Compiler")).isNotEmpty();
    CompilerPriority.lower();
    assertThat(stepsDown("C2 Compiler")).allMatch(steps -> steps >= 10);
    assertThat(stepsDown("C1 Compiler")).containsOnly(0);
    assertThat(stepsDown("main")).allMatch(steps -> steps == 0);
  }
}
