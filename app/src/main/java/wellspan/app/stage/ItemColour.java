package wellspan.app.stage;

import javafx.scene.paint.Color;
import wellspan.app.theme.Theme;
import wellspan.core.describe.Finishes;
import wellspan.core.item.Item;

/** The colour of an item on the stage: of what it is made of, or of its stratum. */
final class ItemColour {
  private ItemColour() {}

  /** The same, 0xRRGGBB. */
  static int rgb(Item item) {
    Color c = of(item);
    return (int) Math.round(255 * c.getRed()) << 16
        | (int) Math.round(255 * c.getGreen()) << 8
        | (int) Math.round(255 * c.getBlue());
  }

  static Color of(Item item) {
    return Finishes.standard(item)
        .map(f -> Color.rgb(f.rgb() >> 16 & 0xFF, f.rgb() >> 8 & 0xFF, f.rgb() & 0xFF))
        .orElseGet(() -> Theme.of(item.kind().stratum()));
  }
}
