package wellspan.core.operation;

import wellspan.core.item.Item;
import wellspan.core.item.Kind;
import wellspan.core.shape.Shape;

/** Sorts of items as operations tell them apart. */
public enum Takes {
  POINTS("points"),
  SURFACE("a terrain surface"),
  LINES("lines"),
  AXIS("an alignment"),
  PICTURE("a picture");

  private final String words;

  Takes(String words) {
    this.words = words;
  }

  /** For sentences. */
  public String words() {
    return words;
  }

  public boolean fits(Item item) {
    return switch (this) {
      case POINTS -> item.shape() instanceof Shape.Points;
      case SURFACE -> item.kind().is(Kind.TERRAIN);
      case LINES -> item.shape() instanceof Shape.Lines;
      case AXIS -> item.shape() instanceof Shape.Axis;
      case PICTURE -> item.shape() instanceof Shape.Picture;
    };
  }
}
