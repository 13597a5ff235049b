package wellspan.app.shape;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.core.item.ItemId;
import wellspan.core.step.Recipe;
import wellspan.core.step.Step;

/**
 * A pad that is to be made: its outline, level, fall and side slopes, and the ground it ends on.
 */
final class PadForm extends Form {
  /**
   * @param filled what was filled in before
   * @param done runs when the pad is being made
   */
  PadForm(Session session, Map<String, String> filled, Runnable done) {
    super(session, "pad-", filled);
    setId("pad");
    TextField name = text("name", "Pad");
    List<ItemId> grounds = surfaces(Optional.empty());
    ComboBox<String> ground = choice("ground", grounds.stream().map(this::name).toList());
    Supplier<Step.Outline> outline = outline(Optional.empty());
    TextField level = number("level in the middle", "m", "");
    TextField fall = number("fall", "%", "0");
    TextField bearing = number("falls towards", "° from N", "0");
    TextField cut = number("slope in cut 1 :", "", "1.5");
    TextField fill = number("slope in fill 1 :", "", "2");
    makes(
        "Make the pad",
        () ->
            new Recipe.GradedPad(
                filledIn(name, "Give the pad a name."),
                grounds.get(index(ground)),
                outline.get(),
                value(level),
                value(fall),
                value(bearing),
                value(cut),
                value(fill)),
        done);
  }
}
