package wellspan.app.describe;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.application.Platform;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.BorderPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.util.StringConverter;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.RuleRef;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.item.Band;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;
import wellspan.core.schema.IfcSchema;

/**
 * The working surface of the stop Describe: the rules of the client's rulebook above, and below
 * what every item says by them, as it would be delivered.
 */
public final class RuleSurface extends BorderPane {
  private static final double RULES = 224;

  private final Session session;
  private final RuleDesk desk;
  private final NewRules fresh;
  private final RuleHead head;
  private final ListView<RuleLine> rules = new ListView<>();
  private final VBox above = new VBox();
  private final ItemTable table;
  private final Label foot = Parts.label("", "muted");
  private final ComboBox<Optional<Band>> scope = new ComboBox<>();
  private final ComboBox<Boolean> columns = new ComboBox<>();
  private boolean choosing;

  public RuleSurface(Session session) {
    this.session = session;
    desk = session.rules();
    fresh = new NewRules(session);
    head = new RuleHead(session);
    table = new ItemTable(session);
    setId("rule-surface");
    setMinSize(0, 0);
    getStyleClass().add("rule-surface");
    rules.setId("rules");
    rules.getStyleClass().addAll("strata-list", "rule-list");
    rules.setCellFactory(l -> new RuleCell(desk));
    rules
        .getSelectionModel()
        .selectedItemProperty()
        .addListener(
            (o, was, is) -> {
              if (is != null && !choosing) {
                desk.selectedProperty().set(Optional.of(is.rule()));
              }
            });
    rules.setOnMouseClicked(
        e -> {
          if (e.getClickCount() == 2 && desk.selectedProperty().get().isPresent()) {
            desk.cardProperty().set(DescribeCard.RULE);
          }
        });
    rules.addEventHandler(KeyEvent.KEY_PRESSED, this::ruleKey);
    BorderPane.setMargin(table, new Insets(0, 0, 0, 10));
    foot.setPadding(new Insets(6, 16, 8, 20));
    above.setFillWidth(true);
    setTop(new VBox(head, above));
    setCenter(table);
    setBottom(foot);
    scope();
    columns();
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.historyProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> follow());
    desk.schemaProperty().addListener((o, a, b) -> refresh());
    desk.scopeProperty().addListener((o, a, b) -> refresh());
    desk.selectedProperty().addListener((o, a, b) -> ruleInHand());
    table.widthProperty().addListener((o, a, b) -> Platform.runLater(this::bringInHand));
    visibleProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void scope() {
    scope.setId("rule-scope");
    scope.setAccessibleText("Which items are shown");
    scope.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Optional<Band> b) {
            return b == null || b.isEmpty() ? "All strata" : b.get().title();
          }

