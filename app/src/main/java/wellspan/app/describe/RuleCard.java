package wellspan.app.describe;

import java.util.List;
import java.util.Optional;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.RuleRef;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.rulebook.ClassRule;
import wellspan.core.rulebook.CodeSystem;
import wellspan.core.rulebook.PropertyRule;
import wellspan.core.rulebook.Subject;

/** The rule in hand, to be changed: every choice counts at once and can be undone. */
final class RuleCard extends VBox {
  private final Session session;
  private final RuleDesk desk;

  RuleCard(Session session) {
    super(8);
    this.session = session;
    desk = session.rules();
    setId("rule-card");
    getStyleClass().add("card");
    desk.selectedProperty().addListener((o, a, b) -> refresh());
    desk.cardProperty().addListener((o, a, b) -> refresh());
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.historyProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    if (desk.cardProperty().get() != DescribeCard.RULE) {
      return;
    }
    Optional<RuleRef> rule = desk.selectedProperty().get();
    if (rule.isEmpty()) {
      getChildren().setAll(Parts.wrapped("Choose a rule to change it.", "muted"));
      return;
    }
    RuleRef r = rule.get();
    List<String> attributes =
        Subject.attributesOf(
            session.build().items().values().stream().map(Build.BuiltItem::item).toList());
    switch (r.kind()) {
      case CLASS -> {
        ClassRule c = desk.book().classes().get(r.index());
        getChildren().setAll(head(r, "Class"));
        getChildren()
            .addAll(new ClassRuleEditor(c, attributes, x -> desk.replace(r.index(), x), session));
        getChildren().addAll(off(c.off(), x -> desk.replace(r.index(), c.off(x))), tools(r));
      }
      case PROPERTY -> {
        PropertyRule p = desk.book().properties().get(r.index());
        getChildren().setAll(head(r, "Property"));
        getChildren()
            .addAll(
                new PropertyRuleEditor(p, attributes, x -> desk.replace(r.index(), x), session));
        getChildren().addAll(off(p.off(), x -> desk.replace(r.index(), p.off(x))), tools(r));
      }
      case CODES -> {
        CodeSystem c = desk.book().classification().get(r.index());
        getChildren().setAll(head(r, "Classification"));
        getChildren()
            .addAll(new CodeSystemEditor(c, attributes, x -> desk.replace(r.index(), x), session));
        getChildren().addAll(off(c.off(), x -> desk.replace(r.index(), c.off(x))), tools(r));
      }
    }
  }

  private HBox head(RuleRef r, String what) {
    Button close = Parts.icon(Feather.X, "Close", () -> desk.cardProperty().set(DescribeCard.NONE));
    return Parts.row(Parts.label(what + ", rule " + (r.index() + 1), "title"), close);
  }

  private static CheckBox off(boolean off, java.util.function.Consumer<Boolean> changed) {
    CheckBox box = new CheckBox("Switched off");
    box.setId("rule-off");
    box.setSelected(off);
    box.setOnAction(e -> changed.accept(box.isSelected()));
    return box;
  }

  private HBox tools(RuleRef r) {
    Button remove = Parts.button("Take away", "small", () -> desk.remove(r));
    remove.setId("rule-remove");
    return new HBox(
        6,
        Parts.button("Up", "small", () -> desk.move(r, -1)),
        Parts.button("Down", "small", () -> desk.move(r, 1)),
        Parts.space(),
        remove);
  }
}
