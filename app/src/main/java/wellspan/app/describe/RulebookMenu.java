package wellspan.app.describe;

import java.io.File;
import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Alert;
import javafx.scene.control.ButtonType;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.TextInputDialog;
import javafx.stage.FileChooser;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Hint;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.RuleTable;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.RulebookJson;

/** What is done with a rulebook as a whole: files, copies, tables, comparison. */
final class RulebookMenu extends MenuButton {
  private static final int LISTED = 20;

  private final RuleDesk desk;

  /** Under the name of the rulebook, which it is of. */
  RulebookMenu(Session session) {
    super(title(session.rules().book()));
    desk = session.rules();
    setId("rulebook-menu");
    getStyleClass().addAll("plain", "title-menu");
    setAccessibleText("Rulebook: " + getText());
    Hint.say(this, "What is done with a rulebook: files, copies, tables, comparison");
    boolean none = desk.book().equals(Rulebook.NONE);
    getItems()
        .addAll(
            item("Take one from a file \u2026", false, () -> take(this)),
            item(
                "Start from \u201c" + RulebookJson.shipped().name() + "\u201d",
                false,
                () ->
                    desk.edit(
                        "Shipped rulebook", b -> RulebookJson.shipped().copiedAs("Own rulebook"))),
            new SeparatorMenuItem(),
            item("Save as a file \u2026", none, this::save),
            item("Copy under another name \u2026", none, this::copy),
            item("Compare with a file \u2026", none, this::compare),
            new SeparatorMenuItem(),
            item("Rules as a table \u2026", none, this::saveTable),
            item("Take rules back from a table \u2026", none, this::takeTable),
            new SeparatorMenuItem(),
            item("Without a rulebook", none, () -> desk.edit("No rulebook", b -> Rulebook.NONE)));
  }

  private static String title(Rulebook book) {
    return book.equals(Rulebook.NONE)
        ? "No rulebook"
        : book.name() + (book.version().isEmpty() ? "" : ", version " + book.version());
  }

  private static MenuItem item(String text, boolean off, Runnable action) {
    MenuItem m = new MenuItem(text);
    m.setDisable(off);
    m.setOnAction(e -> action.run());
    return m;
  }

  private static final FileChooser.ExtensionFilter BOOKS =
      new FileChooser.ExtensionFilter("Rulebook", "*.json");
  private static final FileChooser.ExtensionFilter TABLES =
      new FileChooser.ExtensionFilter("Table", "*.csv", "*.xlsx");

  private static FileChooser chooser(String title, FileChooser.ExtensionFilter filter) {
    FileChooser c = new FileChooser();
    c.setTitle(title);
    c.getExtensionFilters().add(filter);
    return c;
  }

  /**
   * @param near a node in the window over which the dialog stands
   */
  void take(Node near) {
    File file = chooser("Take a rulebook", BOOKS).showOpenDialog(near.getScene().getWindow());
    if (file != null) {
      desk.take(file.toPath());
    }
  }

  private void save() {
    FileChooser c = chooser("Save the rulebook", BOOKS);
    c.setInitialFileName(desk.book().name().replaceAll("[^\\p{L}\\p{N} _-]", "") + ".json");
    File file = c.showSaveDialog(getScene().getWindow());
    if (file != null) {
      desk.write(file.toPath());
    }
  }

  private void copy() {
    TextInputDialog ask = new TextInputDialog(desk.book().name() + " 2");
    ask.initOwner(getScene().getWindow());
    ask.setHeaderText(null);
    ask.setTitle("Copy of the rulebook");
    ask.setContentText("Name");
    ask.showAndWait()
        .filter(n -> !n.isBlank())
        .ifPresent(n -> desk.edit("Rulebook " + n, b -> b.copiedAs(n.strip())));
  }

  private void compare() {
    File file = chooser("Compare with a rulebook", BOOKS).showOpenDialog(getScene().getWindow());
    if (file != null) {
      desk.compare(file.toPath())
          .ifPresent(
              d ->
                  say(
                      "Compared with " + file.getName(),
                      d.isEmpty() ? List.of("They decide the same.") : d,
                      Alert.AlertType.INFORMATION));
    }
  }

  private void saveTable() {
    FileChooser c = chooser("Rules as a table", TABLES);
    c.setInitialFileName("rules.xlsx");
    File file = c.showSaveDialog(getScene().getWindow());
    if (file != null) {
      desk.writeTable(file.toPath());
    }
  }

  /** Takes rules back after it was said what would be other than before. */
  private void takeTable() {
    File file = chooser("Take rules from a table", TABLES).showOpenDialog(getScene().getWindow());
    if (file == null) {
      return;
    }
    Optional<List<PropertyRule>> rules = desk.readTable(file.toPath());
    if (rules.isEmpty()) {
      return;
    }
    RuleTable.Change change = RuleTable.change(desk.book().properties(), rules.get());
    List<String> lines = new java.util.ArrayList<>();
    change.added().forEach(r -> lines.add("new: " + r));
    change.changed().forEach(r -> lines.add("changed: " + r));
    change.removed().forEach(r -> lines.add("gone: " + r));
    if (change.isNone()) {
      lines.add("Nothing would be other than before.");
    }
    if (say("Rules of " + file.getName(), lines, Alert.AlertType.CONFIRMATION)) {
      desk.edit("Rules of " + file.getName(), b -> b.withProperties(rules.get()));
    }
  }

  private boolean say(String title, List<String> lines, Alert.AlertType type) {
    List<String> shown = lines.subList(0, Math.min(LISTED, lines.size()));
    Alert a =
        new Alert(
            type,
            String.join("\n", shown)
                + (lines.size() > LISTED ? "\nand " + (lines.size() - LISTED) + " more" : ""));
    a.initOwner(getScene().getWindow());
    a.setTitle(title);
    a.setHeaderText(title);
    return a.showAndWait().filter(ButtonType.OK::equals).isPresent();
  }
}
