package wellspan.core.road;

import java.util.List;
import wellspan.core.attribute.PropertySet;

/**
 * One part of a road between two strings over a range of chainages: a course, a kerb, a verge.
 *
 * @param name as in the source, not unique
 * @param side {@code left}, {@code right}, {@code both} or empty, as in the source or by offsets
 * @param material empty where it is not said
 * @param number from the top down among the parts of its kind that lie over each other, from 1
 * @param kind id of the kind of item that it is
 * @param thickness stated by the source, metres; 0 where it says none
 * @param body its geometry
 * @param sets what else its source says of it
 */
public record RoadPart(
    String name,
    String side,
    String material,
    int number,
    String kind,
    double thickness,
    CarriedSection body,
    List<PropertySet> sets) {
  public RoadPart {
    sets = List.copyOf(sets);
  }

  /** The same with another body. */
  RoadPart with(CarriedSection other) {
    return new RoadPart(name, side, material, number, kind, thickness, other, sets);
  }
}
