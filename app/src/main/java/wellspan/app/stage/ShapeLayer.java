package wellspan.app.stage;

import wellspan.app.session.Session;
import wellspan.core.finding.Stop;

/** What the stop Shape draws over the plan. */
record ShapeLayer(Session session) {
  /** Whether two surfaces are compared, in colours of their own. */
  boolean isComparing() {
    return session.stopProperty().get() == Stop.SHAPE
        && session.shape().comparisonProperty().get().isPresent();
  }

  /** Flaws of the ground, an outline that is being drawn, and what the colours mean. */
  void inFront(PlanInk ink) {
    if (session.stopProperty().get() == Stop.SHAPE) {
      ShapePicture shape = new ShapePicture(ink);
      shape.flaws(session.findingsProperty().get());
      shape.outline(session.shape().outlineProperty().get());
      if (isComparing()) {
        new SurfaceLegend(ink).differences();
      }
    }
  }
}
