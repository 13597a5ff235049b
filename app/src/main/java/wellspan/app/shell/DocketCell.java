package wellspan.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import javafx.scene.control.Hyperlink;
import javafx.scene.control.Label;
import javafx.scene.control.Labeled;
import javafx.scene.layout.VBox;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.finding.Stop;

/**
 * A cell of the docket: lines, and under them what can be done. Its nodes are kept and used again,
 * since whoever walks through items with the arrow keys waits for them.
 */
final class DocketCell extends VBox {
  private final VBox lineBox = new VBox(2);
  private final VBox linkBox = new VBox(2);
  private final List<Label> lines = new ArrayList<>();
  private final List<Hyperlink> links = new ArrayList<>();
  private int linesUsed;
  private int linksUsed;

  DocketCell(Stop stop) {
    super(2);
    setId("docket-" + stop.name().toLowerCase(Locale.ROOT));
    getChildren().addAll(Parts.label(stop.title(), "docket-stop"), lineBox, linkBox);
  }

  /** Begins anew; what is not said again goes with {@link #end}. */
  void begin() {
    linesUsed = 0;
    linksUsed = 0;
  }

  void line(String text, String... styles) {
    if (linesUsed == lines.size()) {
      Label l = new Label();
      l.setMaxWidth(Double.MAX_VALUE);
      lines.add(l);
      lineBox.getChildren().add(l);
    }
    Label l = lines.get(linesUsed++);
    boolean figure = List.of(styles).contains("figure");
    show(l, text, "label", figure ? "" : "docket-line", styles);
    Hint.say(l, text);
  }

  void link(String id, String text, String tip, Runnable action, String... styles) {
    if (linksUsed == links.size()) {
      Hyperlink h = new Hyperlink();
      links.add(h);
      linkBox.getChildren().add(h);
    }
    Hyperlink h = links.get(linksUsed++);
    h.setId(id);
    h.setVisited(false);
    h.setOnAction(e -> action.run());
    show(h, text, "hyperlink", "docket-line", styles);
    Hint.say(h, tip);
  }

  private static void show(Labeled node, String text, String kind, String own, String... styles) {
    List<String> classes = new ArrayList<>(List.of(kind));
    if (!own.isEmpty()) {
      classes.add(own);
    }
    classes.addAll(List.of(styles));
    if (!node.getStyleClass().equals(classes)) {
      node.getStyleClass().setAll(classes);
    }
    node.setText(text);
    node.setVisible(true);
    node.setManaged(true);
  }

  /** Hides what was said before and is not any more. */
  void end() {
    hide(lines.subList(linesUsed, lines.size()));
    hide(links.subList(linksUsed, links.size()));
  }

  private static void hide(List<? extends Labeled> rest) {
    for (Labeled l : rest) {
      l.setVisible(false);
      l.setManaged(false);
      l.setText("");
      l.setId(null);
    }
  }
}