          @Override
          public Optional<Band> fromString(String s) {
            return Optional.empty();
          }
        });
    scope.setValue(Optional.empty());
    Choices.onChosen(scope, e -> desk.scopeProperty().set(scope.getValue()));
  }

  private void columns() {
    columns.setId("rule-columns");
    columns.setAccessibleText("Which properties have a column");
    columns.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Boolean all) {
            return Boolean.TRUE.equals(all) ? "All properties" : "Properties of rules";
          }

          @Override
          public Boolean fromString(String s) {
            return Boolean.FALSE;
          }
        });
    columns.getItems().setAll(false, true);
    columns.setValue(false);
    Choices.onChosen(columns, e -> desk.said().wantedProperty().set(columns.getValue()));
    desk.said().wantedProperty().addListener((o, was, is) -> columns.setValue(is));
    desk.said().saidProperty().addListener((o, was, is) -> refresh());
  }

  private void ruleKey(KeyEvent e) {
    Optional<RuleRef> rule = desk.selectedProperty().get();
    if (rule.isEmpty()) {
      return;
    }
    if (e.getCode() == KeyCode.ENTER) {
      desk.cardProperty().set(DescribeCard.RULE);
    } else if (e.getCode() == KeyCode.DELETE) {
      desk.remove(rule.get());
    } else if (e.isAltDown() && e.getCode() == KeyCode.UP) {
      desk.move(rule.get(), -1);
    } else if (e.isAltDown() && e.getCode() == KeyCode.DOWN) {
      desk.move(rule.get(), 1);
    } else {
      return;
    }
    e.consume();
  }

  /** Nothing that is hidden is built. */
  private void refresh() {
    if (!isVisible()) {
      return;
    }
    Rulebook book = desk.book();
    head.show(book);
    List<Optional<Band>> strata = new ArrayList<>(List.of(Optional.empty()));
    for (Band b : Band.values()) {
      if (!session.visibility().itemsIn(b).isEmpty()) {
        strata.add(Optional.of(b));
      }
    }
    if (!scope.getItems().equals(strata)) {
      scope.getItems().setAll(strata);
    }
    scope.setValue(desk.scopeProperty().get());
    if (book.equals(Rulebook.NONE)) {
      above.getChildren().setAll(empty());
    } else {
      showRules(book);
      above.getChildren().setAll(columnHeads(), rules);
      double rows = Math.max(1, rules.getItems().size());
      rules.setPrefHeight(Math.min(RULES, 42 * rows + 4));
      rules.setMinHeight(Math.min(120, 42 * rows + 4));
    }
    table.show(desk.items());
    showFoot();
  }

  /** What a rulebook is for, and how to come by one. */
  private VBox empty() {
    Button shipped =
        Parts.button(
            "Start from \u201c" + RulebookJson.shipped().name() + "\u201d",
            "primary",
            () -> {
              Rulebook own = RulebookJson.shipped().copiedAs("Own rulebook");
              desk.edit("Own rulebook", b -> own);
            });
    shipped.setId("start-rulebook");
    Button open =
        Parts.button("Take a rulebook \u2026", "plain", () -> new RulebookMenu(session).take(this));
    HBox ways = new HBox(8, shipped, open, Parts.space(), columns, scope);
    VBox v =
        new VBox(
            10,
            Parts.wrapped(
                "Every item is delivered with the class of its kind and with what is known of it. A rulebook says what a client wants besides: classes, properties, codes. It is one file, used for every job of that client.",
                "muted"),
            ways);
    v.setPadding(new Insets(4, 20, 16, 20));
    return v;
  }

  private HBox columnHeads() {
    Label from = Parts.label("What an item knows", "muted");
    Label to = Parts.label("What it will say", "muted");
    from.setMinWidth(0);
    from.setPrefWidth(212);
    to.setMinWidth(Region.USE_PREF_SIZE);
    scope.setMinWidth(Region.USE_PREF_SIZE);
    columns.setMinWidth(Region.USE_PREF_SIZE);
    MenuButton add = new MenuButton("+ Rule");
    add.setId("add-rule");
    add.getStyleClass().add("plain");
    add.setMinWidth(Region.USE_PREF_SIZE);
    add.getItems()
        .addAll(
            add("A property", fresh::property),
            add("A class", fresh::ofClass),
            add("A classification", fresh::codes));
    HBox h = new HBox(8, from, to, Parts.space(), add, columns, scope);
    h.setAlignment(Pos.CENTER_LEFT);
    h.setPadding(new Insets(0, 16, 4, 20));
    return h;
  }

  private static MenuItem add(String text, Runnable action) {
    MenuItem m = new MenuItem(text);
    m.setOnAction(e -> action.run());
    return m;
  }

  private void showRules(Rulebook book) {
    List<RuleLine> lines = new ArrayList<>();
    IfcSchema schema = desk.schemaProperty().get();
    for (int i = 0; i < book.classes().size(); i++) {
      lines.add(RuleLine.of(book, new RuleRef(RuleRef.Kind.CLASS, i), schema));
    }
    for (int i = 0; i < book.properties().size(); i++) {
      lines.add(RuleLine.of(book, new RuleRef(RuleRef.Kind.PROPERTY, i), schema));
    }
    for (int i = 0; i < book.classification().size(); i++) {
      lines.add(RuleLine.of(book, new RuleRef(RuleRef.Kind.CODES, i), schema));
    }
    choosing = true;
    rules.getItems().setAll(lines);
    selectInHand();
    choosing = false;
    rules.refresh();
  }

  private void selectInHand() {
    int at = -1;
    for (int i = 0; i < rules.getItems().size(); i++) {
      if (desk.selectedProperty()
          .get()
          .filter(rules.getItems().get(i).rule()::equals)
          .isPresent()) {
        at = i;
      }
    }
    if (at >= 0) {
      rules.getSelectionModel().select(at);
      rules.scrollTo(Math.max(0, at - 2));
    } else {
      rules.getSelectionModel().clearSelection();
    }
  }

  private void ruleInHand() {
    if (!isVisible()) {
      return;
    }
    choosing = true;
    selectInHand();
    choosing = false;
    rules.refresh();
    bringInHand();
  }

  private void bringInHand() {
    if (isVisible()) {
      desk.selectedProperty().get().ifPresent(table::bring);
    }
  }

  private void follow() {
    if (isVisible()) {
      table.follow();
    }
  }

  /** Gaps and misfits in what is shown. */
  private void showFoot() {
    int gaps = 0;
    int wrong = 0;
    for (Build.BuiltItem i : desk.items()) {
      for (List<Cell> all : List.of(desk.ruled(i).cells(), desk.ruled(i).codeCells())) {
        for (Cell c : all) {
          gaps += c.state() == Cell.State.GAP || c.state() == Cell.State.TWICE ? 1 : 0;
          wrong += c.state() == Cell.State.WRONG ? 1 : 0;
        }
      }
    }
    String state =
        desk.book().equals(Rulebook.NONE)
            ? ""
            : gaps + wrong == 0
                ? " \u00b7 no gaps"
                : " \u00b7 "
                    + gaps
                    + (gaps == 1 ? " gap, " : " gaps, ")
                    + wrong
                    + (wrong == 1 ? " value that does not fit" : " values that do not fit");
    foot.setText(
        "Click a cell for the rule that made it, Enter to change it, Alt+\u2191\u2193 to move it"
            + state
            + (table.leftOut() == 0
                ? ""
                : " \u00b7 " + table.leftOut() + " properties more: see \u201cItem\u201d"));
  }
}
