package wellspan.app.describe;

import java.util.List;
import java.util.Optional;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ProgressBar;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.RuleRef;
import wellspan.app.theme.Hint;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.rulebook.Cell;
import wellspan.core.rulebook.ValuePart;

/** A rule as a line from what an item knows to what it will say, with how many items say it. */
final class RuleCell extends ListCell<RuleLine> {
  private static final double HEIGHT = 42;
  private static final double SOURCE = 210;
  private static final double TARGET = 280;
  private final RuleDesk desk;

  RuleCell(RuleDesk desk) {
    this.desk = desk;
    setPadding(Insets.EMPTY);
    setPrefWidth(0); // as wide as the list
    setPrefHeight(HEIGHT);
  }

  @Override
  protected void updateItem(RuleLine line, boolean empty) {
    super.updateItem(line, empty);
    setText(null);
    if (empty || line == null) {
      Hint.say(this, "");
      setGraphic(null);
      return;
    }
    List<Build.BuiltItem> items = desk.items();
    Label from = Parts.label(line.from(), "name");
    Label example = Parts.label(line.off() ? "switched off" : example(line, items), "figure");
    example.getStyleClass().add("muted");
    VBox source = new VBox(from, example);
    source.setAlignment(Pos.CENTER_LEFT);
    room(source, 120, SOURCE);
    HBox track = track(line);
    HBox.setHgrow(track, Priority.ALWAYS);
    HBox row = new HBox(10, source, track);
    row.getChildren().addAll(reach(line, items));
    row.setAlignment(Pos.CENTER_LEFT);
    row.getStyleClass().add("rule-row");
    if (desk.selectedProperty().get().filter(line.rule()::equals).isPresent()) {
      row.getStyleClass().add("selected");
    }
    row.setOpacity(line.off() ? 0.5 : 1);
    Hint.say(this, "For " + line.when());
    setGraphic(row);
  }

  private static void fix(Region r, double width) {
    r.setMinWidth(width);
    r.setPrefWidth(width);
    r.setMaxWidth(width);
  }

  /** As wide as is usual, and narrower where a card stands beside the rules. */
  private static void room(Region r, double least, double usual) {
    r.setMinWidth(least);
    r.setPrefWidth(usual);
    r.setMaxWidth(usual);
  }

  private HBox track(RuleLine line) {
    Region stop = new Region();
    stop.getStyleClass().add("rule-stop");
    HBox track = new HBox(stop, rail());
    if (!line.how().isEmpty()) {
      Label how = Parts.label(line.how(), "figure");
      how.getStyleClass().add("rule-how");
      how.setMinWidth(84);
      how.setAlignment(Pos.CENTER);
      track.getChildren().addAll(how, rail());
    }
    Label target = Parts.label(line.target(), "name");
    Label type = Parts.label(line.type(), "muted");
    type.setMinWidth(Region.USE_PREF_SIZE);
    HBox box = new HBox(8, target, Parts.space(), type);
    box.setAlignment(Pos.CENTER_LEFT);
    box.getStyleClass().add("rule-target");
    room(box, 170, TARGET);
    box.setMaxHeight(30);
    track.getChildren().add(box);
    track.setAlignment(Pos.CENTER_LEFT);
    return track;
  }

  private static Region rail() {
    Region r = new Region();
    r.getStyleClass().add("rule-rail");
    HBox.setHgrow(r, Priority.ALWAYS);
    r.setMinWidth(8);
    return r;
  }

  /** How many of the items that the rule is for say what it asks for. */
  private List<Node> reach(RuleLine line, List<Build.BuiltItem> items) {
    if (line.rule().kind() == RuleRef.Kind.CLASS) {
      Region none = new Region();
      fix(none, 172);
      return List.of(none);
    }
    RuleDesk.Reach reach = desk.reach(line.rule(), items);
    ProgressBar bar = new ProgressBar(reach.of() == 0 ? 0 : (double) reach.said() / reach.of());
    bar.getStyleClass().add("rule-bar");
    String state = reach.wrong() ? "error" : reach.said() < reach.of() ? "warning" : "proven";
    bar.getStyleClass().add("rule-bar-" + state);
    fix(bar, 90);
    Label count =
        Parts.label(
            reach.of() == 0 ? "no item" : reach.said() + " of " + reach.of(),
            "figure",
            reach.of() == 0 ? "muted" : state);
    count.setAlignment(Pos.CENTER_RIGHT);
    fix(count, 72);
    return List.of(bar, count);
  }

  /** What the rule finds on the first item that it is for. */
  private String example(RuleLine line, List<Build.BuiltItem> items) {
    if (line.rule().kind() == RuleRef.Kind.CLASS) {
      return line.when();
    }
    for (Build.BuiltItem i : items) {
      Cell c = desk.cell(line.rule(), desk.ruled(i));
      if (c.state() == Cell.State.SAID) {
        return line.rule().kind() == RuleRef.Kind.PROPERTY
            ? source(line.rule(), i).orElse(ShownValue.of(c.value().orElseThrow()))
            : c.value().orElseThrow().show();
      }
    }
    return line.when();
  }

  /** What goes into a rule of one part, before it is turned into something else. */
  private Optional<String> source(RuleRef rule, Build.BuiltItem i) {
    ValuePart part = desk.book().properties().get(rule.index()).value().getFirst();
    return desk.known(i, part).map(ShownValue::of);
  }
}
