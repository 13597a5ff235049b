package wellspan.app.shell;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class FindEverythingTest {
  @Test
  void aNameComesBeforeWhatOnlyTellsOfIt() {
    List<String> best =
        Stream.of("Bridge", "Shore Bridge deck", "Decking", "Deck")
            .sorted(Comparator.comparingInt(n -> FindEverything.distance(n, " deck ")))
            .toList();
    assertThat(best).containsExactly("Deck", "Decking", "Shore Bridge deck", "Bridge");
  }
}
