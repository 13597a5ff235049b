package wellspan.core.road;

import java.util.List;
import wellspan.core.attribute.PropertySet;

/**
 * One design surface of one cross section.
 *
 * @param name as in the source, empty where it has none
 * @param side as in the source: {@code left}, {@code right}, {@code both} or empty
 * @param material empty where it is not said
 * @param note what else the source says of it
 * @param form how its points are meant
 * @param thickness of a course below a line, metres; 0 where it is not said
 * @param points in the order of the source
 * @param sets what else its source says of it
 */
public record DesignArea(
    String name,
    String side,
    String material,
    String note,
    Form form,
    double thickness,
    List<SectionPoint> points,
    List<PropertySet> sets) {

  /** What points of a design surface stand for. */
  public enum Form {
    /** The outline of an area. */
    AREA,
    /** The top of a course of a stated thickness. */
    TOP,
    /** A line without thickness. */
    LINE
  }

  public DesignArea {
    points = List.copyOf(points);
    sets = List.copyOf(sets);
  }

  /** Of which nothing else is said. */
  public DesignArea(
      String name,
      String side,
      String material,
      String note,
      Form form,
      double thickness,
      List<SectionPoint> points) {
    this(name, side, material, note, form, thickness, points, List.of());
  }

  /** The same with other points. */
  DesignArea with(List<SectionPoint> others) {
    return new DesignArea(name, side, material, note, form, thickness, others, sets);
  }

  /** What the part is called: by its name, else its material. */
  public String title() {
    return !name.isEmpty() ? name : !material.isEmpty() ? material : "Course";
  }
}
