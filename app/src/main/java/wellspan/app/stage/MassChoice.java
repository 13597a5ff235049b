package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.util.StringConverter;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;

/** The two surfaces between which is measured what is cut and filled along the alignment. */
final class MassChoice extends HBox {
  private final Session session;
  private final ComboBox<Optional<ItemId>> existing = list("mass-existing", "masses: from");
  private final ComboBox<Optional<ItemId>> proposed = list("mass-proposed", "to");

  /**
   * @param chosen is told of both, or of nothing where one is missing
   */
  MassChoice(Session session, BiConsumer<Optional<ItemId>, Optional<ItemId>> chosen) {
    super(6);
    this.session = session;
    setAlignment(Pos.CENTER_LEFT);
    existing.setAccessibleText("Existing surface for masses");
    proposed.setAccessibleText("Proposed surface for masses");
    Choices.onChosen(existing, e -> chosen.accept(existing.getValue(), proposed.getValue()));
    Choices.onChosen(proposed, e -> chosen.accept(existing.getValue(), proposed.getValue()));
    getChildren().addAll(existing, Parts.label("\u2192", "muted"), proposed);
    session.buildProperty().addListener((o, a, b) -> offer());
    offer();
  }

  private void offer() {
    List<Optional<ItemId>> all = new ArrayList<>(List.of(Optional.empty()));
    session.build().items().values().stream()
        .filter(i -> i.item().ground().isPresent())
        .map(Build.BuiltItem::id)
        .map(Optional::of)
        .forEach(all::add);
    for (ComboBox<Optional<ItemId>> c : List.of(existing, proposed)) {
      if (!c.getItems().equals(all)) {
        Optional<ItemId> now = c.getValue();
        c.getItems().setAll(all);
        c.setValue(all.contains(now) ? now : Optional.empty());
      }
    }
  }

  private ComboBox<Optional<ItemId>> list(String id, String nothing) {
    ComboBox<Optional<ItemId>> c = new ComboBox<>();
    c.setId(id);
    c.setPrefWidth(150);
    c.setValue(Optional.empty());
    c.setConverter(
        new StringConverter<>() {
          @Override
          public String toString(Optional<ItemId> of) {
            return of == null || of.isEmpty()
                ? nothing + " \u2026"
                : Optional.ofNullable(session.build().items().get(of.get()))
                    .map(i -> i.item().name())
                    .orElse(nothing + " \u2026");
          }

          @Override
          public Optional<ItemId> fromString(String s) {
            return Optional.empty();
          }
        });
    return c;
  }
}
