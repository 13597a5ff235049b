package wellspan.core.bridge;

/**
 * Measures of a bridge, metres.
 *
 * @param left of the deck from the axis to the left
 * @param right of the deck from the axis to the right
 * @param depth of the deck's upper side below the profile
 * @param thickness of the deck
 * @param beamWidth of cross beams along the axis
 * @param beamDepth of cross beams
 * @param columns at each pier
 * @param diameter of the columns
 * @param bearing height of the bearings between cross beam and deck
 * @param abutment thickness of the abutments along the axis
 * @param footing how deep columns and abutments reach into the ground
 */
public record BridgeMeasures(
    double left,
    double right,
    double depth,
    double thickness,
    double beamWidth,
    double beamDepth,
    int columns,
    double diameter,
    double bearing,
    double abutment,
    double footing) {}
