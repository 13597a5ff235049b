package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import javafx.geometry.BoundingBox;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.geometry.Point3D;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.layout.Pane;
import wellspan.app.theme.Parts;

/** Words at places of the 3D picture: flat on the screen, upright, never on top of each other. */
final class SpaceLabels extends Pane {
  private static final int MOST = 120;

  private record Mark(Point3D at, Label label) {}

  private final Node content;
  private final List<Mark> marks = new ArrayList<>();

  /**
   * @param content the node in whose coordinates places are given
   */
  SpaceLabels(Node content) {
    this.content = content;
    setMouseTransparent(true);
    setPickOnBounds(false);
  }

  void clear() {
    marks.clear();
    getChildren().clear();
  }

  void add(Point3D at, String words, String... classes) {
    if (marks.size() < MOST) {
      Label l = Parts.label(words, classes);
      l.getStyleClass().add("space-label");
      marks.add(new Mark(at, l));
      getChildren().add(l);
    }
  }

  /** Moves every word to where its place is seen now. */
  void follow() {
    List<Bounds> taken = new ArrayList<>();
    for (Mark m : marks) {
      Point3D scene = content.localToScene(m.at(), true);
      Point2D p = sceneToLocal(scene.getX(), scene.getY());
      m.label().applyCss();
      double w = m.label().prefWidth(-1);
      double h = m.label().prefHeight(-1);
      Bounds here = new BoundingBox(p.getX() - w / 2, p.getY() - h - 6, w, h);
      boolean seen =
          Double.isFinite(p.getX())
              && Double.isFinite(p.getY())
              && here.getMinX() > 0
              && here.getMinY() > 44
              && here.getMaxX() < getWidth()
              && here.getMaxY() < getHeight()
              && taken.stream().noneMatch(here::intersects);
      m.label().setVisible(seen);
      if (seen) {
        taken.add(here);
        m.label().resizeRelocate(here.getMinX(), here.getMinY(), w, h);
      }
    }
  }

  @Override
  protected void layoutChildren() {
    follow();
  }
}
