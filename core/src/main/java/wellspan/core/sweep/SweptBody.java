package wellspan.core.sweep;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Finish;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.shape.Curved;
import wellspan.core.shape.Shape;

/** A section carried along a line as an item needs it: its shape and what is known of it. */
public final class SweptBody {
  private final LineOfWork line;
  private final double[] ring;
  private final Shape.Faces shape;

  private SweptBody(LineOfWork line, double[] ring, Shape.Faces shape) {
    this.line = line;
    this.ring = ring;
    this.shape = shape;
  }

  /**
   * @param ring x to the right and y upwards in turn, metres
   * @param offset of the base point to the right of the line, metres
   * @param height of the base point above the line, metres
   * @param fall how much it rises to the right, metres for each metre
   * @throws IllegalArgumentException with a sentence, if there is no such body
   */
  public static SweptBody of(
      LineOfWork line, double[] ring, double offset, double height, double fall) {
    double[] moved = new double[ring.length];
    double reach = 0;
    for (int i = 0; i < ring.length; i += 2) {
      moved[i] = ring[i] + offset;
      moved[i + 1] = ring[i + 1] + height;
      reach = Math.max(reach, Math.abs(moved[i]));
    }
    if (!(SweptSection.area(moved) > 1e-9)) {
      throw new IllegalArgumentException("the section has no area.");
    }
    double furthest = reach;
    SweptSection body = new SweptSection(moved, fall, chord -> line.path(furthest, chord));
    return new SweptBody(line, moved, Shape.Faces.of(body, Curved.USUAL_CHORD));
  }

  public Shape.Faces shape() {
    return shape;
  }

  /** Length along the line in plan, metres. */
  public double length() {
    return line.to() - line.from();
  }

  /** Cubic metres. */
  public double volume() {
    return shape.mesh().volume();
  }

  /** What is known of it. */
  public Description facts(String material, String section) {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put("Along", new PropertyValue.Label(line.name()));
    v.put("Section", new PropertyValue.Label(section));
    v.put("StartChainage", new PropertyValue.Length(line.chainage(line.from())));
    v.put("EndChainage", new PropertyValue.Length(line.chainage(line.to())));
    v.put("Length", new PropertyValue.Length(length()));
    v.put("SectionArea", new PropertyValue.Area(SweptSection.area(ring)));
    v.put("Volume", new PropertyValue.Measure("IfcVolumeMeasure", volume()));
    return Description.of(
        List.of(new PropertySet("Wellspan_Sweep", v)),
        Optional.of(new Finish(material, Finish.colour(material))));
  }
}
