package wellspan.app.theme;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.VBox;
import wellspan.core.geom.Position;

/**
 * Figures that are typed side by side, each with its label and an example, and taken together.
 * Enter goes on to the next empty one, and takes them where none is missing. What is wrong is said
 * beneath them.
 */
public final class FigureEntry extends VBox {
  private static final double GAP = 4;

  /** What a cell takes. */
  public enum Takes {
    WORD,
    NUMBER,
    /** A number, or nothing. */
    NUMBER_OR_NONE
  }

  /**
   * @param id of its field
   * @param label with the unit, as in {@code E, m}
   */
  public record Cell(String id, String label, String example, Takes takes) {}

  /**
   * Cells side by side.
   *
   * @param heading what they say together; may be empty
   */
  public record Row(String heading, List<Cell> cells) {}

  /** What was typed; every cell holds what it takes. */
  public static final class Typed {
    private final Map<String, String> byId;

    private Typed(Map<String, String> byId) {
      this.byId = byId;
    }

    public String word(String id) {
      return byId.get(id);
    }

    /** NaN where nothing was typed. */
    public double number(String id) {
      return Figures.typed(byId.get(id)).orElse(Double.NaN);
    }

    /** A place typed into three cells, its level NaN where nothing was typed. */
    public Position position(String east, String north, String level) {
      return new Position(number(east), number(north), number(level));
    }
  }

  private final Map<Cell, TextField> fields = new LinkedHashMap<>();
  private final Label wrong = Parts.wrapped("", "error");
  private final Consumer<Typed> take;

  /**
   * @param id of the button that takes the figures
   * @param action its words
   */
  public FigureEntry(String id, String action, List<Row> rows, Consumer<Typed> take) {
    super(GAP);
    this.take = take;
    rows.forEach(this::row);
    Button go = Parts.button(action, "small", this::go);
    go.setId(id);
    HBox.setMargin(go, new Insets(2, 0, 0, 0));
    getChildren().addAll(Parts.row(wrong, go));
    HBox.setHgrow(wrong, Priority.ALWAYS);
  }

  private void row(Row row) {
    if (!row.heading().isEmpty()) {
      getChildren().add(Parts.label(row.heading(), "muted"));
    }
    HBox cells = new HBox(GAP);
    for (Cell c : row.cells()) {
      TextField f = new TextField();
      f.setId(c.id());
      f.setAccessibleText((row.heading() + " " + c.label()).strip());
      f.setPromptText(c.example());
      f.getStyleClass().addAll("field", "entry");
      f.setMaxWidth(Double.MAX_VALUE);
      f.setOnAction(e -> missing().ifPresentOrElse(TextField::requestFocus, this::go));
      fields.put(c, f);
      VBox cell = new VBox(1, Parts.label(c.label(), "entry-label"), f);
      cell.setPrefWidth(0);
      HBox.setHgrow(cell, Priority.ALWAYS);
      cells.getChildren().add(cell);
    }
    getChildren().add(cells);
  }

  private Optional<TextField> missing() {
    return fields.entrySet().stream()
        .filter(e -> e.getKey().takes() != Takes.NUMBER_OR_NONE)
        .map(Map.Entry::getValue)
        .filter(f -> f.getText().isBlank())
        .findFirst();
  }

  private void go() {
    List<String> faults = new ArrayList<>();
    Map<String, String> typed = new LinkedHashMap<>();
    fields.forEach(
        (c, f) -> {
          String text = f.getText().strip();
          typed.put(c.id(), text);
          boolean fits =
              switch (c.takes()) {
                case WORD -> !text.isEmpty();
                case NUMBER -> Figures.typed(text).isPresent();
                case NUMBER_OR_NONE -> text.isEmpty() || Figures.typed(text).isPresent();
              };
          if (!fits) {
            faults.add(fault(c, text));
          }
        });
    wrong.setText(faults.isEmpty() ? "" : faults.getFirst());
    if (faults.isEmpty()) {
      take.accept(new Typed(typed));
    }
  }

  private static String fault(Cell c, String text) {
    String name = c.label().replaceFirst(",.*", "");
    return (text.isEmpty() ? name + " is missing" : name + ": \"" + text + "\" is no number")
        + ". Type it as "
        + c.example()
        + ".";
  }

  /** Fills a cell. */
  public FigureEntry show(String id, String text) {
    fields.forEach(
        (c, f) -> {
          if (c.id().equals(id)) {
            f.setText(text);
          }
        });
    return this;
  }

  /** Begins with the first cell. */
  public void start() {
    fields.values().iterator().next().requestFocus();
  }
}
