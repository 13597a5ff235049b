package wellspan.app.shape;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.core.item.ItemId;
import wellspan.core.step.Recipe;
import wellspan.core.terrain.ContourStyle;

/** Contours that are to be made as lines. */
final class ContourForm extends Form {
  /**
   * @param filled what was filled in before
   * @param done runs when they are being made
   */
  ContourForm(Session session, Map<String, String> filled, Runnable done) {
    super(session, "contours-", filled);
    setId("contours");
    TextField name = text("name", "Contours");
    List<ItemId> surfaces = surfaces(Optional.empty());
    ComboBox<String> surface = choice("of", surfaces.stream().map(this::name).toList());
    TextField interval = number("every", "m", "1");
    TextField base = number("one at level", "m", "0");
    TextField major = number("major every", "lines; 0 for none", "5");
    makes(
        "Make the contours",
        () -> {
          ContourStyle style =
              new ContourStyle(value(interval), value(base), (int) Math.rint(value(major)));
          return new Recipe.Contours(
              filledIn(name, "Give the contours a name."),
              surfaces.get(index(surface)),
              style.interval(),
              style.base(),
              style.majorEvery());
        },
        done);
  }
}
