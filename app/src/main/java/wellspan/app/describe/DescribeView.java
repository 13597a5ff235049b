package wellspan.app.describe;

import java.util.Optional;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.CardColumn;
import wellspan.app.theme.Parts;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.describe.KnownFacts;
import wellspan.core.describe.PropertySet;
import wellspan.core.job.Build;

/** What the selected item is called in deliveries and which known facts it says. */
public final class DescribeView extends CardColumn {
  private final Session session;

  public DescribeView(Session session) {
    super("describe");
    this.session = session;
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.selectedProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    VBox v = new VBox();
    v.getStyleClass().add("card");
    Optional<Build.BuiltItem> chosen = session.selectedItem();
    if (chosen.isEmpty()) {
      v.getChildren()
          .addAll(
              Parts.label("What each item will say", "title"),
              Parts.wrapped(
                  "Select an item to see its class and properties as they will be delivered.",
                  "muted"));
    } else if (!new DeliveryFormat.Ifc(session.deliveries().schema())
        .carries(chosen.get().item())) {
      v.getChildren()
          .addAll(
              Parts.label(chosen.get().item().name(), "title"),
              Parts.wrapped("This item is not delivered as IFC, so it gets no class.", "muted"));
    } else {
      item(v, chosen.get());
    }
    VBox later =
        new VBox(
            Parts.label("Later here", "name"),
            Parts.wrapped(
                "Class rules for each schema version, property rules with their gaps, and the check against requirements will stand here. Until then every item gets the class of its kind and its known facts.",
                "muted"));
    later.getStyleClass().add("card");
    cards.getChildren().setAll(v, later);
  }

  private void item(VBox v, Build.BuiltItem i) {
    PropertySet facts = KnownFacts.of(i.item(), i.origin().file(), i.origin().revision());
    v.getChildren()
        .addAll(
            Parts.label(i.item().name(), "title"),
            Parts.row(
                "Class", session.build().classOf(i, session.deliveries().schema()).toString()),
            Parts.row("GlobalId", new GlobalIds(session.job().id()).of(i.id().value(), "product")),
            Parts.line(),
            Parts.label(facts.name(), "name"));
    facts.values().forEach((name, value) -> v.getChildren().add(Parts.row(name, value.show())));
  }
}
