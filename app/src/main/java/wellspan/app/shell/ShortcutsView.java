package wellspan.app.shell;

import java.util.List;
import javafx.geometry.Pos;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.theme.Parts;

/** All keys in one list. */
final class ShortcutsView extends StackPane {
  private static final List<String[]> KEYS =
      List.of(
          new String[] {"Ctrl+K", "find anything: actions, items, findings, systems"},
          new String[] {"Ctrl+1 … Ctrl+6", "go to a stop"},
          new String[] {"Ctrl+R", "receive files"},
          new String[] {"Ctrl+Enter", "deliver and prove"},
          new String[] {"Ctrl+S", "save the job"},
          new String[] {"Ctrl+O", "another job: recent ones, a new one"},
          new String[] {"Ctrl+Z, Ctrl+Shift+Z", "undo, redo"},
          new String[] {"Ctrl+F", "findings"},
          new String[] {"Ctrl+L", "search items"},
          new String[] {"Alt+1 to Alt+4", "plan, 3D, long section, cross section under the plan"},
          new String[] {"F", "show everything"},
          new String[] {"G", "go to the selection"},
          new String[] {"arrows", "move the plan, turn the 3D picture"},
          new String[] {"+ and −", "nearer and farther"},
          new String[] {"Space", "at Place: pick the base point on the plan"},
          new String[] {"P, or Shift+click", "read the position there"},
          new String[] {"Shift+drag, Ctrl+click", "select by a rectangle, add one more"},
          new String[] {"O", "select by an outline; Enter ends it"},
          new String[] {"D", "measure distances between points; Enter ends it"},
          new String[] {"V", "views kept by name"},
          new String[] {"M", "mark the position as a spot"},
          new String[] {"[ and ]", "peel the topmost stratum or course away, put it back"},
          new String[] {"Ctrl+B, Ctrl+D", "fold the strata, fold the docket"},
          new String[] {"Ctrl+T", "light or dark"},
          new String[] {"Tab, Enter", "next control, use it"},
          new String[] {"Esc", "cancel what runs, leave this list"});

  ShortcutsView(Runnable close) {
    setId("shortcuts");
    getStyleClass().add("veil");
    GridPane grid = new GridPane();
    grid.setHgap(28);
    grid.setVgap(7);
    for (int i = 0; i < KEYS.size(); i++) {
      grid.add(Parts.label(KEYS.get(i)[0], "figure"), 0, i);
      grid.add(Parts.label(KEYS.get(i)[1]), 1, i);
    }
    VBox card = new VBox(10, Parts.label("Keys", "title"), Parts.line(), grid);
    card.getStyleClass().add("card");
    card.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
    setAlignment(Pos.CENTER);
    getChildren().add(card);
    setOnMouseClicked(e -> close.run());
  }
}
