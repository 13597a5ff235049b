package wellspan.core.deliver;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;

/** A receipt as one readable HTML page that needs nothing else. */
public final class ReceiptPage {
  private static final String STYLE =
      """
      body{font:15px/1.5 Manrope,system-ui,sans-serif;color:#22303A;background:#F4F0E6;margin:0}
      main{max-width:860px;margin:32px auto;background:#FBF9F3;border:1px solid #DAD3C2;padding:28px 36px}
      h1{font-size:22px;margin:0 0 4px}h2{font-size:15px;margin:26px 0 6px}
      .muted{color:#6E7A80}.verdict{display:inline-block;margin:16px 0;padding:8px 14px;color:#fff;font-weight:700}
      .pass{background:#2C7A57}.fail{background:#C8402A}
      table{border-collapse:collapse;width:100%}td,th{border-bottom:1px solid #DAD3C2;padding:5px 8px 5px 0;text-align:left;vertical-align:top}
      th{font-weight:600;color:#6E7A80}.n{font-family:"JetBrains Mono",monospace;text-align:right}.m{font-family:"JetBrains Mono",monospace;word-break:break-all}
      """;

  private ReceiptPage() {}

  public static String html(String job, Receipt r) {
    Proof p = r.proof();
    StringBuilder h = new StringBuilder(4096);
    h.append("<!DOCTYPE html>\n<html lang=\"en\"><meta charset=\"utf-8\"><title>Receipt: ")
        .append(esc(r.delivery()))
        .append("</title>\n<style>\n")
        .append(STYLE)
        .append("</style>\n<main>\n");
    h.append("<h1>")
        .append(esc(r.delivery()))
        .append("</h1>\n<div class=\"muted\">")
        .append(esc(job))
        .append(" · ")
        .append(esc(r.schema()))
        .append(" · ")
        .append(
            DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH)
                .withZone(ZoneId.systemDefault())
                .format(r.at()))
        .append("</div>\n");
    h.append(
        p.pass()
            ? "<div class=\"verdict pass\">✓ Proven: what arrived is what was sent</div>\n"
            : "<div class=\"verdict fail\">✕ Not proven: see what differs below</div>\n");
    h.append("<table>\n");
    row(h, "Items arrived", p.arrived() + " of " + p.sent());
    row(h, "Largest deviation", mm(p.maxDeviation()));
    row(h, "Triangles", p.trianglesIdentical() ? "identical" : "differ");
    row(h, "Properties equal", Integer.toString(p.propertiesEqual()));
    Position b = r.frame().basePoint();
    row(h, "System", r.frame().crs() + " " + r.frame().verticalDatum());
    row(
        h,
        "Base point",
        String.format(Locale.ROOT, "E %.3f N %.3f H %.3f", b.east(), b.north(), b.height()));
    row(
        h,
        "Site north",
        String.format(Locale.ROOT, "%.6f° clockwise from grid north", r.frame().rotationDegrees()));
    h.append("</table>\n<h2>Files</h2>\n<table>\n<tr><th>File<th>Bytes<th>SHA-256\n");
    for (Receipt.SentFile f : r.files()) {
      h.append("<tr><td>")
          .append(esc(f.name()))
          .append("<td class=\"n\">")
          .append(f.bytes())
          .append("<td class=\"m\">")
          .append(f.sha256())
          .append('\n');
    }
    h.append("</table>\n<h2>Items</h2>\n<table>\n<tr><th>Item<th>Kind<th>Compared<th>Deviation\n");
    for (Proof.ItemProof i : p.items()) {
      h.append("<tr><td>")
          .append(esc(i.name()))
          .append("<td>")
          .append(esc(i.kind()))
          .append("<td class=\"n\">")
          .append(esc(i.what()))
          .append("<td class=\"n\">")
          .append(mm(i.maxDeviation()))
          .append('\n');
    }
    h.append("</table>\n");
    if (!p.findings().isEmpty()) {
      h.append("<h2>Findings</h2>\n<table>\n");
      for (Finding f : p.findings()) {
        h.append("<tr><td>").append(f.severity().word()).append("<td>").append(esc(f.message()));
        f.place()
            .ifPresent(
                q ->
                    h.append(
                        String.format(
                            Locale.ROOT,
                            " <span class=\"m\">E %.3f N %.3f H %.3f</span>",
                            q.east(),
                            q.north(),
                            q.height())));
        h.append('\n');
      }
      h.append("</table>\n");
    }
    return h.append("</main></html>\n").toString();
  }

  private static String mm(double metres) {
    return Double.isFinite(metres)
        ? String.format(Locale.ROOT, "%.4f mm", 1000 * metres)
        : "not comparable";
  }

  private static void row(StringBuilder h, String name, String value) {
    h.append("<tr><th>").append(name).append("<td class=\"n\">").append(esc(value)).append('\n');
  }

  private static String esc(String s) {
    return s.replace("&", "&amp;")
        .replace("<", "&lt;")
        .replace(">", "&gt;")
        .replace("\"", "&quot;");
  }
}
