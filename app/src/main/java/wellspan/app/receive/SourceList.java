package wellspan.app.receive;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.finding.Finding;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;

/**
 * The sources of a job, a line for each, of which one is looked at. Only what is seen of the list
 * is built.
 */
final class SourceList extends VBox {
  private static final double ROW = 26;
  private static final int SEEN = 8;

  private final Session session;
  private final ListView<Source> list = new ListView<>();
  private final Label title = Parts.label("", "title");
  private Optional<String> looked = Optional.empty();
  private boolean showing;

  /**
   * @param opened told which source is to be looked at
   */
  SourceList(Session session, Consumer<Source> opened) {
    this.session = session;
    getStyleClass().add("card");
    setSpacing(4);
    list.setId("source-list");
    list.setAccessibleText("Sources");
    list.getStyleClass().add("strata-list");
    list.setFixedCellSize(ROW);
    list.setCellFactory(l -> new Line());
    list.getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && !showing) {
                looked = Optional.of(is.name());
                opened.accept(is);
              }
            });
    getChildren().addAll(title, list);
  }

  /**
   * Lists the sources.
   *
   * @param sources not empty, the first is looked at unless another one was chosen
   * @return the one that is looked at
   */
  Source show(List<Source> sources) {
    showing = true;
    title.setText(sources.size() + " sources");
    list.getItems().setAll(sources);
    list.setPrefHeight(ROW * Math.min(SEEN, sources.size()) + 2);
    Source one =
        sources.stream()
            .filter(s -> looked.filter(s.name()::equals).isPresent())
            .findFirst()
            .orElse(sources.getFirst());
    list.getSelectionModel().select(one);
    showing = false;
    return one;
  }

  /** What has just come is looked at, not what was chosen before. */
  void forget() {
    looked = Optional.empty();
  }

  private final class Line extends ListCell<Source> {
    Line() {
      setPrefWidth(0); // as wide as the list
    }

    @Override
    protected void updateItem(Source s, boolean empty) {
      super.updateItem(s, empty);
      setText(null);
      if (empty || s == null) {
        setGraphic(null);
        return;
      }
      Received in = session.build().received().get(s.name());
      boolean wrong = in != null && in.findings().stream().anyMatch(Finding::isError);
      Label name =
          wrong
              ? Parts.label("\u2715 " + s.current().fileName(), "error")
              : Parts.label(s.current().fileName());
      name.setMinWidth(40);
      Label beside =
          in == null
              ? Parts.label("not read yet", "muted")
              : Parts.label(Figures.count(in.items().size()), "figure", "muted");
      beside.setMinWidth(Region.USE_PREF_SIZE);
      HBox row = Parts.row(name, beside);
      row.getStyleClass().add("strata-item");
      row.setPadding(new Insets(0, 6, 0, 6));
      setGraphic(row);
      setAccessibleText(
          s.current().fileName() + ", " + beside.getText() + (wrong ? ", errors of reading" : ""));
    }
  }
}
