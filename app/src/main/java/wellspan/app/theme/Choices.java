package wellspan.app.theme;

import java.util.function.Function;
import javafx.event.ActionEvent;
import javafx.event.EventHandler;
import javafx.scene.control.ChoiceBox;
import javafx.scene.control.ComboBox;
import javafx.util.StringConverter;

/** Lists to choose from. */
public final class Choices {
  private Choices() {}

  /**
   * Tells when something was chosen: while the list is open the keys only walk through it, and what
   * they rest on counts once it closes. Otherwise a card that is built anew at each choice would
   * take the open list away.
   */
  public static void onChosen(ComboBox<?> list, EventHandler<ActionEvent> chosen) {
    int[] before = {-1};
    list.setOnShowing(e -> before[0] = list.getSelectionModel().getSelectedIndex());
    list.setOnAction(
        e -> {
          if (!list.isShowing()) {
            chosen.handle(e);
          }
        });
    list.setOnHidden(
        e -> {
          if (list.getSelectionModel().getSelectedIndex() != before[0]) {
            chosen.handle(new ActionEvent(list, list));
          }
        });
  }

  /**
   * The same for a short list. One of these is made in a fraction of the time that a {@link
   * ComboBox} takes, which lays out all its lines to know its own width: for what stands in the
   * window when it opens, and has no more entries than are seen at once.
   */
  public static void onChosen(ChoiceBox<?> list, EventHandler<ActionEvent> chosen) {
    list.setOnAction(chosen);
  }

  /**
   * Shows texts as they are, and words for the empty one.
   *
   * @param nothing what stands for the empty text
   */
  public static StringConverter<String> orNothing(String nothing) {
    return new StringConverter<>() {
      @Override
      public String toString(String s) {
        return s == null || s.isEmpty() ? nothing : s;
      }

      @Override
      public String fromString(String s) {
        return s.equals(nothing) ? "" : s;
      }
    };
  }

  /** Shows each value of a list by its word. */
  public static <T> StringConverter<T> words(Function<T, String> word) {
    return new StringConverter<>() {
      @Override
      public String toString(T value) {
        return value == null ? "" : word.apply(value);
      }

      @Override
      public T fromString(String text) {
        throw new UnsupportedOperationException("nothing is typed here");
      }
    };
  }
}
