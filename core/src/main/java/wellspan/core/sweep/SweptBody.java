package wellspan.core.sweep;

import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;

/** A section carried along a line as an item needs it: its shape and what is known of it. */
public final class SweptBody {
  private final SweptSection section;
  private final Shape.Faces shape;

  private SweptBody(SweptSection section) {
    this.section = section;
    shape = Shape.Faces.of(section, Curved.USUAL_CHORD);
  }

  /**
   * @param section its name
   * @param ring x to the right and y upwards in turn, metres
   * @param offset of the base point to the right of the line, metres
   * @param height of the base point above the line, metres
   * @param fall how much it rises to the right, metres for each metre
   * @throws IllegalArgumentException with a sentence, if there is no such body
   */
  public static SweptBody of(
      LineOfWork line, String section, double[] ring, double offset, double height, double fall) {
    double[] moved = new double[ring.length];
    for (int i = 0; i < ring.length; i += 2) {
      moved[i] = ring[i] + offset;
      moved[i + 1] = ring[i + 1] + height;
    }
    if (!(SweptSection.area(moved) > 1e-9)) {
      throw new IllegalArgumentException("the section has no area.");
    }
    return new SweptBody(new SweptSection(line, section, moved, fall));
  }

  public Shape.Faces shape() {
    return shape;
  }

  /** Length along the line in plan, metres. */
  public double length() {
    return section.planLength().orElseThrow();
  }

  /** Cubic metres. */
  public double volume() {
    return shape.mesh().volume();
  }

  /** What is known of it. */
  public Description facts(String material) {
    return Description.of(
        section.facts(volume()), Optional.of(new Finish(material, Finish.colour(material))));
  }
}
