package wellspan.app.stage;

import java.util.Optional;
import javafx.scene.paint.Color;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.colouring.Colouring;
import wellspan.core.describe.Finishes;
import wellspan.core.item.Item;

/**
 * The colour of an item on the stage: by what it says if that was asked for, else of what it is
 * made of, else of its stratum.
 */
record ItemColour(Optional<Colouring> colouring) {

  /** The same, 0xRRGGBB. */
  int rgb(Build.BuiltItem item) {
    Color c = of(item);
    return (int) Math.round(255 * c.getRed()) << 16
        | (int) Math.round(255 * c.getGreen()) << 8
        | (int) Math.round(255 * c.getBlue());
  }

  Color of(Build.BuiltItem item) {
    return asked(item).orElseGet(() -> ofItsOwn(item.item()));
  }

  /** The colour by what it says; empty where that was not asked for. */
  Optional<Color> asked(Build.BuiltItem item) {
    return colouring.map(c -> c.colours().get(item.id())).map(ItemColour::color);
  }

  static Color ofItsOwn(Item item) {
    return Finishes.standard(item)
        .map(f -> color(f.rgb()))
        .orElseGet(() -> Theme.of(item.kind().stratum()));
  }

  static Color color(int rgb) {
    return Color.rgb(rgb >> 16 & 0xFF, rgb >> 8 & 0xFF, rgb & 0xFF);
  }
}
