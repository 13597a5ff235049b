package wellspan.core.frame;

import java.util.Locale;
import wellspan.core.geom.Position;
import wellspan.core.page.HtmlPage;

/** Frame sheets as one readable HTML page that needs nothing else. */
public final class FrameSheetPage {
  private FrameSheetPage() {}

  public static String html(FrameSheet s) {
    Frame f = s.frame();
    HtmlPage page = new HtmlPage("Frame sheet", s.job());
    page.paragraph(
        "Set up your project with these values, then compute the check points. If they agree to the millimetre, both offices work in the same place.");
    page.table();
    page.row(
        "Reference system",
        f.crs().isEmpty()
            ? "not chosen"
            : f.crs() + s.system().map(c -> ", " + c.name()).orElse(""));
    page.row("Heights", f.verticalDatum().isEmpty() ? "not named" : f.verticalDatum());
    if (Double.isFinite(f.ellipsoidOffset())) {
      page.row("Ellipsoidal height minus level", metres(f.ellipsoidOffset()));
    }
    page.row("Base point E", metres(f.basePoint().east()));
    page.row("Base point N", metres(f.basePoint().north()));
    page.row("Base point H", metres(f.basePoint().level()));
    page.row("Site north, clockwise from grid north", degrees(f.rotationDegrees()));
    page.row("Horizontal scale, local over grid", String.format(Locale.ROOT, "%.9f", f.scale()));
    page.row("Unit of local coordinates", f.unit().title());
    s.north()
        .ifPresent(
            g -> {
              page.row("Grid north from true north, clockwise", degrees(g.convergenceDegrees()));
              page.row("Point scale factor", String.format(Locale.ROOT, "%.9f", g.scaleFactor()));
            });
    if (f.isLocked()) {
      page.row("Locked", f.lock());
    }
    page.endTable();
    page.heading("Check points");
    page.table("Point", "E", "N", "H", "x", "y", "z");
    double unit = f.unit().metres();
    for (FrameSheet.CheckPoint c : s.checks()) {
      Position p = c.shared();
      Position q = c.local();
      page.row(
          c.name(),
          figure(p.east()),
          figure(p.north()),
          figure(p.level()),
          figure(q.east() / unit),
          figure(q.north() / unit),
          figure(q.level() / unit));
    }
    page.endTable();
    page.paragraph(
        "E, N, H in metres; x, y, z in "
            + f.unit().title()
            + ". With θ the angle of site north: x = s·((E − E₀)·cos θ − (N − N₀)·sin θ), y = s·((E − E₀)·sin θ + (N − N₀)·cos θ), z = H − H₀.");
    if (!s.control().isEmpty()) {
      page.heading("Control points");
      page.table("Point", "E", "N", "H");
      for (FrameSheet.NamedPosition p : s.control()) {
        page.row(
            p.name(),
            figure(p.shared().east()),
            figure(p.shared().north()),
            Double.isFinite(p.shared().level()) ? figure(p.shared().level()) : "");
      }
      page.endTable();
    }
    if (!s.wkt().isEmpty()) {
      page.heading("Reference system as well-known text").code(s.wkt());
    }
    return page.html();
  }

  private static String figure(double d) {
    return String.format(Locale.ROOT, "%.4f", d == 0 ? 0.0 : d);
  }

  private static String metres(double d) {
    return figure(d) + " m";
  }

  private static String degrees(double d) {
    return String.format(Locale.ROOT, "%.8f°", d);
  }
}
