package wellspan.core.page;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class HtmlPageTest {
  @Test
  void wordsAreEscapedAndFiguresSetToTheRight() {
    String html =
        new HtmlPage("A <b> & \"c\"", "sub")
            .verdict(false, "✕ no")
            .heading("H")
            .paragraph("p > q")
            .table("Name", "Value")
            .row("plain", "words", "-12.5 mm", "+3", "a".repeat(64), "")
            .endTable()
            .code("PROJCS[\"x\"]")
            .html();
    assertThat(html)
        .startsWith("<!DOCTYPE html>")
        .contains("<title>A &lt;b&gt; &amp; &quot;c&quot;</title>")
        .contains("class=\"verdict fail\"")
        .contains("p &gt; q")
        .contains("<th>Name<th>Value")
        .contains("<td>words<td class=\"n\">-12.5 mm<td class=\"n\">+3")
        .contains("<td class=\"m\">aaaa")
        .contains("<pre>PROJCS[&quot;x&quot;]</pre>")
        .endsWith("</main></html>\n");
    assertThat(html)
        .as("the page needs nothing else")
        .doesNotContain("http")
        .doesNotContain("src=");
  }
}
