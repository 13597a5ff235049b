package wellspan.app.stage;

import java.util.LinkedHashMap;
import java.util.Map;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Gathering;
import wellspan.core.geom.Position;

/**
 * Says which sources lie so far from the rest that the picture shows the rest only, and leads
 * there: to look, or to give the source its place.
 */
final class FarHint extends VBox {
  /** Of more sources the others are counted. */
  private static final int NAMED = 2;

  private final Session session;

  FarHint(Session session) {
    this.session = session;
    setId("far-hint");
    getStyleClass().addAll("card", "pick-prompt");
    setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    StackPane.setAlignment(this, Pos.TOP_CENTER);
    StackPane.setMargin(this, new Insets(56, 0, 0, 0));
    session.buildProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    Build build = session.build();
    Map<String, Box> bySource = new LinkedHashMap<>();
    for (Build.BuiltItem i : build.items().values()) {
      if (build.isVisible(i.id())) {
        bySource.merge(i.source(), i.item().bounds(), Box::union);
      }
    }
    Box near = Gathering.of(bySource.values().stream().toList(), Gathering.FAR);
    Map<String, Box> far = new LinkedHashMap<>();
    bySource.forEach(
        (source, box) -> {
          if (!box.isEmpty() && !box.overlapsPlan(near)) {
            far.put(source, box);
          }
        });
    setVisible(!far.isEmpty());
    setManaged(isVisible());
    getChildren().clear();
    if (far.isEmpty()) {
      return;
    }
    far.entrySet().stream()
        .limit(NAMED)
        .forEach(e -> getChildren().add(line(e.getKey(), e.getValue(), near)));
    HBox last = new HBox(8);
    last.setAlignment(Pos.CENTER);
    if (far.size() > NAMED) {
      last.getChildren().add(Parts.label("and " + (far.size() - NAMED) + " more", "muted"));
    }
    Button back = Parts.button("Back to the rest", "small", () -> session.aim().at(near));
    back.setId("far-back");
    last.getChildren().add(back);
    getChildren().add(last);
  }

  private HBox line(String source, Box box, Box near) {
    Button look = Parts.button("Go to", "small", () -> session.aim().at(box));
    look.setId("far-go-" + source);
    Button place =
        Parts.button(
            "Give it its place",
            "small",
            () -> {
              session.stopProperty().set(Stop.PLACE);
              session.place().sources().openProperty().set(source);
            });
    place.setId("far-place-" + source);
    HBox row =
        new HBox(
            8,
            Parts.label(source, "name"),
            Parts.label(
                "lies " + Figures.distance(distance(box, near)) + " from the rest", "muted"),
            look,
            place);
    row.setAlignment(Pos.CENTER_LEFT);
    return row;
  }

  private static double distance(Box a, Box b) {
    Position p = a.centre();
    Position q = b.centre();
    return Math.hypot(p.east() - q.east(), p.north() - q.north());
  }
}
