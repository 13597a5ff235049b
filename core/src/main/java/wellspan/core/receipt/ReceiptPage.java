package wellspan.core.receipt;

import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.Locale;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Position;
import wellspan.core.page.HtmlPage;
import wellspan.core.place.ControlTally;
import wellspan.core.proof.Proof;

/** A receipt as one readable HTML page that needs nothing else. */
public final class ReceiptPage {
  private ReceiptPage() {}

  public static String html(String job, Receipt r) {
    Proof p = r.proof();
    String at =
        DateTimeFormatter.ofPattern("d MMM yyyy HH:mm", Locale.ENGLISH)
            .withZone(ZoneId.systemDefault())
            .format(r.at());
    HtmlPage page = new HtmlPage(r.delivery(), job + " · " + r.schema() + " · " + at);
    page.verdict(
        p.pass(),
        p.pass()
            ? "✓ Proven: what arrived is what was sent"
            : "✕ Not proven: see what differs below");
    Position b = r.frame().basePoint();
    page.table()
        .row("Items arrived", p.arrived() + " of " + p.sent())
        .row("Largest deviation", mm(p.maxDeviation()))
        .row("Triangles", p.triangles())
        .row("Properties equal", Integer.toString(p.propertiesEqual()))
        .row("System", r.frame().crs() + " " + r.frame().verticalDatum())
        .row(
            "Zero of the file",
            String.format(Locale.ROOT, "E %.3f N %.3f H %.3f", b.east(), b.north(), b.level()))
        .row(
            "Site north, clockwise from grid north",
            String.format(Locale.ROOT, "%.6f°", r.frame().rotationDegrees()))
        .row(
            "Horizontal scale, local over grid",
            String.format(Locale.ROOT, "%.9f", r.frame().scale()))
        .endTable();
    page.heading("Files").table("File", "Bytes", "SHA-256");
    r.files().forEach(f -> page.row(f.name(), Long.toString(f.bytes()), f.sha256()));
    page.endTable().heading("Items").table("Item", "Kind", "Compared", "Deviation");
    p.items().forEach(i -> page.row(i.name(), i.kind(), i.what(), mm(i.maxDeviation())));
    page.endTable();
    tally(page, p);
    if (!p.notCompared().isEmpty()) {
      page.heading("Not compared").table();
      p.notCompared().forEach(c -> page.row(c, ""));
      page.endTable();
    }
    if (!p.findings().isEmpty()) {
      page.heading("Findings").table();
      for (Finding f : p.findings()) {
        String place =
            f.place()
                .map(
                    q ->
                        String.format(
                            Locale.ROOT, " E %.3f N %.3f H %.3f", q.east(), q.north(), q.level()))
                .orElse("");
        page.row(f.severity().word(), f.message() + place);
      }
      page.endTable();
    }
    return page.html();
  }

  private static void tally(HtmlPage page, Proof p) {
    if (p.controlTally().isEmpty()) {
      return;
    }
    page.heading("Control points, found minus known")
        .table("Point", "ΔE", "ΔN", "ΔH", "in space", "found by");
    for (ControlTally.Line l : p.controlTally()) {
      page.row(
          l.name(),
          mm(l.east()),
          mm(l.north()),
          Double.isNaN(l.height()) ? "" : mm(l.height()),
          mm(l.space()),
          l.by().title());
    }
    page.endTable();
  }

  private static String mm(double metres) {
    if (!Double.isFinite(metres)) {
      return "not comparable";
    }
    double millimetres = 1000 * metres;
    return String.format(Locale.ROOT, "%.4f mm", Math.abs(millimetres) < 5e-5 ? 0.0 : millimetres);
  }
}
