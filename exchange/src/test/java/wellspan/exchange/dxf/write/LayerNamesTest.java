package wellspan.exchange.dxf.write;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringWriter;
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
    GroupText t = new GroupText(out, true, false, 4);
    t.object("POINT").put(8, "Øst").point(10, 1.5, -2, 0).put(70, 8).end();
    assertThat(out.toString())
        .isEqualTo("  0\nPOINT\n  5\n10\n  8\n\\U+00D8st\n 10\n1.5\n 20\n-2.0\n 30\n0.0\n 70\n8\n");
    StringWriter modern = new StringWriter();
    GroupText u = new GroupText(modern, true, true, 4);
    u.put(8, "Øst").end();
    assertThat(modern.toString()).isEqualTo("  8\nØst\n");
  }
}
