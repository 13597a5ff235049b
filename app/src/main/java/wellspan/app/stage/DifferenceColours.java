package wellspan.app.stage;

import javafx.scene.paint.Color;
import wellspan.core.overlay.LevelDifference;

/** Colours of level differences: lower in blues, higher in reds, the same in grey. */
public final class DifferenceColours {
  private static final String[] BANDS = {
    "#1B4F72", "#2471A3", "#5499C7", "#9BC3DE", "#CFE0EA", "#D9D5C8", "#F2DCC6", "#EBB48A",
    "#DD8452", "#C25A2E", "#8E3A1B"
  };

  private DifferenceColours() {}

  /** Of a band of {@link LevelDifference}. */
  public static Color band(int i) {
    return Color.web(BANDS[i]);
  }

  /** Of a difference in metres, as 0xRRGGBB. */
  static int rgb(double difference) {
    int i = 0;
    while (i < LevelDifference.EDGES.size() && difference >= LevelDifference.EDGES.get(i)) {
      i++;
    }
    return Integer.parseInt(BANDS[i].substring(1), 16);
  }
}
