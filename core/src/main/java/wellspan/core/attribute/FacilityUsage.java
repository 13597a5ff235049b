package wellspan.core.attribute;

/** How a part divides its facility: along it, across it, one above the other, or as an area. */
public final class FacilityUsage {
  /** The attribute of a facility part that says so. */
  public static final String ATTRIBUTE = "UsageType";

  private FacilityUsage() {}

  /**
   * What parts of a type usually do.
   *
   * @param type predefined type of the part, empty if there is none
   */
  public static String of(String type) {
    return switch (type) {
      case "ROADSEGMENT", "SEGMENT", "DECK_SEGMENT" -> "LONGITUDINAL";
      case "SUPERSTRUCTURE", "SUBSTRUCTURE", "FOUNDATION", "ABOVEGROUND", "BELOWGROUND" ->
          "VERTICAL";
      case "INTERSECTION", "ROUNDABOUT", "TOLLPLAZA", "JUNCTION", "LEVELCROSSING" -> "REGION";
      case "", "USERDEFINED", "NOTDEFINED" -> "NOTDEFINED";
      default -> "LATERAL";
    };
  }
}
