package wellspan.app.shell;

import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.theme.Parts;

/** A field over the window that finds whatever can be done or gone to; Enter does it. */
final class FindView extends StackPane {
  private static final double WIDTH = 560;
  private static final double HEIGHT = 420;

  private final FindEverything everything;
  private final TextField field = new TextField();
  private final ListView<Findable> list = new ListView<>();

  FindView(FindEverything everything) {
    this.everything = everything;
    setId("find");
    getStyleClass().add("veil");
    setVisible(false);
    field.setId("find-field");
    field.setPromptText("What do you want to do, or go to?");
    field.setAccessibleText("Find actions, items, findings, systems and help");
    field.textProperty().addListener((o, a, b) -> show());
    field.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    list.setId("find-list");
    list.getStyleClass().add("strata-list");
    list.setCellFactory(l -> new Cell());
    list.setFocusTraversable(false);
    list.setPlaceholder(Parts.label("Nothing is called that.", "muted"));
    list.setOnMouseClicked(e -> go());
    VBox card = new VBox(8, field, list);
    card.getStyleClass().add("card");
    card.setMaxSize(WIDTH, HEIGHT);
    card.setPrefSize(WIDTH, HEIGHT);
    StackPane.setAlignment(card, Pos.TOP_CENTER);
    StackPane.setMargin(card, new Insets(90, 0, 0, 0));
    getChildren().add(card);
    setOnMousePressed(
        e -> {
          if (e.getTarget() == this) {
            setVisible(false);
          }
        });
  }

  void open() {
    field.clear();
    show();
    setVisible(true);
    applyCss(); // a field takes no letters before it has its skin
    layout();
    field.requestFocus();
  }

  private void show() {
    list.getItems().setAll(everything.find(field.getText()));
    if (field.getText().isBlank()) { // Enter does nothing that nobody asked for
      list.getSelectionModel().clearSelection();
    } else {
      list.getSelectionModel().selectFirst();
    }
    list.scrollTo(0);
    list.refresh(); // cells that were seen before may have nothing in them otherwise
  }

  private void key(KeyEvent e) {
    int at = list.getSelectionModel().getSelectedIndex();
    switch (e.getCode()) {
      case DOWN -> choose(at + 1);
      case UP -> choose(at - 1);
      case PAGE_DOWN -> choose(at + 8);
      case PAGE_UP -> choose(at - 8);
      case ENTER -> go();
      case ESCAPE -> setVisible(false);
      default -> {
        if (e.isShortcutDown() && e.getCode() == KeyCode.K) {
          setVisible(false);
        } else {
          return;
        }
      }
    }
    e.consume();
  }

  private void choose(int index) {
    int last = list.getItems().size() - 1;
    if (last >= 0) {
      int i = Math.clamp(index, 0, last);
      list.getSelectionModel().select(i);
      list.scrollTo(Math.max(0, i - 4));
    }
  }

  private void go() {
    Findable chosen = list.getSelectionModel().getSelectedItem();
    if (chosen != null) {
      setVisible(false);
      chosen.go().run();
    }
  }

  private static final class Cell extends ListCell<Findable> {
    Cell() {
      setPrefWidth(0); // as wide as the list
    }

    @Override
    protected void updateItem(Findable f, boolean empty) {
      super.updateItem(f, empty);
      setText(null);
      if (empty || f == null) {
        setGraphic(null);
        setAccessibleText(null);
        return;
      }
      Label group = Parts.label(f.group(), "muted");
      group.setMinWidth(58);
      Label title = Parts.label(f.title());
      title.setMinWidth(60);
      Label beside = Parts.label(f.beside(), "figure", "muted");
      beside.setMinWidth(Region.USE_PREF_SIZE);
      HBox row = new HBox(8, group, title, Parts.space(), beside);
      row.setAlignment(Pos.CENTER_LEFT);
      row.setPadding(new Insets(5, 8, 5, 8));
      setGraphic(row);
      setAccessibleText(f.group() + " " + f.title());
    }
  }
}
