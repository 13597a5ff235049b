package wellspan.app.deliver;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.Orientation;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.ScrollBar;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Background;
import javafx.scene.layout.BackgroundFill;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.CellState;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Hint;
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
  private static final double DELIVERY = 116;

  /** A job with more items opens its manifest by strata. */
  private static final int FEW = 120;

  private final Session session;
  private final HBox heads = new HBox();
  private final ListView<ManifestRows.Row> list = new ListView<>();
  private final Set<Band> open = EnumSet.noneOf(Band.class);
  private final Map<Band, Map<String, Stand>> stands = new EnumMap<>(Band.class);
  private boolean opened;

  /** How all of a stratum stands to a delivery. */
  private record Stand(ManifestRows.Share share, CellState state) {}

  public DeliverView(Session session) {
    this.session = session;
    setId("manifest");
    headsOverCells(0);
    heads.setAlignment(Pos.BOTTOM_LEFT);
    list.setId("manifest-list");
    list.getStyleClass().add("strata-list");
    list.setCellFactory(l -> new RowCell());
    list.skinProperty().addListener((o, a, b) -> followBar());
    list.setPlaceholder(Parts.wrapped("Nothing to deliver yet. Receive a design first.", "muted"));
    BorderPane.setMargin(list, new Insets(0, 8, 0, 18));
    setTop(heads);
    setCenter(list);
    var legend =
        Parts.label(
            "✓ proven   ◐ changed since it was sent, or some   ○ included   · held back   ✕ did not arrive whole   – not in this format or range",
            "muted");
    legend.setPadding(new Insets(6, 18, 10, 18));
    setBottom(legend);
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.deliveries().latestProperty().addListener((o, a, b) -> refresh());
    session.deliveries().inHandProperty().addListener((o, a, b) -> showHeads());
    session
        .deliveries()
        .reckonedProperty()
        .addListener(
            (o, a, b) -> {
              stands.clear();
              list.refresh();
            });
    session.selectedProperty().addListener((o, a, b) -> list.refresh());
    visibleProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  /** The bar to scroll with takes room from the cells, and comes and goes. */
  private void followBar() {
    for (Node n : list.lookupAll(".scroll-bar")) {
      if (n instanceof ScrollBar bar && bar.getOrientation() == Orientation.VERTICAL) {
        Runnable follow = () -> headsOverCells(bar.isVisible() ? bar.getWidth() : 0);
        bar.visibleProperty().addListener((o, a, b) -> follow.run());
        bar.widthProperty().addListener((o, a, b) -> follow.run());
        follow.run();
      }
    }
  }

  private void headsOverCells(double bar) {
    heads.setPadding(new Insets(16, 8 + bar, 0, 18));
  }

  /** Nothing that is hidden is built. */
  private void refresh() {
    if (!isVisible()) {
      return;
    }
    Build build = session.build();
    if (!opened && !build.items().isEmpty()) {
      opened = true;
      if (build.items().size() <= FEW) {
        open.addAll(EnumSet.allOf(Band.class));
      }
    }
    showHeads();
    stands.clear();
    list.getItems().setAll(ManifestRows.of(build, open));
  }

  private void showHeads() {
    Region room = new Region();
    HBox.setHgrow(room, Priority.ALWAYS);
    heads.getChildren().setAll(room);
    session.job().deliveries().forEach(d -> heads.getChildren().add(head(d)));
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
    v.setMinWidth(DELIVERY - 6);
    v.setMaxWidth(DELIVERY - 6);
    HBox.setMargin(v, new Insets(0, 3, 8, 3));
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

  /** A stratum or an item with a cell for each delivery; used again as the list is scrolled. */
  private final class RowCell extends ListCell<ManifestRows.Row> {
    RowCell() {
      setPadding(Insets.EMPTY);
      setPrefWidth(0); // as wide as the list
    }

    @Override
    protected void updateItem(ManifestRows.Row row, boolean empty) {
      super.updateItem(row, empty);
      setText(null);
      if (empty || row == null) {
        setGraphic(null);
        return;
      }
      setPrefHeight(row instanceof ManifestRows.BandRow ? 34 : 30);
      Region colour = new Region();
      colour.setMinWidth(8);
      colour.setMaxHeight(Double.MAX_VALUE);
      colour.setBackground(new Background(new BackgroundFill(Theme.of(row.band()), null, null)));
      HBox line = new HBox(colour);
      line.setFillHeight(true);
      line.setPrefHeight(getPrefHeight());
      line.setAlignment(Pos.CENTER_LEFT);
      line.getStyleClass().add("manifest-row");
      switch (row) {
        case ManifestRows.BandRow b -> band(b, line);
        case ManifestRows.ItemRow i -> item(i.item(), line);
      }
      setGraphic(line);
    }

    private void band(ManifestRows.BandRow b, HBox line) {
      Label name =
          Parts.label(
              (b.open() ? "\u25be " : "\u25b8 ")
                  + b.band().title()
                  + "   "
                  + Figures.count(b.items().size()),
              "muted");
      name.setPadding(new Insets(0, 0, 0, 10));
      name.setOnMouseClicked(e -> openOrClose(b.band()));
      line.getChildren().addAll(name, Parts.space());
      for (Delivery d : session.job().deliveries()) {
        line.getChildren().add(room(shareCell(d, b)));
      }
    }

    private void item(Build.BuiltItem i, HBox line) {
      Label name = Parts.label(i.item().name(), "name");
      name.setMinWidth(60);
      name.setPadding(new Insets(0, 0, 0, 26));
      name.setOnMouseClicked(e -> session.selectedProperty().set(Optional.of(i.id())));
      if (session.selection().ids().contains(i.id())) {
        line.getStyleClass().add("selected");
      }
      line.getChildren().addAll(name, Parts.space());
      for (Delivery d : session.job().deliveries()) {
        line.getChildren().add(room(cell(d, i)));
      }
    }

    private StackPane room(Node in) {
      StackPane p = new StackPane(in);
      p.setMinWidth(DELIVERY);
      p.setMaxWidth(DELIVERY);
      return p;
    }
  }

  private void openOrClose(Band band) {
    if (!open.remove(band)) {
      open.add(band);
    }
    refresh();
  }

  /** How all of a stratum stands to a delivery; a list asks several times for each row it shows. */
  private Stand stand(Delivery d, ManifestRows.BandRow b) {
    return stands
        .computeIfAbsent(b.band(), k -> new HashMap<>())
        .computeIfAbsent(
            d.name(),
            k -> new Stand(ManifestRows.share(d, b.items()), CellState.of(session, d, b.items())));
  }

  /** All of a stratum at once: included, held back, or some of both. */
  private Button shareCell(Delivery d, ManifestRows.BandRow b) {
    Stand stand = stand(d, b);
    ManifestRows.Share share = stand.share();
    CellState state = stand.state();
    boolean some = share == ManifestRows.Share.SOME;
    String sign = some ? "◐" : state.sign();
    String words =
        switch (share) {
          case ALL -> "all " + state.words();
          case SOME -> "some held back, the others " + state.words();
          case NONE -> "all held back";
          case CANNOT -> state.words();
        };
    Button button =
        Parts.button(
            sign,
            "cell",
            () ->
                session
                    .deliveries()
                    .holdBack(
                        d.name(),
                        b.items().stream()
                            .filter(i -> ManifestRows.goesAlong(d, i))
                            .map(Build.BuiltItem::id)
                            .toList(),
                        share != ManifestRows.Share.NONE));
    colour(button, some ? CellState.INCLUDED : state);
    button.setMinWidth(36);
    button.setDisable(share == ManifestRows.Share.CANNOT);
    button.setAccessibleText(b.band().title() + " in " + d.name() + ": " + words);
    Hint.say(button, words);
    return button;
  }

  private Button cell(Delivery d, Build.BuiltItem i) {
    CellState s = CellState.of(session, d, i);
    Button b =
        Parts.button(
            s.sign(),
            "cell",
            () ->
                session.deliveries().holdBack(d.name(), List.of(i.id()), s != CellState.HELD_BACK));
    colour(b, s);
    b.setMinWidth(36);
    b.setDisable(!s.isChoice());
    b.setAccessibleText(i.item().name() + " in " + d.name() + ": " + s.words());
    Hint.say(b, s.words());
    return b;
  }

  private static void colour(Button cell, CellState state) {
    cell.setStyle("-fx-text-fill: -w-" + state.style() + ";");
  }
}
