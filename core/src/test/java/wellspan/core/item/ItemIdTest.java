package wellspan.core.item;

import static org.assertj.core.api.Assertions.assertThat;

import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;

class ItemIdTest {
  @Test
  void readsAsSourceKindAndName() {
    assertThat(ItemId.of("quay-road", "terrain surface", "Design/ground"))
        .hasToString("quay-road/terrain-surface/Design/ground");
    assertThat(ItemId.of("a/string/b", "string", "c"))
        .isNotEqualTo(ItemId.of("a", "string", "b/string/c"));
    assertThat(ItemId.of("a%2F", "string", "b")).isNotEqualTo(ItemId.of("a%252F", "string", "b"));
  }

  @Property
  void twoOriginsNeverShareAnIdentity(
      @ForAll("names") String a,
      @ForAll("names") String b,
      @ForAll("names") String c,
      @ForAll("names") String d) {
    assertThat(ItemId.of(a, "string", b).equals(ItemId.of(c, "string", d)))
        .isEqualTo(a.equals(c) && b.equals(d));
  }

  @Provide
  Arbitrary<String> names() {
    return Arbitraries.of("a", "/", "string", "%", "2F", "25")
        .list()
        .ofMaxSize(5)
        .map(l -> String.join("", l));
  }
}
