package wellspan.app.shell;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TextField;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.Visibility;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.finding.Finding;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.search.ItemQuery;

/**
 * The strata: all items as stacked bands, ordered from the top down to the ground. Only rows in
 * sight are built, so that tens of thousands of items scroll at ease.
 */
final class StrataView extends BorderPane {
  static final double WIDTH = 206;

  /** A job with more items opens with its bands closed, so that all bands are seen. */
  private static final int FEW = 12;

  /** A band with more items is not opened just because one of them is selected. */
  private static final int OPENED = 400;

  private final Session session;
  private final ListView<StrataRows.Row> list = new ListView<>();
  private final TextField search = new TextField();
  private final ChoiceBox<Grouping> grouping = new ChoiceBox<>();
  private final Label found = Parts.label("", "muted");
  private final Set<Band> open = EnumSet.noneOf(Band.class);
  private final Set<String> openGroups = new HashSet<>();
  private final StrataMenu menu;
  private boolean telling;
  private boolean opened;

  StrataView(Session session) {
    this.session = session;
    menu = new StrataMenu(session);
    setId("strata");
    getStyleClass().add("strata");
    setPrefWidth(WIDTH);
    setMinWidth(WIDTH);
    setMaxWidth(WIDTH);
    list.setId("strata-list");
    list.getStyleClass().add("strata-list");
    list.getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    list.setCellFactory(l -> new StrataCell(session, this::openOrClose));
    list.setPlaceholder(Parts.label("No item is like that.", "muted"));
    list.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
    list.setOnContextMenuRequested(
        e -> menu.show(list, chosenIds(), e.getScreenX(), e.getScreenY()));
    list.getSelectionModel()
        .getSelectedIndices()
        .addListener(
            (javafx.collections.ListChangeListener<Integer>)
                c -> {
                  if (!telling) {
                    javafx.application.Platform.runLater(this::tellSession);
                  }
                });
    setCenter(list);
    setTop(head());
    setBottom(foot());
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.staleProperty().addListener((o, a, b) -> refresh());
    session.selection().idsProperty().addListener((o, a, b) -> showSelection());
    session
        .findingsProperty()
        .addListener(
            (o, a, b) -> {
              if (search.getText().contains("has:")) {
                refresh();
              }
            });
    refresh();
  }

