package wellspan.core.page;

/** Builds one HTML page in the look of the application: a title, tables, a verdict. */
public final class HtmlPage {
  private static final String STYLE =
      """
      body{font:15px/1.5 Manrope,system-ui,sans-serif;color:#22303A;background:#F4F0E6;margin:0}
      main{max-width:860px;margin:32px auto;background:#FBF9F3;border:1px solid #DAD3C2;padding:28px 36px}
      h1{font-size:22px;margin:0 0 4px}h2{font-size:15px;margin:26px 0 6px}
      .muted{color:#5C6A72}.verdict{display:inline-block;margin:16px 0;padding:8px 14px;color:#fff;font-weight:700}
      .pass{background:#2C7A57}.fail{background:#C8402A}
      table{border-collapse:collapse;width:100%}td,th{border-bottom:1px solid #DAD3C2;padding:5px 8px 5px 0;text-align:left;vertical-align:top}
      th{font-weight:600;color:#5C6A72}.r{text-align:right}.n{font-family:"JetBrains Mono",monospace;text-align:right}.m{font-family:"JetBrains Mono",monospace;word-break:break-all}
      pre{font:13px/1.4 "JetBrains Mono",monospace;white-space:pre-wrap;word-break:break-all}
      """;

  private final StringBuilder body = new StringBuilder(4096);
  private String[] heads = {};
  private final String title;

  public HtmlPage(String title, String subtitle) {
    this.title = title;
    body.append("<h1>").append(escape(title)).append("</h1>\n<div class=\"muted\">");
    body.append(escape(subtitle)).append("</div>\n");
  }

  public HtmlPage heading(String text) {
    body.append("<h2>").append(escape(text)).append("</h2>\n");
    return this;
  }

  public HtmlPage verdict(boolean good, String text) {
    body.append("<div class=\"verdict ").append(good ? "pass" : "fail").append("\">");
    body.append(escape(text)).append("</div>\n");
    return this;
  }

  public HtmlPage paragraph(String text) {
    body.append("<p>").append(escape(text)).append("</p>\n");
    return this;
  }

  public HtmlPage code(String text) {
    body.append("<pre>").append(escape(text)).append("</pre>\n");
    return this;
  }

  /**
   * Starts a table.
   *
   * @param columns titles; none for a table without a head
   */
  public HtmlPage table(String... columns) {
    body.append("<table>\n");
    heads = columns.clone();
    return this;
  }

  /** The titles stand over their columns: above figures to the right, as the first row tells. */
  private void writeHeads(String... cells) {
    if (heads.length > 0) {
      body.append("<tr>");
      for (int i = 0; i < heads.length; i++) {
        boolean overFigures = i > 0 && i <= cells.length && isFigure(cells[i - 1]);
        body.append(overFigures ? "<th class=\"r\">" : "<th>").append(escape(heads[i]));
      }
      body.append('\n');
    }
    heads = new String[0];
  }

  private static boolean isFigure(String cell) {
    return !cell.isEmpty()
        && cell.length() < 60
        && "0123456789+-\u2212".indexOf(cell.charAt(0)) >= 0;
  }

  /** A row whose first cell is words; cells that are figures are set to the right. */
  public HtmlPage row(String first, String... cells) {
    writeHeads(cells);
    body.append("<tr><td>").append(escape(first));
    for (String c : cells) {
      body.append(
          isFigure(c) ? "<td class=\"n\">" : c.length() >= 60 ? "<td class=\"m\">" : "<td>");
      body.append(escape(c));
    }
    body.append('\n');
    return this;
  }

  public HtmlPage endTable() {
    writeHeads();
    body.append("</table>\n");
    return this;
  }

  public String html() {
    return "<!DOCTYPE html>\n<html lang=\"en\"><meta charset=\"utf-8\"><title>"
        + escape(title)
        + "</title>\n<style>\n"
        + STYLE
        + "</style>\n<main>\n"
        + body
        + "</main></html>\n";
  }

  private static String escape(String s) {
    return s.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
