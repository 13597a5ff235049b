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

  @Test
  void anItemIsMeantRatherThanAnActionWhereBothOnlyHoldTheWord() {
    List<String> best =
        Stream.of(
                found("action", "Deliver Ground to design"),
                found("item", "Design ground"),
                found("action", "Ground or not"))
            .sorted(FindEverything.bestFirst("ground"))
            .map(Findable::title)
            .toList();
    assertThat(best).containsExactly("Ground or not", "Design ground", "Deliver Ground to design");
  }

  private static Findable found(String group, String title) {
    return new Findable(group, title, "", "", () -> {});
  }

  @Test
  void aWordOfTheTradeGoesBeforeSentencesThatHoldIt() {
    Findable help = new Findable("help", "things that thin walls lack", "", "check", () -> {});
    Findable inside = new Findable("action", "Show everything", "F", "fit", () -> {});
    Findable meant = new Findable("action", "Simplify", "", "thin decimate", () -> {});
    Findable name = new Findable("item", "Kerb, thin", "", "", () -> {});
    assertThat(
            Stream.of(help, inside, meant, name)
                .sorted(FindEverything.bestFirst("thin"))
                .map(Findable::title))
        .containsExactly(
            "Kerb, thin", "Simplify", "things that thin walls lack", "Show everything");
  }
}
