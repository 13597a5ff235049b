package wellspan.app.deliver;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.geometry.HPos;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.ColumnConstraints;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.CellState;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.item.Band;

/**
 * The manifest: items × deliveries, each cell with its state; a click holds an item back or
 * includes it.
 */
public final class DeliverView extends BorderPane {
  private final Session session;
  private final GridPane grid = new GridPane();

  public DeliverView(Session session) {
    this.session = session;
    setId("manifest");
    grid.setPadding(new Insets(16, 8, 16, 18));
    ScrollPane scroll = new ScrollPane(grid);
    scroll.setFitToWidth(true);
    scroll.getStyleClass().add("card-scroll");
    setCenter(scroll);
    var legend =
        Parts.label(
            "✓ proven   ◐ changed since it was sent   ○ included   · held back   ✕ did not arrive whole   – not in this format",
            "muted");
    legend.setPadding(new Insets(6, 18, 10, 18));
    setBottom(legend);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.deliveries().latestProperty().addListener((o, a, b) -> refresh());
    session.deliveries().inHandProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    grid.getChildren().clear();
    grid.getColumnConstraints().setAll(column(112, false), column(126, true));
    List<Delivery> deliveries = session.job().deliveries();
    for (int d = 0; d < deliveries.size(); d++) {
      ColumnConstraints c = column(116, false);
      c.setHalignment(HPos.CENTER);
      grid.getColumnConstraints().add(c);
      grid.add(head(deliveries.get(d)), d + 2, 0);
    }
    int row = 1;
    for (Band band : Band.values()) {
      boolean first = true;
      for (Build.BuiltItem i : session.build().items().values()) {
        if (i.item().kind().stratum() == band) {
          row(row++, band, first, i, deliveries);
          first = false;
        }
      }
    }
    if (row == 1) {
      grid.add(
          Parts.wrapped("Nothing to deliver yet. Receive a design first.", "muted"), 0, 1, 3, 1);
    }
  }

  private static ColumnConstraints column(double width, boolean grows) {
    ColumnConstraints c = new ColumnConstraints(width);
    if (grows) {
      c.setHgrow(Priority.ALWAYS);
    }
    return c;
  }

  private VBox head(Delivery d) {
    VBox v =
        new VBox(
            1,
            Parts.wrapped(d.name(), "name"),
            new HBox(
                Parts.wrapped(d.format().title(), "figure"),
                Parts.space(),
                Parts.label(d.unit().symbol(), "figure")),
            Parts.wrapped(d.receiver(), "muted"));
    v.getStyleClass().add("manifest-head");
    GridPane.setMargin(v, new Insets(0, 3, 8, 3));
    if (d.name().equals(session.deliveries().inHandProperty().get())) {
      v.getStyleClass().add("selected");
    }
    FileThatCameBack.takeDrops(v, session, d.name());
    v.setFocusTraversable(true);
    v.setAccessibleText("Delivery " + d.name());
    v.setOnMouseClicked(e -> session.deliveries().inHandProperty().set(d.name()));
    v.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER || e.getCode() == KeyCode.SPACE) {
            session.deliveries().inHandProperty().set(d.name());
          }
        });
    return v;
  }

  private void row(
      int row, Band band, boolean first, Build.BuiltItem i, List<Delivery> deliveries) {
    Region rule = new Region();
    rule.getStyleClass().add("manifest-row");
    if (session.selectedProperty().get().filter(i.id()::equals).isPresent()) {
      rule.getStyleClass().add("selected");
    }
    grid.add(rule, 0, row, deliveries.size() + 2, 1);
    var stratum = Parts.label(first ? band.title() : "", "muted");
    stratum.setPadding(new Insets(0, 0, 0, 16));
    Region colour = new Region();
    colour.setMaxWidth(8);
    colour.setMinHeight(40);
    colour.setBackground(
        new javafx.scene.layout.Background(
            new javafx.scene.layout.BackgroundFill(Theme.of(band), null, null)));
    grid.add(colour, 0, row);
    grid.add(stratum, 0, row);
    var name = Parts.label(i.item().name(), "name");
    name.setOnMouseClicked(e -> session.selectedProperty().set(Optional.of(i.id())));
    grid.add(name, 1, row);
    for (int d = 0; d < deliveries.size(); d++) {
      grid.add(cell(deliveries.get(d), i), d + 2, row);
    }
  }

  private Button cell(Delivery d, Build.BuiltItem i) {
    CellState s = CellState.of(session, d, i);
    Button b =
        Parts.button(
            s.sign(),
            "cell",
            () -> session.deliveries().holdBack(d.name(), i.id(), s != CellState.HELD_BACK));
    b.setStyle(
        "-fx-text-fill: "
            + Map.of(
                    "proven",
                    "-w-proven",
                    "warning",
                    "-w-warning",
                    "error",
                    "-w-error",
                    "accent",
                    "-w-accent",
                    "muted",
                    "-w-muted")
                .get(s.style())
            + ";");
    b.setMinWidth(36);
    b.setDisable(s == CellState.CANNOT);
    b.setAccessibleText(i.item().name() + " in " + d.name() + ": " + s.words());
    b.setTooltip(new javafx.scene.control.Tooltip(s.words()));
    return b;
  }
}
