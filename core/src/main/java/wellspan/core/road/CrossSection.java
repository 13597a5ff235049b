package wellspan.core.road;

import java.util.List;

/**
 * The design surfaces at one place of an alignment.
 *
 * @param distance from the alignment's start in plan, metres
 * @param skew angle between the section and the square to the alignment, clockwise, radians
 * @param areas in the order of the source
 */
public record CrossSection(double distance, double skew, List<DesignArea> areas) {
  public CrossSection {
    areas = List.copyOf(areas);
  }
}
