package wellspan.core.deliver;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigInteger;
import java.util.UUID;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class GlobalIdsTest {
  private static final String ALPHABET =
      "0123456789ABCDEFGHIJKLMNOPQRSTUVWXYZabcdefghijklmnopqrstuvwxyz_$";

  @Test
  void extremesAreWrittenAsTheStandardSays() {
    assertThat(GlobalIds.compress(new UUID(0, 0))).isEqualTo("0000000000000000000000");
    assertThat(GlobalIds.compress(new UUID(-1, -1))).isEqualTo("3$$$$$$$$$$$$$$$$$$$$$");
  }

  @Property
  void everyIdReadsBackAsTheSame128Bits(@ForAll long high, @ForAll long low) {
    String s = GlobalIds.compress(new UUID(high, low));
    assertThat(s).hasSize(22).matches("[0-3][0-9A-Za-z_$]{21}");
    BigInteger n = BigInteger.ZERO;
    for (int i = 0; i < s.length(); i++) {
      n = n.shiftLeft(6).or(BigInteger.valueOf(ALPHABET.indexOf(s.charAt(i))));
    }
    assertThat(n.shiftRight(64).longValue()).isEqualTo(high);
    assertThat(n.longValue()).isEqualTo(low);
  }

  /** The example of RFC 9562, appendix A.4: www.example.com in the name space of domain names. */
  @Test
  void namesBecomeTheUuidsOfTheStandard() {
    UUID dns = UUID.fromString("6ba7b810-9dad-11d1-80b4-00c04fd430c8");
    assertThat(GlobalIds.nameBased(dns, "www.example.com"))
        .isEqualTo(UUID.fromString("2ed6657d-e927-568b-95e1-2665a8aea6a2"));
  }

  @Test
  void theSameThingKeepsItsIdAndOthersHaveTheirOwn() {
    GlobalIds ids = new GlobalIds(UUID.fromString("6f1f3b52-6c0e-5d5e-9a39-0d4c6d6f2026"));
    assertThat(ids.of("a", "product")).isEqualTo(new GlobalIds(ids.job()).of("a", "product"));
    assertThat(ids.of("a", "product"))
        .isNotEqualTo(ids.of("a", "set"))
        .isNotEqualTo(ids.of("b", "product"));
    assertThat(ids.of("quay-road/alignment/Quay Road", "product"))
        .isEqualTo("3zgO4hEU9P6OurGCWcAVLR");
  }
}