  private VBox head() {
    search.setId("strata-search");
    search.setPromptText("Search items");
    search.setAccessibleText("Search items");
    search.textProperty().addListener((o, a, b) -> refresh());
    search.setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE && !search.getText().isEmpty()) {
            search.clear();
            e.consume();
          } else if (e.getCode() == KeyCode.DOWN) {
            list.requestFocus();
            e.consume();
          }
        });
    HBox.setHgrow(search, Priority.ALWAYS);
    HBox field = new HBox(4, search, new SearchFilters(session, search));
    field.setAlignment(Pos.CENTER_LEFT);
    grouping.setId("strata-grouping");
    grouping.getItems().setAll(Grouping.values());
    grouping.setValue(Grouping.NONE);
    grouping.setAccessibleText("Group items");
    grouping.getStyleClass().add("small");
    grouping.setOnAction(e -> refresh());
    grouping.setPrefWidth(136);
    grouping.setMinWidth(0); // the count is read before the grouping
    found.setMinWidth(Region.USE_PREF_SIZE);
    HBox below = new HBox(4, grouping, Parts.space(), found);
    below.setAlignment(Pos.CENTER_LEFT);
    VBox head = new VBox(6, field, below);
    head.setPadding(new Insets(10, 8, 8, 10));
    return head;
  }

  private HBox foot() {
    Button away = Parts.button("[", "plain", () -> session.visibility().peel(true));
    Button again = Parts.button("]", "plain", () -> session.visibility().peel(false));
    away.setId("peel-away");
    again.setId("peel-back");
    away.setAccessibleText("Peel the topmost away");
    again.setAccessibleText("Put back what was peeled last");
    ChoiceBox<Visibility.Peeled> what = new ChoiceBox<>();
    what.setId("peeled");
    what.setAccessibleText("What is peeled from the top");
    what.getItems().setAll(Visibility.Peeled.values());
    what.setConverter(Choices.words(Visibility.Peeled::word));
    what.valueProperty().bindBidirectional(session.visibility().peeledProperty());
    what.setPrefWidth(84);
    what.setMinWidth(84);
    Label peels = Parts.label("Peel", "muted");
    peels.setMinWidth(Region.USE_PREF_SIZE);
    HBox peel = new HBox(5, peels, what, Parts.space(), away, again);
    peel.setAlignment(Pos.CENTER_LEFT);
    peel.setPadding(new Insets(8, 8, 10, 12));
    return peel;
  }

  /** Puts the keyboard into the search field. */
  void search() {
    search.requestFocus();
    search.selectAll();
  }

  private void refresh() {
    Build build = session.build();
    if (!opened && !build.items().isEmpty()) {
      opened = true;
      if (build.items().size() <= FEW) {
        open.addAll(EnumSet.allOf(Band.class));
      }
    }
    fill();
    showSelection();
  }

  private void fill() {
    Build build = session.build();
    List<Finding> findings = session.findingsProperty().get();
    ItemQuery query = ItemQuery.of(search.getText());
    boolean searching = !query.isEmpty();
    telling = true;
    try {
      list.getItems()
          .setAll(
              StrataRows.of(
                  build,
                  query.on(build, findings),
                  grouping.getValue(),
                  searching ? EnumSet.allOf(Band.class) : open,
                  openGroups));
    } finally {
      telling = false;
    }
    int matching =
        list.getItems().stream()
            .filter(StrataRows.BandRow.class::isInstance)
            .mapToInt(r -> r.ids().size())
            .sum();
    found.setText(searching ? Figures.count(matching) + " found" : "");
  }

  private void openOrClose(StrataRows.Row row) {
    switch (row) {
      case StrataRows.BandRow b -> {
        flip(open, b.band());
        fill();
        return;
      }
      case StrataRows.GroupRow g -> flip(openGroups, g.key());
      case StrataRows.ItemRow i -> {}
    }
    refresh();
  }

  private static <T> void flip(Set<T> set, T value) {
    if (!set.remove(value)) {
      set.add(value);
    }
  }

  private void key(KeyEvent e) {
    Optional<StrataRows.Row> row = Optional.ofNullable(list.getFocusModel().getFocusedItem());
    switch (e.getCode()) {
      case RIGHT -> row.filter(r -> !isOpen(r)).ifPresent(this::openOrClose);
      case LEFT -> row.filter(StrataView::isOpen).ifPresent(this::openOrClose);
      case SPACE -> session.visibility().flip(chosenIds());
      case CONTEXT_MENU -> {
        var at = list.localToScreen(WIDTH / 2, 40);
        menu.show(list, chosenIds(), at.getX(), at.getY());
      }
      default -> {
        return;
      }
    }
    e.consume();
  }

  private static boolean isOpen(StrataRows.Row row) {
    return switch (row) {
      case StrataRows.BandRow b -> b.open();
      case StrataRows.GroupRow g -> g.open();
      case StrataRows.ItemRow i -> true;
    };
  }

  /** What the chosen rows stand for. */
  private List<ItemId> chosenIds() {
    Set<ItemId> out = new LinkedHashSet<>();
    for (StrataRows.Row r : List.copyOf(list.getSelectionModel().getSelectedItems())) {
      if (r != null) {
        out.addAll(r.ids());
      }
    }
    return List.copyOf(out);
  }

  /** A band or group that is chosen chooses all that lies in it. */
  private void tellSession() {
    if (telling) {
      return;
    }
    List<ItemId> ids = chosenIds();
    if (!ids.isEmpty() && !Set.copyOf(ids).equals(session.selection().ids())) {
      telling = true;
      try {
        session.selection().choose(ids);
      } finally {
        telling = false;
      }
    }
  }

  /** What was selected elsewhere is to be seen here too. */
  private void openBandOfLead() {
    Optional<Band> band = session.selectedItem().map(i -> i.item().kind().stratum());
    if (session.selection().ids().size() == 1
        && band.isPresent()
        && search.getText().isEmpty()
        && session.visibility().itemsIn(band.get()).size() <= OPENED
        && open.add(band.get())) {
      fill();
    }
  }

  /** Marks the rows of the selected items, unless the choice was made here. */
  private void showSelection() {
    if (telling) {
      return;
    }
    openBandOfLead();
    telling = true;
    try {
      Set<ItemId> ids = session.selection().ids();
      var model = list.getSelectionModel();
      model.clearSelection();
      int first = -1;
      for (int i = 0; i < list.getItems().size() && !ids.isEmpty(); i++) {
        if (list.getItems().get(i) instanceof StrataRows.ItemRow r && ids.contains(r.item().id())) {
          model.select(i);
          first = first < 0 ? i : first;
        }
      }
      if (first >= 0 && ids.size() == 1 && !isSeen(first)) {
        list.scrollTo(Math.max(0, first - 3));
      }
    } finally {
      telling = false;
    }
  }

  /** Whether a row stands in sight already: a list that jumps at each click loses its reader. */
  private boolean isSeen(int row) {
    return list.lookup(".virtual-flow") instanceof VirtualFlow<?> rows
        && rows.getFirstVisibleCell() != null
        && rows.getFirstVisibleCell().getIndex() <= row
        && row <= rows.getLastVisibleCell().getIndex();
  }
}
