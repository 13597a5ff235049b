package wellspan.app.place;

import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.shape.Line;
import wellspan.core.geom.Box;

/** A small plan: the job's other content, and where a source would lie. */
final class MeaningPicture extends Pane {
  private static final double WIDTH = 64;
  private static final double HEIGHT = 44;
  private static final double MARGIN = 5;

  /** What is smaller than this in the picture is still to be seen, pixels. */
  private static final double LEAST = 4;

  /**
   * @param work extent of the job's other content, may be empty
   * @param here where the source would lie; empty if nowhere
   */
  MeaningPicture(Box work, Box here) {
    getStyleClass().add("meaning-picture");
    setMinSize(WIDTH, HEIGHT);
    setPrefSize(WIDTH, HEIGHT);
    setMaxSize(WIDTH, HEIGHT);
    Box all = work.union(here);
    if (all.isEmpty()) {
      return;
    }
    double scale =
        Math.min(
            (WIDTH - 2 * MARGIN) / Math.max(1, all.width()),
            (HEIGHT - 2 * MARGIN) / Math.max(1, all.depth()));
    double left = (WIDTH - scale * all.width()) / 2 - scale * all.minE();
    double top = (HEIGHT - scale * all.depth()) / 2 + scale * all.maxN();
    if (!work.isEmpty() && !here.isEmpty() && !work.overlapsPlan(here)) {
      Line way =
          new Line(
              left + scale * work.centre().east(),
              top - scale * work.centre().north(),
              left + scale * here.centre().east(),
              top - scale * here.centre().north());
      way.getStyleClass().add("meaning-way");
      getChildren().add(way);
    }
    rectangle(work, "meaning-work", left, top, scale);
    rectangle(here, "meaning-here", left, top, scale);
  }

  private void rectangle(Box b, String style, double left, double top, double scale) {
    if (b.isEmpty()) {
      return;
    }
    Region r = new Region();
    r.getStyleClass().add(style);
    double w = Math.max(LEAST, scale * b.width());
    double h = Math.max(LEAST, scale * b.depth());
    r.resizeRelocate(
        left + scale * b.centre().east() - w / 2, top - scale * b.centre().north() - h / 2, w, h);
    r.setManaged(false);
    getChildren().add(r);
  }
}
