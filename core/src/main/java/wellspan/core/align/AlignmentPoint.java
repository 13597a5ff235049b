package wellspan.core.align;

/**
 * A point on an alignment.
 *
 * @param distance from the alignment's start in plan, metres
 * @param chainage its label
 * @param level of the profile there, NaN where there is none
 * @param direction angle from the easting axis counter-clockwise, radians
 */
public record AlignmentPoint(
    double distance, double chainage, double east, double north, double level, double direction) {}
