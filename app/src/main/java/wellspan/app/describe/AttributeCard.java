package wellspan.app.describe;

import java.io.File;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import javafx.scene.control.Button;
import javafx.scene.control.TextField;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.item.ItemId;

/** What is said of the selected items by hand: one attribute for all of them at once. */
final class AttributeCard extends VBox {
  private final Session session;

  AttributeCard(Session session) {
    super(7);
    this.session = session;
    setId("attributes");
    getStyleClass().add("card");
    session.selection().idsProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.rules().cardProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    if (session.rules().cardProperty().get() != DescribeCard.ATTRIBUTES) {
      return;
    }
    Set<ItemId> ids = session.selection().ids();
    Button close =
        Parts.icon(Feather.X, "Close", () -> session.rules().cardProperty().set(DescribeCard.NONE));
    getChildren().setAll(Parts.row(Parts.label("Attributes", "title"), close));
    if (ids.isEmpty()) {
      getChildren()
          .add(Parts.wrapped("Select the items that something is to be said of.", "muted"));
    } else {
      getChildren().add(Parts.wrapped(subject(ids), "name"));
      said(ids);
      entry(ids);
    }
    Button table = Parts.button("From a table \u2026", "plain", this::fromTable);
    table.setId("attribute-table");
    getChildren()
        .addAll(
            Parts.line(),
            Parts.wrapped(
                "A table may say them of many items: a column name, id or GlobalId, and a column for each attribute.",
                "muted"),
            table);
  }

  private String subject(Set<ItemId> ids) {
    return ids.size() == 1
        ? session.selectedItem().map(i -> i.item().name()).orElse("One item")
        : ids.size() + " items";
  }

  /** What was said before, and by how many of the items. */
  private void said(Set<ItemId> ids) {
    Map<String, Set<String>> all = new TreeMap<>();
    Map<String, Integer> count = new TreeMap<>();
    for (ItemId id : ids) {
      session
          .job()
          .settingsOf(id)
          .attributes()
          .forEach(
              (name, value) -> {
                all.computeIfAbsent(name, k -> new TreeSet<>()).add(value);
                count.merge(name, 1, Integer::sum);
              });
    }
    all.forEach(
        (name, values) -> {
          boolean same = values.size() == 1 && count.get(name) == ids.size();
          String shown =
              same ? values.iterator().next() : values.size() + " values in " + count.get(name);
          Button drop =
              Parts.icon(
                  Feather.X,
                  "Take back " + name,
                  () -> session.rules().say(List.copyOf(ids), name, ""));
          HBox row = Parts.row(name, shown);
          row.getChildren().add(drop);
          getChildren().add(row);
        });
  }

  private void entry(Set<ItemId> ids) {
    TextField name = field("attribute-name", "Status");
    TextField value = field("attribute-value", "as built");
    Button say =
        Parts.button(
            "Say it of " + (ids.size() == 1 ? "this item" : "all " + ids.size()),
            "primary",
            () -> {
              if (name.getText().isBlank() || value.getText().isBlank()) {
                session.complain("Type a name and a value, such as Status and as built.");
              } else {
                session
                    .rules()
                    .say(List.copyOf(ids), name.getText().strip(), value.getText().strip());
              }
            });
    say.setId("attribute-say");
    say.setMaxWidth(Double.MAX_VALUE);
    getChildren()
        .addAll(
            Parts.line(),
            Parts.label("Name, or set and name: Client.Status", "muted"),
            name,
            Parts.label("Value", "muted"),
            value,
            say);
  }

  private static TextField field(String id, String example) {
    TextField f = new TextField();
    f.setId(id);
    f.getStyleClass().add("field");
    f.setPromptText(example);
    return f;
  }

  private void fromTable() {
    FileChooser c = new FileChooser();
    c.setTitle("Attributes of items");
    c.getExtensionFilters().add(new FileChooser.ExtensionFilter("Table", "*.csv", "*.xlsx"));
    File file = c.showOpenDialog(getScene().getWindow());
    if (file != null) {
      session.rules().takeAttributes(file.toPath());
    }
  }
}
