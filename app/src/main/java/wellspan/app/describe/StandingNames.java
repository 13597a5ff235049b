package wellspan.app.describe;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Orientation;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollBar;
import javafx.scene.control.Skin;
import javafx.scene.control.TableColumn;
import javafx.scene.control.TableRow;
import javafx.scene.control.TableView;
import javafx.scene.control.skin.TableColumnHeader;
import javafx.scene.control.skin.TableRowSkin;
import javafx.scene.input.MouseEvent;
import wellspan.core.build.Build;

/**
 * Keeps the first column of a table, with the names of its items, where it is while the others are
 * scrolled sideways. The cells themselves go out of sight with their column, so each row bears its
 * name once more, above what lies there. Window's thread.
 */
final class StandingNames {
  /** Above the cells and headings beside it. */
  private static final double ABOVE = -1;

  private final TableView<Build.BuiltItem> table;
  private Optional<TableColumnHeader> heading = Optional.empty();

  StandingNames(TableView<Build.BuiltItem> table) {
    this.table = table;
    table.setRowFactory(t -> new NamedRow());
  }

  /** Keeps the heading of the names in place, too; called when the table was laid out. */
  void laidOut() {
    if (table.getColumns().isEmpty()
        || heading.filter(h -> h.getTableColumn() == names() && h.getScene() != null).isPresent()) {
      return;
    }
    heading =
        table.lookupAll(".column-header").stream()
            .filter(n -> n instanceof TableColumnHeader h && h.getTableColumn() == names())
            .map(n -> (TableColumnHeader) n)
            .findFirst();
    Optional<ScrollBar> bar = bar();
    if (heading.isPresent() && bar.isPresent()) {
      heading.get().setViewOrder(ABOVE);
      heading.get().translateXProperty().bind(bar.get().valueProperty());
    }
  }

  /** Moves the columns so that one of them does not lie below the names. */
  void uncover(TableColumn<Build.BuiltItem, ?> column) {
    List<TableColumn<Build.BuiltItem, ?>> all = table.getVisibleLeafColumns();
    double start =
        all.subList(0, all.indexOf(column)).stream().mapToDouble(TableColumn::getWidth).sum();
    bar()
        .filter(b -> start - b.getValue() < names().getWidth())
        .ifPresent(b -> b.setValue(Math.max(b.getMin(), start - names().getWidth())));
  }

  private TableColumn<Build.BuiltItem, ?> names() {
    return table.getVisibleLeafColumns().getFirst();
  }

  /** What scrolls the columns sideways, once the table has it. */
  private Optional<ScrollBar> bar() {
    for (Node n : table.lookupAll(".virtual-flow > .scroll-bar")) {
      if (n instanceof ScrollBar b && b.getOrientation() == Orientation.HORIZONTAL) {
        return Optional.of(b);
      }
    }
    return Optional.empty();
  }

  /** A row of one item. */
  private final class NamedRow extends TableRow<Build.BuiltItem> {
    @Override
    protected Skin<?> createDefaultSkin() {
      return new NamedRowSkin(this);
    }
  }

  private final class NamedRowSkin extends TableRowSkin<Build.BuiltItem> {
    private final Label name = new Label();

    NamedRowSkin(TableRow<Build.BuiltItem> row) {
      super(row);
      name.getStyleClass().addAll("name", "standing-name");
      name.setManaged(false);
      name.setViewOrder(ABOVE);
      name.setOnMousePressed(this::pressed);
    }

    @Override
    protected void layoutChildren(double x, double y, double w, double h) {
      super.layoutChildren(x, y, w, h);
      if (!name.translateXProperty().isBound()) {
        bar().ifPresent(this::follow);
      }
      name.resizeRelocate(0, y, x + names().getWidth(), h); // over the border of the row, too
      if (!getChildren().contains(name)) { // the columns were made anew
        getChildren().add(name);
      }
    }

    private void follow(ScrollBar bar) {
      name.textProperty().bind(getSkinnable().itemProperty().map(i -> i.item().name()));
      name.translateXProperty().bind(bar.valueProperty());
      name.visibleProperty()
          .bind(bar.valueProperty().greaterThan(0).and(getSkinnable().emptyProperty().not()));
    }

    /** Selects as a cell does. */
    private void pressed(MouseEvent e) {
      TableView.TableViewSelectionModel<Build.BuiltItem> rows = table.getSelectionModel();
      int at = getSkinnable().getIndex();
      int from = table.getFocusModel().getFocusedIndex();
      if (e.isShiftDown() && from >= 0) {
        rows.selectRange(Math.min(from, at), Math.max(from, at) + 1);
      } else if (e.isShortcutDown() && rows.isSelected(at)) {
        rows.clearSelection(at);
      } else if (e.isShortcutDown()) {
        rows.select(at);
      } else {
        rows.clearAndSelect(at);
      }
      table.requestFocus();
      e.consume();
    }
  }
}
