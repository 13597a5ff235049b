package wellspan.app.stage;

import java.util.List;
import javafx.scene.paint.Color;
import javafx.scene.text.TextAlignment;
import wellspan.app.session.SentAndArrived;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Theme;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Polyline;
import wellspan.core.shape.Shape;

/**
 * What arrived, over what was sent: in one colour where it lies there, in another where it does
 * not.
 */
record ProofPicture(PlanInk ink) {
  /** Room left of the legend, pixels. */
  private static final double LEGEND = 16;

  /** Distance of the drawn points of a curve, metres. */
  private static final double CURVE_STEP = 2;

  static void ground(SentAndArrived compared, Theme theme, TerrainLayer terrain, SurfaceLook look) {
    compared.sent().forEach(i -> i.triangles().ifPresent(m -> terrain.draw(m, look)));
    for (SentAndArrived.Arrived a : compared.arrived()) {
      a.item()
          .triangles()
          .ifPresent(
              m ->
                  terrain.draw(
                      m,
                      new SurfaceLook.Deviation(
                          a.distances(),
                          compared.tolerance(),
                          PlanInk.awt(theme.proven()),
                          PlanInk.awt(theme.error()),
                          PlanInk.awt(theme.proven()))));
    }
  }

  /** Lines and points that arrived, and what the colours say. */
  void lines(SentAndArrived compared) {
    for (SentAndArrived.Arrived a : compared.arrived()) {
      Color colour = a.same() ? ink.theme().proven() : ink.theme().error();
      switch (a.item().shape()) {
        case Shape.Lines s -> s.lines().forEach(l -> line(l, colour));
        case Shape.Axis l -> line(chords(l), colour);
        case Shape.Points p ->
            p.points()
                .forEach(
                    q ->
                        ink.surveyPoint(
                            ink.window().x(q.position().east()),
                            ink.window().y(q.position().north()),
                            colour));
        default -> {} // drawn as ground
      }
    }
    double x = LEGEND; // above the scale; on the right stand tools
    double y = ink.window().height() - 48;
    swatch(
        x, y, ink.theme().proven(), "✓ arrived within " + Figures.distance(compared.tolerance()));
    swatch(x + 220, y, ink.theme().error(), "✕ farther away");
  }

  private static Polyline chords(Shape.Axis l) {
    List<AlignmentPoint> points = l.alignment().everyWithEnds(CURVE_STEP);
    double[] xyz = new double[3 * points.size()];
    for (int i = 0; i < points.size(); i++) {
      xyz[3 * i] = points.get(i).east();
      xyz[3 * i + 1] = points.get(i).north();
    }
    return new Polyline(xyz);
  }

  private void line(Polyline line, Color colour) {
    ink.g().setStroke(colour);
    ink.g().setLineWidth(2);
    ink.line(line);
  }

  private void swatch(double x, double y, Color c, String what) {
    ink.g().setFill(c);
    ink.g().fillRect(x, y - 6, 14, 12);
    ink.text(what, x + 20, y, PlanInk.NAME, ink.theme().ink(), TextAlignment.LEFT);
  }
}
