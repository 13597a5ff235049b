package wellspan.app.shape;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.job.Build;
import wellspan.core.step.Recipe;

/** Ground that a picture is to be laid over. */
final class TextureForm extends Form {
  /**
   * @param filled what was filled in before
   * @param done runs when it is being made
   */
  TextureForm(Session session, Map<String, String> filled, Runnable done) {
    super(session, "texture-", filled);
    setId("texture");
    List<ItemId> pictures =
        session.build().items().values().stream()
            .filter(i -> i.item() instanceof Item.GroundImage)
            .map(Build.BuiltItem::id)
            .toList();
    if (pictures.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped(
                  "Receive a picture of the ground first: PNG, JPEG or TIFF with its world file.",
                  "muted"));
      return;
    }
    TextField name = text("name", "Textured ground");
    List<ItemId> surfaces = surfaces(Optional.empty());
    ComboBox<String> ground = choice("ground", surfaces.stream().map(this::name).toList());
    ComboBox<String> picture = choice("picture", pictures.stream().map(this::name).toList());
    TextField pixel = number("pixels of", "m", "0.5");
    TextField spacing = number("grid of", "m; 0 keeps triangles", "0");
    TextField error = number("simplified by up to", "m; 0 for none", "0");
    makes(
        "Lay the picture over it",
        () ->
            new Recipe.TexturedGround(
                filledIn(name, "Give the textured ground a name."),
                surfaces.get(index(ground)),
                pictures.get(index(picture)),
                value(pixel),
                value(spacing),
                value(error)),
        done);
  }
}
