package wellspan.app.shape;

import java.math.BigDecimal;
import java.math.MathContext;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.ComboBox;
import javafx.scene.control.TextField;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.shape.Shape;

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
            .filter(i -> i.item().shape() instanceof Shape.Picture)
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
    TextField name = text("name", "", "Textured ground");
    List<ItemId> surfaces = surfaces(Optional.empty());
    ComboBox<String> ground = choice("ground", surfaces.stream().map(this::name).toList());
    ComboBox<String> picture = choice("picture", pictures.stream().map(this::name).toList());
    TextField pixel = number("pixel size", "m", own(pictures.get(index(picture))));
    picture
        .valueProperty()
        .addListener((o, a, b) -> pixel.setText(own(pictures.get(index(picture)))));
    TextField spacing = number("grid spacing", "m", "0");
    TextField error = number("largest level error", "m", "0");
    getChildren()
        .add(
            Parts.wrapped(
                "Spacing 0 keeps the ground's triangles, an error of 0 every one of them.",
                "muted"));
    makes(
        "Lay the picture over it",
        () ->
            new TexturedGround(
                filledIn(name, "Give the textured ground a name."),
                surfaces.get(index(ground)),
                pictures.get(index(picture)),
                value(pixel),
                value(spacing),
                value(error)),
        done);
  }

  /** The size that the picture's own pixels have on the ground. */
  private String own(ItemId picture) {
    Shape.Picture g = (Shape.Picture) session.build().items().get(picture).item().shape();
    double size = g.place().width() / g.pixels().width();
    return new BigDecimal(size).round(new MathContext(4)).stripTrailingZeros().toPlainString();
  }
}
