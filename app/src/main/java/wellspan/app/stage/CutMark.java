package wellspan.app.stage;

import javafx.geometry.Point2D;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Circle;
import javafx.scene.shape.Line;
import wellspan.core.align.AlignmentPoint;
import wellspan.core.geom.Position;

/** Shows in the plan where the cross section under it is cut. */
final class CutMark extends Pane {
  private static final double REACH = 28;

  private final PlanView plan;
  private final CrossSectionView section;
  private final Line line = new Line();
  private final Circle place = new Circle(5);

  CutMark(PlanView plan, CrossSectionView section) {
    this.plan = plan;
    this.section = section;
    setId("cut-mark");
    setMouseTransparent(true);
    setManaged(false);
    line.getStyleClass().add("cut-line");
    place.getStyleClass().add("cut-place");
    getChildren().addAll(line, place);
    plan.movedProperty().addListener((o, a, b) -> show());
    plan.heightProperty().addListener((o, a, b) -> show());
    section.placeProperty().addListener((o, a, b) -> show());
    visibleProperty().addListener((o, a, b) -> show());
  }

  private void show() {
    boolean shown = isVisible() && section.placeProperty().get().isPresent();
    line.setVisible(shown);
    place.setVisible(shown);
    if (!shown) {
      return;
    }
    AlignmentPoint p = section.placeProperty().get().get();
    Point2D at = plan.onScreen(new Position(p.east(), p.north(), 0));
    Point2D beside =
        plan.onScreen(
            new Position(
                p.east() + Math.sin(p.direction()), p.north() - Math.cos(p.direction()), 0));
    double dx = beside.getX() - at.getX();
    double dy = beside.getY() - at.getY();
    double n = Math.max(1e-9, Math.hypot(dx, dy));
    line.setStartX(at.getX() - REACH * dx / n);
    line.setStartY(at.getY() - REACH * dy / n);
    line.setEndX(at.getX() + REACH * dx / n);
    line.setEndY(at.getY() + REACH * dy / n);
    place.setCenterX(at.getX());
    place.setCenterY(at.getY());
    boolean inside = at.getY() >= 0 && at.getY() <= plan.getHeight();
    line.setVisible(inside);
    place.setVisible(inside);
  }
}
