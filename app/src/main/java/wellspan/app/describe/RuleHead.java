package wellspan.app.describe;

import java.util.List;
import javafx.geometry.Insets;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.DescribeCard;
import wellspan.app.session.RuleDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.schema.IfcSchema;

/** The head of the working surface: which rulebook, which schema, and what can be looked at. */
final class RuleHead extends HBox {
  /** One that has room to say where the rulebook comes from, pixels. */
  private static final double WIDE = 880;

  private final Session session;
  private final RuleDesk desk;

  RuleHead(Session session) {
    super(8);
    this.session = session;
    desk = session.rules();
    setAlignment(Pos.CENTER_LEFT);
    setPadding(new Insets(10, 16, 8, 20));
  }

  /** Shows a rulebook. */
  void show(Rulebook book) {
    Label about = Parts.label(about(book), "muted");
    HBox schemas = new HBox();
    ToggleGroup group = new ToggleGroup();
    for (IfcSchema s : IfcSchema.values()) {
      ToggleButton b = new ToggleButton(s.title());
      b.getStyleClass().setAll("segment");
      b.setToggleGroup(group);
      b.setSelected(desk.schemaProperty().get() == s);
      b.setMinWidth(Region.USE_PREF_SIZE);
      b.setAccessibleText("As it would be delivered in " + s.title());
      b.setOnAction(
          e -> {
            desk.schemaProperty().set(s);
            b.setSelected(true);
          });
      schemas.getChildren().add(b);
    }
    schemas.getStyleClass().add("segments");
    schemas.setMinWidth(Region.USE_PREF_SIZE);
    schemas.setMaxHeight(Region.USE_PREF_SIZE);
    RulebookMenu menu = new RulebookMenu(session);
    Button requirements =
        Parts.button("Requirements", "plain", () -> toggle(DescribeCard.REQUIREMENTS));
    requirements.setId("open-requirements");
    Button attributes = Parts.button("Attributes", "plain", () -> toggle(DescribeCard.ATTRIBUTES));
    attributes.setId("open-attributes");
    Button item = Parts.button("Item", "plain", () -> toggle(DescribeCard.ITEM));
    item.setId("open-item");
    Button compare =
        Parts.icon(Feather.COLUMNS, "Compare schemas", () -> toggle(DescribeCard.SCHEMAS));
    compare.setId("open-schemas");
    for (Button b : List.of(requirements, attributes, item)) {
      b.setMinWidth(Region.USE_PREF_SIZE);
    }
    menu.setMinWidth(120);
    menu.setMaxHeight(Region.USE_PREF_SIZE);
    HBox.setHgrow(about, Priority.SOMETIMES);
    about.setMinWidth(0);
    about.visibleProperty().bind(widthProperty().greaterThan(WIDE));
    about.managedProperty().bind(about.visibleProperty());
    getChildren()
        .setAll(menu, about, Parts.space(), schemas, compare, item, attributes, requirements);
  }

  private void toggle(DescribeCard card) {
    desk.cardProperty().set(desk.cardProperty().get() == card ? DescribeCard.NONE : card);
  }

  private static String about(Rulebook book) {
    return book.equals(Rulebook.NONE)
        ? ""
        : book.count()
            + (book.count() == 1 ? " rule" : " rules")
            + (book.copiedFrom().isEmpty()
                ? ""
                : " \u00b7 from \u201c" + book.copiedFrom() + "\u201d");
  }
}
