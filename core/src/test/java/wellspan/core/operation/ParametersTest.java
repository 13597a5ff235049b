package wellspan.core.operation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import wellspan.core.progress.Progress;

/** Numbers of operations against the ranges that are declared for them. */
class ParametersTest {
  @Declared(id = "tried", title = "Tried", about = "For tests.")
  public record Tried(
      @Parameter(label = "any") double any,
      @Parameter(label = "least", least = 0.5) double least,
      @Parameter(label = "most", most = 10) double most,
      @Parameter(label = "both", least = -75, most = 75) double both)
      implements Recipe {
    @Override
    public String name() {
      return "tried";
    }

    @Override
    public Made make(Inputs inputs, Progress progress) {
      return new Made(List.of(), "", List.of());
    }
  }

  private static void check(double any, double least, double most, double both) {
    Parameters.check(new Tried(any, least, most, both));
  }

  @Test
  void whatLiesWithinIsTaken() {
    assertThatCode(() -> check(-1e9, 0.5, 10, -75)).doesNotThrowAnyException();
    assertThatCode(() -> check(1e9, 1e9, -1e9, 75)).doesNotThrowAnyException();
  }

  @Test
  void whatLiesBesideIsASentenceWithTheRange() {
    assertThatThrownBy(() -> check(0, 0.49, 0, 0))
        .hasMessage("\u201cleast\u201d is 0.49, and must be 0.5 or more.");
    assertThatThrownBy(() -> check(0, 1, 10.1, 0))
        .hasMessage("\u201cmost\u201d is 10.1, and must be 10 or less.");
    assertThatThrownBy(() -> check(0, 1, 0, 80))
        .hasMessage("\u201cboth\u201d is 80.0, and must be -75 to 75.");
  }

  @ParameterizedTest
  @ValueSource(doubles = {Double.NaN, Double.POSITIVE_INFINITY, Double.NEGATIVE_INFINITY})
  void whatIsNoNumberIsRefusedEverywhere(double bad) {
    assertThatThrownBy(() -> check(bad, 1, 0, 0)).hasMessageContaining("must be a number");
    assertThatThrownBy(() -> check(0, bad, 0, 0)).hasMessageContaining("0.5 or more");
    assertThatThrownBy(() -> check(0, 1, bad, 0)).hasMessageContaining("10 or less");
    assertThatThrownBy(() -> check(0, 1, 0, bad)).hasMessageContaining("-75 to 75");
  }

  @Test
  void aRangeIsToldInWords() {
    assertThat(Parameters.of(Tried.class).stream().map(p -> Parameters.range(p.declared())))
        .containsExactly("a number", "0.5 or more", "10 or less", "-75 to 75");
  }
}
