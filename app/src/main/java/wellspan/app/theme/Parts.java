package wellspan.app.theme;

import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;

/** Small parts that every view is made of. */
public final class Parts {
  private Parts() {}

  /** An id that a style sheet and a search can name: what is no letter or digit becomes a dash. */
  public static String id(String prefix, String of) {
    return prefix + of.replaceAll("[^A-Za-z0-9-]+", "-");
  }

  public static Label label(String text, String... classes) {
    Label l = new Label(text);
    l.getStyleClass().addAll(classes);
    return l;
  }

  public static Label wrapped(String text, String... classes) {
    Label l = label(text, classes);
    l.setWrapText(true);
    l.setMinHeight(Region.USE_PREF_SIZE);
    return l;
  }

  /** A button that is only an icon; its name is there for screen readers and as a tip. */
  public static Button icon(Feather icon, String name, Runnable action) {
    Button b = new Button();
    b.setGraphic(new FontIcon(icon));
    b.getStyleClass().setAll("button", "bar-button");
    b.setAccessibleText(name);
    Hint.say(b, name);
    b.setOnAction(e -> action.run());
    return b;
  }

  public static Button button(String text, String style, Runnable action) {
    Button b = new Button(text);
    b.getStyleClass().setAll("button", style);
    if (style.equals("small")) {
      b.setMinWidth(Region.USE_PREF_SIZE);
    }
    b.setOnAction(e -> action.run());
    return b;
  }

  /** A name on the left and a figure on the right. */
  public static HBox row(String name, String figure, String... figureClasses) {
    Label value = label(figure, "figure");
    value.getStyleClass().addAll(figureClasses);
    value.setMinWidth(Region.USE_PREF_SIZE);
    return row(label(name, "muted"), value);
  }

  public static HBox row(Node left, Node right) {
    HBox h = new HBox(8, left, space(), right);
    h.setAlignment(Pos.CENTER_LEFT);
    return h;
  }

  public static Region space() {
    Region r = new Region();
    HBox.setHgrow(r, Priority.ALWAYS);
    return r;
  }

  public static Region line() {
    Region r = new Region();
    r.getStyleClass().add("separator-line");
    return r;
  }
}
