package wellspan.app.shape;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.theme.Parts;
import wellspan.core.typical.CrossfallTable;

/** A small table of crossfalls to be typed, a row for each chainage. */
final class CrossfallRows extends VBox {
  private static final double WIDTH = 74;
  private static final List<String> COLUMNS = List.of("chainage, m", "left, %", "right, %");
  private static final List<String> EXAMPLES = List.of("120.000", "2.5", "-2.5");

  private final Map<String, String> filled;
  private final String prefix;
  private final List<TextField[]> rows = new ArrayList<>();

  /**
   * @param filled what was filled in before, by the fields' identities; it is kept up to date
   * @param start the rows where nothing was
   */
  CrossfallRows(String prefix, Map<String, String> filled, CrossfallTable start) {
    super(4);
    this.filled = filled;
    this.prefix = prefix + "crossfall-";
    if (filled.containsKey(this.prefix + "rows")) {
      int count = Integer.parseInt(filled.get(this.prefix + "rows"));
      for (int i = 0; i < count; i++) {
        row("", "", "");
      }
    } else {
      start.rows().forEach(r -> row(plain(r.chainage()), plain(r.left()), plain(r.right())));
    }
    show();
  }

  private static String plain(double v) {
    return BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
  }

  private void row(String... start) {
    TextField[] cells = new TextField[COLUMNS.size()];
    for (int c = 0; c < cells.length; c++) {
      String id = prefix + rows.size() + "-" + c;
      TextField f = new TextField(filled.getOrDefault(id, start[c]));
      f.setId(id);
      f.getStyleClass().add("field");
      f.setPromptText(EXAMPLES.get(c));
      f.setAccessibleText(COLUMNS.get(c));
      f.setPrefWidth(WIDTH);
      f.textProperty().addListener((o, a, b) -> keep());
      cells[c] = f;
    }
    rows.add(cells);
  }

  /** All anew, since a row that goes lets those after it move up. */
  private void keep() {
    filled.keySet().removeIf(k -> k.startsWith(prefix));
    filled.put(prefix + "rows", Integer.toString(rows.size()));
    for (int r = 0; r < rows.size(); r++) {
      for (int c = 0; c < COLUMNS.size(); c++) {
        rows.get(r)[c].setId(prefix + r + "-" + c);
        filled.put(prefix + r + "-" + c, rows.get(r)[c].getText());
      }
    }
  }

  private void show() {
    GridPane table = new GridPane();
    table.setHgap(6);
    table.setVgap(3);
    if (!rows.isEmpty()) {
      table.addRow(0, COLUMNS.stream().map(c -> Parts.label(c, "muted")).toArray(Node[]::new));
    }
    for (int r = 0; r < rows.size(); r++) {
      TextField[] cells = rows.get(r);
      Button remove =
          Parts.icon(
              Feather.X,
              "Remove this crossfall",
              () -> {
                rows.remove(cells);
                keep();
                show();
              });
      table.addRow(r + 1, Stream.concat(Stream.of(cells), Stream.of(remove)).toArray(Node[]::new));
    }
    Button add =
        Parts.button(
            "Add a crossfall",
            "small",
            () -> {
              row("", "", "");
              keep();
              show();
              rows.getLast()[0].requestFocus();
            });
    add.setId(prefix + "add");
    getChildren().setAll(table, add);
    if (!rows.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped(
                  "Positive falls outwards. Between two rows it changes evenly.", "muted"));
    }
  }

  /**
   * @throws IllegalArgumentException with a sentence, if a figure is none
   */
  CrossfallTable table() {
    return new CrossfallTable(
        rows.stream()
            .map(c -> new CrossfallTable.Row(Form.value(c[0]), Form.value(c[1]), Form.value(c[2])))
            .toList());
  }
}
