package wellspan.core.road;

/**
 * A point of a cross section.
 *
 * @param offset from the alignment in plan, positive to the right, metres
 * @param level metres
 * @param code of the string that runs through it, empty where none is given
 */
public record SectionPoint(double offset, double level, String code) {}
