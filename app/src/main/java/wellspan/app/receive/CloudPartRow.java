package wellspan.app.receive;

import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.job.Source;
import wellspan.core.receive.ReadingRule;

/** Which points of a cloud are taken: classes, every n-th, or the lowest of each square. */
final class CloudPartRow extends VBox {
  private final Map<Integer, CheckBox> classes = new TreeMap<>();
  private final TextField every = new TextField();
  private final TextField cell = new TextField();

  /**
   * @param counts points of each class by its number and name, as the reader counts them
   */
  CloudPartRow(Session session, Source source, Map<String, Integer> counts) {
    super(5);
    ReadingRule.CloudPart now =
        source.reading() instanceof ReadingRule.CloudPart p
            ? p
            : new ReadingRule.CloudPart(new TreeSet<>(), 1, 0);
    getChildren().add(Parts.label("Points that are taken", "muted"));
    counts.forEach(
        (name, n) -> {
          int number = Integer.parseInt(name.substring(0, name.indexOf(' ')));
          CheckBox box = new CheckBox(name);
          box.setSelected(now.classes().isEmpty() || now.classes().contains(number));
          box.setId("cloud-class-" + number);
          classes.put(number, box);
          getChildren().add(Parts.row(box, Parts.label(Figures.count(n), "figure")));
        });
    field(every, "cloud-every", "every n-th", Integer.toString(now.every()), "1 for all");
    field(
        cell, "cloud-cell", "lowest of squares of", Figures.number(now.cell(), 2), "m; 0 for none");
    Button take = Parts.button("Take these points", "small", () -> take(session, source));
    take.setId("cloud-take");
    getChildren().add(take);
  }

  private void field(TextField f, String id, String name, String value, String unit) {
    f.setText(value);
    f.getStyleClass().add("field");
    f.setPrefColumnCount(4);
    f.setId(id);
    f.setAccessibleText(name + ", " + unit);
    HBox right = new HBox(6, f, Parts.label(unit, "muted"));
    right.setAlignment(Pos.CENTER_RIGHT);
    getChildren().add(Parts.row(Parts.label(name, "muted"), right));
  }

  private void take(Session session, Source source) {
    TreeSet<Integer> wanted = new TreeSet<>();
    classes.forEach(
        (number, box) -> {
          if (box.isSelected()) {
            wanted.add(number);
          }
        });
    if (wanted.isEmpty()) {
      session.complain("Choose at least one class of points.");
      return;
    }
    if (wanted.size() == classes.size()) {
      wanted.clear(); // all, also those that a later revision may bring
    }
    try {
      session
          .receiving()
          .read(
              source.name(),
              new ReadingRule.CloudPart(
                  wanted,
                  Integer.parseInt(every.getText().strip()),
                  Figures.parse(cell.getText())));
    } catch (NumberFormatException e) {
      session.complain("Write whole numbers for every n-th, and metres for the squares.");
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }
}
