package wellspan.app.shell;

import javafx.geometry.Insets;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.OverrunStyle;
import javafx.scene.layout.Background;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import org.kordamp.ikonli.javafx.FontIcon;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;

/** The line of an item in the strata, used again for other items as the list is scrolled. */
final class StrataItemLine extends HBox {
  private static final double GAP = 3;
  private static final Insets PLAIN = new Insets(0, 0, 0, 4);
  private static final Insets GROUPED = new Insets(0, 0, 0, 12);

  private final Region colour = new Region();
  private final Label name = Parts.label("");
  private final Label figure = Parts.label("", "figure", "muted");
  private final FontIcon icon = new FontIcon(Feather.EYE);
  private final Button eye = Parts.icon(Feather.EYE, "", () -> {});

  StrataItemLine() {
    super(GAP);
    getStyleClass().add("strata-item");
    colour.getStyleClass().add("band-colour");
    colour.setMaxHeight(Double.MAX_VALUE);
    name.setMinWidth(20);
    name.setTextOverrun(OverrunStyle.CENTER_ELLIPSIS); // courses differ at the end of their names
    figure.setMinWidth(Region.USE_PREF_SIZE);
    eye.setGraphic(icon);
    getChildren().addAll(colour, name, Parts.space(), figure, eye);
  }

  /**
   * @param grouped whether it stands under a group
   * @param stale whether it is being made anew
   * @param shown whether it is seen on the stage
   * @param flip hides or shows it
   */
  void show(
      String title,
      String value,
      boolean grouped,
      boolean stale,
      Background band,
      boolean shown,
      Runnable flip) {
    name.setText(title);
    name.setPadding(grouped ? GROUPED : PLAIN);
    figure.setText(value);
    colour.setBackground(band);
    if (stale != name.getStyleClass().contains("stale")) {
      if (stale) {
        name.getStyleClass().add("stale");
      } else {
        name.getStyleClass().remove("stale");
      }
    }
    Feather sign = shown ? Feather.EYE : Feather.EYE_OFF;
    if (icon.getIconCode() != sign) {
      icon.setIconCode(sign);
    }
    String what = (shown ? "Hide " : "Show ") + title;
    eye.setAccessibleText(what);
    Hint.say(eye, what);
    eye.setOnAction(e -> flip.run());
  }
}
