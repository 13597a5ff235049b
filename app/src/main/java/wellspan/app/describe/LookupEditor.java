package wellspan.app.describe;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import javafx.scene.control.Label;
import javafx.scene.control.TextField;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.VBox;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.rulebook.Lookup;
import wellspan.core.rulebook.ValuePart;

/** A table that turns words into others: the words that stand in the items are there already. */
final class LookupEditor extends VBox {
  private static final int MOST = 30;

  private final RuleDesk desk;
  private final Lookup table;

  LookupEditor(String name, ValuePart part, Session session) {
    super(3);
    desk = session.rules();
    setId("lookup");
    table = desk.book().lookup(name).orElse(new Lookup(name, Map.of(), null));
    getChildren().add(Parts.label("Lookup " + name, "name"));
    Set<String> words = new LinkedHashSet<>(table.rows().keySet());
    for (Build.BuiltItem i : desk.items()) {
      desk.known(i, part)
          .map(v -> v.show())
          .filter(w -> table.rows().keySet().stream().noneMatch(w::equalsIgnoreCase))
          .ifPresent(words::add);
    }
    GridPane grid = new GridPane(6, 3);
    int row = 0;
    for (String w : words.stream().limit(MOST).toList()) {
      Label from = Parts.label(w, "figure");
      from.setMaxWidth(130);
      TextField to = new TextField(table.rows().getOrDefault(w, ""));
      to.getStyleClass().add("field");
      to.setAccessibleText("Stands for " + w);
      Runnable take = () -> put(w, to.getText());
      to.setOnAction(e -> take.run());
      to.focusedProperty()
          .addListener(
              (o, was, is) -> {
                if (was && !is) {
                  take.run();
                }
              });
      grid.addRow(row++, from, Parts.label("\u2192", "muted"), to);
    }
    getChildren().add(grid);
    if (words.size() > MOST) {
      getChildren()
          .add(
              Parts.wrapped(
                  "and " + (words.size() - MOST) + " words more; take them as a rulebook file",
                  "muted"));
    }
  }

  private void put(String word, String to) {
    if (table.rows().getOrDefault(word, "").equals(to)) {
      return;
    }
    Map<String, String> rows = new LinkedHashMap<>(table.rows());
    if (to.isEmpty()) {
      rows.remove(word);
    } else {
      rows.put(word, to);
    }
    desk.edit(
        "Lookup " + table.name(),
        b -> {
          List<Lookup> all = new ArrayList<>(b.lookups());
          all.removeIf(l -> l.name().equals(table.name()));
          all.add(new Lookup(table.name(), rows, table.otherwise()));
          return b.withLookups(all);
        });
  }
}
