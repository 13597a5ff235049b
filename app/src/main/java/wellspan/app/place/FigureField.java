package wellspan.app.place;

import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/** A figure that can be edited where it stands: Enter takes it, Escape puts the old one back. */
final class FigureField extends TextField {
  private final Consumer<String> take;
  private String shown;

  FigureField(String id, String name, double width, Consumer<String> take) {
    this.take = take;
    shown = "";
    setId(id);
    setAccessibleText(name);
    getStyleClass().add("field");
    setPrefWidth(width);
    setOnAction(e -> taken());
    focusedProperty()
        .addListener(
            (o, a, focused) -> {
              if (!focused) {
                taken();
              }
            });
    setOnKeyPressed(
        e -> {
          if (e.getCode() == KeyCode.ESCAPE) {
            setText(shown);
            getParent().requestFocus();
            e.consume();
          }
        });
  }

  private void taken() {
    if (!getText().equals(shown)) {
      take.accept(getText().strip());
    }
  }

  /** Shows a value; while somebody types it stays as it is. */
  FigureField show(String text) {
    shown = text;
    if (!isFocused() || getText().isEmpty()) {
      setText(text);
    }
    return this;
  }

  /** Shows a value even while the field has the focus. */
  void reset(String text) {
    shown = text;
    setText(text);
  }
}
