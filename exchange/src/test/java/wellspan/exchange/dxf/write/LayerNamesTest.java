package wellspan.exchange.dxf.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import wellspan.core.deliver.DxfRelease;

class LayerNamesTest {
  @Property
  void oldReleasesGetPlainShortNames(@ForAll String name) {
    assertThat(LayerNames.of(DxfRelease.R12).apply(name)).matches("[A-Z0-9$_-]{1,28}");
  }

  @Property
  void laterReleasesKeepWhatTheyMay(@ForAll String name) {
    String layer = LayerNames.of(DxfRelease.R2018).apply(name);
    assertThat(layer)
        .isNotEmpty()
        .hasSizeLessThanOrEqualTo(200)
        .doesNotContainPattern("[<>/\":;?*|=`,]");
  }

  @Test
  void lettersOfOtherAlphabetsAreWrittenPlainly() {
    assertThat(LayerNames.of(DxfRelease.R12).apply("Straße Øst")).isEqualTo("STRASSE_OST");
    assertThat(LayerNames.of(DxfRelease.R2000).apply("Straße Øst")).isEqualTo("Straße Øst");
  }

  @Test
  void groupsAreCodeAndValueAndEscapedWhereTheyMustBe() throws IOException {
    StringWriter out = new StringWriter();
    GroupText t = new GroupText(out, true, Charset.forName("windows-1252").newEncoder(), 4);
    t.object("POINT", "1F");
    t.words(8, "Øst≈").point(10, 1.5, -2, 0).put(70, 8).end();
    assertThat(out.toString())
        .isEqualTo(
            "  0\nPOINT\n  5\n20\n330\n1F\n  8\nØst\\U+2248\n 10\n1.5\n 20\n-2.0\n 30\n0.0\n 70\n8\n");
    StringWriter modern = new StringWriter();
    GroupText u = new GroupText(modern, true, StandardCharsets.UTF_8.newEncoder(), 4);
    u.words(8, "Øst").end();
    assertThat(modern.toString()).isEqualTo("  8\nØst\n");
  }

  /** What is written is what is read, whatever marks stand in it. */
  @Property(tries = 500)
  void wordsComeBackLetterByLetter(
      @ForAll
          @net.jqwik.api.constraints.CharRange(from = ' ', to = '~')
          @net.jqwik.api.constraints.Chars({'%', '^', '\\', 'ä', '≈', '€', 'U', '+', '0', 'd', 'J'})
          String words)
      throws IOException {
    StringWriter out = new StringWriter();
    GroupText t = new GroupText(out, true, Charset.forName("windows-1252").newEncoder(), 4);
    t.words(1, words).end();
    String written = out.toString().split("\n", -1)[1];
    assertThat(wellspan.exchange.dxf.read.DxfReader.words(written)).isEqualTo(words.strip());
  }
}
