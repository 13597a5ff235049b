package wellspan.app.describe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.collections.ListChangeListener;
import javafx.scene.control.SelectionMode;
import javafx.scene.control.TableCell;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableView;
import javafx.scene.control.skin.VirtualFlow;
import javafx.scene.input.KeyCode;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.RuleRef;
import wellspan.app.session.Session;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.build.Build;
import wellspan.core.packing.SaidProperties;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.Rulebook;

/**
 * Items × properties as they would be delivered: a column for each rule, gaps and misfits marked,
 * or a column for everything that any of them says. Only what is seen is built.
 */
final class ItemTable extends TableView<Build.BuiltItem> {
  private static final double NAME = 190;
  private static final double COLUMN = 150;

  /** Columns of properties at most; received models may say thousands of things. */
  private static final int MOST = 200;

  private final Session session;
  private final RuleDesk desk;
  private final StandingNames names = new StandingNames(this);
  private Rulebook shown = Rulebook.NONE;
  private Optional<List<SaidProperties.Column>> everything = Optional.empty();
  private boolean selecting;

  /** Whether a rule is being chosen by one of its cells, which then stay where they are. */
  private boolean taking;

  ItemTable(Session session) {
    this.session = session;
    desk = session.rules();
    setId("rule-items");
    getStyleClass().add("item-table");
    setFixedCellSize(29);
    setPlaceholder(
        Parts.wrapped("Nothing here is delivered as a model. Receive a design first.", "muted"));
    getSelectionModel().setSelectionMode(SelectionMode.MULTIPLE);
    getSelectionModel()
        .getSelectedItems()
        .addListener(
            (ListChangeListener<Build.BuiltItem>)
                c -> {
                  if (!selecting && !c.getList().isEmpty()) {
                    selecting = true;
                    session.selection().choose(c.getList().stream().map(i -> i.id()).toList());
                    selecting = false;
                  }
                });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ENTER) {
            desk.selectedProperty()
                .get()
                .ifPresent(r -> desk.cardProperty().set(DescribeCard.RULE));
          }
        });
  }

  private void take(RuleRef rule) {
    taking = true;
    desk.selectedProperty().set(Optional.of(rule));
    taking = false;
  }

  /** Shows the items as they are now; columns are made anew only when the rules changed. */
  void show(List<Build.BuiltItem> items) {
    Rulebook book = desk.book();
    Optional<List<SaidProperties.Column>> all =
        desk.said().saidProperty().get().map(SaidProperties::columns);
    if (getColumns().isEmpty() || !book.equals(shown) || !all.equals(everything)) {
      shown = book;
      everything = all;
      getColumns().setAll(plainColumns());
      getColumns().addAll(all.map(this::saidColumns).orElseGet(() -> ruleColumns(book)));
    }
    selecting = true;
    getItems().setAll(items);
    selectLead();
    selecting = false;
    refresh();
  }

  /** How many properties have no column, since there are too many. */
  int leftOut() {
    return everything.map(all -> Math.max(0, all.size() - MOST)).orElse(0);
  }

  /** Marks the item whose journey is told. */
  void follow() {
    if (selecting) {
      return;
    }
    selecting = true;
    selectLead();
    selecting = false;
    refresh();
  }

  /** Brings the column of a rule into view, and the first item that it says something of. */
  void bring(RuleRef rule) {
    refresh();
    layout(); // a table that has yet to make its rows anew, or to scroll, forgets one of the two
    for (TableColumn<Build.BuiltItem, ?> c : getVisibleLeafColumns()) {
      if (rule.equals(c.getUserData())) {
        if (!taking && lookup(".virtual-flow") instanceof VirtualFlow<?> rows) {
          bringFirst(rule, rows);
          layout();
        }
        scrollToColumn(c);
        names.uncover(c);
      }
    }
  }

  @Override
  protected void layoutChildren() {
    super.layoutChildren();
    names.laidOut();
  }

  private void bringFirst(RuleRef rule, VirtualFlow<?> rows) {
    int top = rows.getFirstVisibleCell() == null ? 0 : rows.getFirstVisibleCell().getIndex();
    int bottom = rows.getLastVisibleCell() == null ? -1 : rows.getLastVisibleCell().getIndex();
    int first = -1;
    for (int i = 0; i < getItems().size() && (first < 0 || i < bottom); i++) {
      if (desk.cell(rule, desk.ruled(getItems().get(i))).state() != Cell.State.NONE) {
        if (i >= top && i < bottom) {
          return; // one is seen
        }
        first = first < 0 ? i : first;
      }
    }
    if (first >= 0) {
      scrollTo(Math.max(0, first - 1));
    }
  }

  private void selectLead() {
    Optional<Build.BuiltItem> lead = session.selectedItem();
    int at = lead.map(i -> index(i)).orElse(-1);
    if (at >= 0) {
      getSelectionModel().clearAndSelect(at);
    } else {
      getSelectionModel().clearSelection();
    }
  }

  private int index(Build.BuiltItem item) {
    for (int i = 0; i < getItems().size(); i++) {
      if (getItems().get(i).id().equals(item.id())) {
        return i;
      }
    }
    return -1;
  }

  private List<TableColumn<Build.BuiltItem, ?>> plainColumns() {
    List<TableColumn<Build.BuiltItem, ?>> out = new ArrayList<>();
    out.add(plain("Item", NAME, i -> i.item().name(), "name"));
    out.add(
        plain(
            "Class",
            250,
            i -> {
              EntityClass c = session.build().classOf(i, desk.schemaProperty().get());
              return desk.ruled(i).heldBack()
                  ? "stays here"
                  : (c.entity() + " " + c.type()).strip();
            },
            "class-cell"));
    return out;
  }

  /** The columns of a set stand under its name. */
  private List<TableColumn<Build.BuiltItem, ?>> saidColumns(List<SaidProperties.Column> all) {
    Map<String, TableColumn<Build.BuiltItem, ?>> sets = new LinkedHashMap<>();
    for (SaidProperties.Column c : all.subList(0, Math.min(MOST, all.size()))) {
      sets.computeIfAbsent(c.set(), ItemTable::setColumn).getColumns().add(said(c));
    }
    return List.copyOf(sets.values());
  }

  private static TableColumn<Build.BuiltItem, ?> setColumn(String name) {
    TableColumn<Build.BuiltItem, ?> c = new TableColumn<>(name);
    c.setSortable(false);
    c.setReorderable(false);
    return c;
  }

  private TableColumn<Build.BuiltItem, PropertyValue> said(SaidProperties.Column column) {
    TableColumn<Build.BuiltItem, PropertyValue> c = new TableColumn<>(column.property());
    c.setPrefWidth(COLUMN);
    c.setSortable(false);
    c.setReorderable(false);
    Optional<RuleRef> rule = desk.ruleOf(column.set(), column.property());
    rule.ifPresent(c::setUserData);
    c.setCellValueFactory(
        f ->
            new ReadOnlyObjectWrapper<>(
                desk.said()
                    .saidProperty()
                    .get()
                    .flatMap(all -> all.value(f.getValue().id(), column))
                    .orElse(null)));
    c.setCellFactory(k -> new SaidCell(rule));
    return c;
  }

  private List<TableColumn<Build.BuiltItem, ?>> ruleColumns(Rulebook book) {
    List<TableColumn<Build.BuiltItem, ?>> out = new ArrayList<>();
    for (int i = 0; i < book.properties().size(); i++) {
      if (!book.properties().get(i).off()) {
        out.add(ruled(new RuleRef(RuleRef.Kind.PROPERTY, i), book.properties().get(i).property()));
      }
    }
    for (int i = 0; i < book.classification().size(); i++) {
      if (!book.classification().get(i).off()) {
        out.add(ruled(new RuleRef(RuleRef.Kind.CODES, i), book.classification().get(i).system()));
      }
    }
    return out;
  }

  private TableColumn<Build.BuiltItem, String> plain(
      String title,
      double width,
      java.util.function.Function<Build.BuiltItem, String> of,
      String style) {
    TableColumn<Build.BuiltItem, String> c = new TableColumn<>(title);
    c.setPrefWidth(width);
    c.setSortable(false);
    c.setReorderable(false);
    c.setCellValueFactory(f -> new ReadOnlyObjectWrapper<>(of.apply(f.getValue())));
    c.setCellFactory(
        k ->
            new TableCell<>() {
              {
                getStyleClass().add(style);
              }

              @Override
              protected void updateItem(String text, boolean empty) {
                super.updateItem(text, empty);
                setText(empty ? null : text);
              }
            });
    return c;
  }

  private TableColumn<Build.BuiltItem, Cell> ruled(RuleRef rule, String title) {
    TableColumn<Build.BuiltItem, Cell> c = new TableColumn<>(title);
    c.setUserData(rule);
    c.setPrefWidth(COLUMN);
    c.setSortable(false);
    c.setReorderable(false);
    c.setCellValueFactory(
        f -> new ReadOnlyObjectWrapper<>(desk.cell(rule, desk.ruled(f.getValue()))));
    c.setCellFactory(k -> new ValueCell(rule));
    return c;
  }

  private static void show(TableCell<?, ?> cell, PropertyValue v) {
    cell.setText(ShownValue.of(v));
    if (ShownValue.isNumber(v)) {
      cell.getStyleClass().add("number-cell");
      List<String> heading = cell.getTableColumn().getStyleClass();
      if (!heading.contains("of-numbers")) { // it stands above its figures
        heading.add("of-numbers");
      }
    }
  }

  /** What one item says, whoever made it say so. */
  private final class SaidCell extends TableCell<Build.BuiltItem, PropertyValue> {
    SaidCell(Optional<RuleRef> rule) {
      setOnMousePressed(e -> rule.ifPresent(ItemTable.this::take));
    }

    @Override
    protected void updateItem(PropertyValue v, boolean empty) {
      super.updateItem(v, empty);
      getStyleClass().remove("number-cell");
      if (empty || v == null) {
        setText(null);
      } else {
        show(this, v);
      }
    }
  }

  /** What one rule says of one item. */
  private final class ValueCell extends TableCell<Build.BuiltItem, Cell> {
    private final RuleRef rule;

    ValueCell(RuleRef rule) {
      this.rule = rule;
      setOnMousePressed(e -> take(rule));
      setOnMouseClicked(
          e -> {
            if (e.getClickCount() == 2) {
              desk.cardProperty().set(DescribeCard.RULE);
            }
          });
    }

    @Override
    protected void updateItem(Cell cell, boolean empty) {
      super.updateItem(cell, empty);
      getStyleClass().removeAll("gap-cell", "wrong-cell", "number-cell", "in-hand");
      Hint.say(this, "");
      if (desk.selectedProperty().get().filter(rule::equals).isPresent()) {
        getStyleClass().add("in-hand");
      }
      if (empty || cell == null) {
        setText(null);
        return;
      }
      switch (cell.state()) {
        case NONE -> setText("");
        case SAID -> show(this, cell.value().orElseThrow());
        case GAP, TWICE -> mark(cell, "\u25cc ", "gap-cell");
        case WRONG -> mark(cell, "\u2715 ", "wrong-cell");
      }
    }

    private void mark(Cell cell, String sign, String style) {
      int colon = cell.message().indexOf(": ");
      setText(sign + cell.message().substring(colon < 0 ? 0 : colon + 2));
      getStyleClass().add(style);
      Hint.say(this, cell.message());
    }
  }
}
