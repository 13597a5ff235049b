package wellspan.exchange.file;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** No two things of one kind have one name. */
class UniqueNamesTest {
  @Test
  void aNumberThatAnotherThingHasAlreadyIsPassedOver() {
    UniqueNames names = new UniqueNames();
    assertThat(
            List.of("A", "A", "A (2)", "A", "A (3)", "B", "A").stream().map(n -> names.of("k", n)))
        .containsExactly("A", "A (2)", "A (2) (2)", "A (3)", "A (3) (2)", "B", "A (4)");
  }

  @Test
  void kindsHaveNamesOfTheirOwn() {
    UniqueNames names = new UniqueNames();
    assertThat(names.of("body", "A")).isEqualTo("A");
    assertThat(names.of("string", "A")).isEqualTo("A");
    assertThat(names.of("body", "A")).isEqualTo("A (2)");
  }

  @Test
  void lettersOfEitherCaseAreOneWhereTheReceiverSaysSo() {
    UniqueNames names = UniqueNames.ignoringCase("_", "");
    assertThat(
            List.of("Kerb", "KERB", "kerb_2", "Straße", "STRASSE").stream()
                .map(n -> names.of("k", n)))
        .containsExactly("Kerb", "KERB_2", "kerb_2_2", "Straße", "STRASSE");
  }

  /** A walk over all earlier ones for each would not end for hours. */
  @Test
  void hundredsOfThousandsMayBeCalledTheSame() {
    UniqueNames names = new UniqueNames();
    int many = 300_000;
    Set<String> all = new HashSet<>();
    IntStream.range(0, many).forEach(i -> all.add(names.of("body", "Wall")));
    assertThat(all).hasSize(many).contains("Wall", "Wall (" + many + ")");
  }
}
