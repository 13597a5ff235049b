package wellspan.core.requirement;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Expressions of XML Schema part 2, appendix F. */
class XsdPatternTest {
  @ParameterizedTest
  @CsvSource(
      delimiter = ';',
      quoteCharacter = '`',
      value = {
        // an expression | a text that it is | a text that it is not
        "Kerb ; Kerb ; Kerbs",
        "Kerb.* ; Kerbstone ; A Kerb",
        "K[ei]rb ; Kirb ; Karb",
        "K[^ei]rb ; Karb ; Kerb",
        "[A-Z]{2}-\\d{3} ; BN-042 ; B-042",
        "[A-Z]{2,} ; ABC ; A",
        "[A-Z]{1,2} ; AB ; ABC",
        "a{0} ; `` ; a",
        "a|bc|d ; bc ; ab",
        "(a|b)c ; bc ; c",
        "\\i\\c* ; Wall_1 ; 1Wall",
        "\\I+ ; 123 ; a12",
        "\\w+ ; Grüße ; a b",
        "\\s ; ` ` ; x",
        "\\S+ ; abc ; a b",
        "\\D ; x ; 5",
        "\\p{Lu}\\p{Ll}+ ; Ärger ; ärger",
        "\\p{L}+ ; Straße ; Str4",
        "\\P{L}+ ; 4.2 ; 4a",
        "[a-z-[aeiou]]+ ; xyz ; xay",
        "[\\d.]+ ; 1.2.3 ; 1,2",
        "\\. ; . ; x",
        "a\\-b ; a-b ; a+b",
        "^a$ ; ^a$ ; a",
        "a.b ; axb ; ab",
        "[\\^a] ; ^ ; b",
        "[a\\]] ; ] ; b",
        "x? ; `` ; xx",
        "\\p{IsBasicLatin}+ ; abc ; äb",
        "\\\\ ; \\ ; /"
      })
  void standsForTheWholeText(String pattern, String is, String isNot) {
    XsdPattern p = XsdPattern.of(pattern);
    assertThat(p.matches(is)).as("%s is %s", is, pattern).isTrue();
    assertThat(p.matches(isNot)).as("%s is not %s", isNot, pattern).isFalse();
  }

  @Test
  void theDotIsNoNewLine() {
    assertThat(XsdPattern.of("a.b").matches("a\nb")).isFalse();
    assertThat(XsdPattern.of("a.b").matches("a\rb")).isFalse();
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "(",
        "[a",
        "a{2,1}",
        "*a",
        "(?i)a",
        "(?=a)",
        "a**",
        "[z-a]",
        "\\p{Nonsense}",
        "\\1"
      })
  void whatIsNoSuchExpressionIsOneSentence(String pattern) {
    assertThatThrownBy(() -> XsdPattern.of(pattern))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("pattern")
        .hasMessageContaining(pattern);
  }
}
