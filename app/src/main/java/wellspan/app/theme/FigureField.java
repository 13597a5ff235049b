package wellspan.app.theme;

import java.util.function.Consumer;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;

/** A figure that can be edited where it stands: Enter takes it, Escape puts the old one back. */
public final class FigureField extends TextField {
  private final Consumer<String> take;
  private String shown;
  private String taken = "";

  /**
   * @param name for screen readers
   * @param width pixels
   * @param take told of what was typed
   */
  public FigureField(String id, String name, double width, Consumer<String> take) {
    this.take = take;
    shown = "";
    setId(id);
    setAccessibleText(name);
    getStyleClass().add("field");
    setPrefWidth(width);
    setOnAction(e -> take(false));
    focusedProperty()
        .addListener(
            (o, a, focused) -> {
              if (!focused) {
                take(true);
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

  /**
   * @param leaving when the field is only left, what was taken already is not taken again
   */
  private void take(boolean leaving) {
    String text = getText();
    if (!text.equals(shown) && !(leaving && text.equals(taken))) {
      taken = text;
      take.accept(text.strip());
    }
  }

  /** Shows a value; while somebody types it stays as it is. */
  public FigureField show(String text) {
    shown = text;
    taken = "";
    if (!isFocused() || getText().isEmpty()) {
      setText(text);
    }
    return this;
  }

  /** Shows a value even while the field has the focus. */
  public void reset(String text) {
    shown = text;
    setText(text);
  }
}
