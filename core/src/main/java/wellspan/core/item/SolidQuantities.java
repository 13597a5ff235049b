package wellspan.core.item;

/**
 * How a standard set names what is measured of a solid that is carried along a line, beside its
 * length and width.
 *
 * @param set name of the set of quantities
 * @param thickness its name in the set
 * @param volume its name in the set
 */
public record SolidQuantities(String set, String thickness, String volume) {}
