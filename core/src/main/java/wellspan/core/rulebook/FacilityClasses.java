package wellspan.core.rulebook;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** The works that a rule may place items in, each with the class of its parts. */
public final class FacilityClasses {
  private static final String ROAD = "IfcRoad";
  private static final List<String> NAMES =
      List.of(ROAD, "IfcBridge", "IfcRailway", "IfcMarineFacility", "IfcBuilding");
  private static final Map<String, String> PARTS =
      Map.of(
          ROAD,
          "IfcRoadPart",
          "IfcBridge",
          "IfcBridgePart",
          "IfcRailway",
          "IfcRailwayPart",
          "IfcMarineFacility",
          "IfcMarinePart",
          "IfcBuilding",
          "IfcBuildingStorey");

  private FacilityClasses() {}

  /** Names of the classes, the usual one first. */
  public static List<String> names() {
    return NAMES;
  }

  /**
   * What a part of a facility can be by the schema, in the order of the alphabet.
   *
   * @param facility its class, the usual one if empty
   */
  public static List<String> partTypes(String facility) {
    return literals(PARTS.get(facility.isEmpty() ? ROAD : facility)).stream()
        .filter(t -> !t.equals("USERDEFINED"))
        .sorted()
        .toList();
  }

  static List<Holder> levels(ClassRule.PartOf p) {
    String facility = p.facilityClass().isEmpty() ? ROAD : p.facilityClass();
    List<Holder> out = new ArrayList<>();
    if (!p.facility().isEmpty()) {
      out.add(new Holder(new EntityClass(facility, ""), p.facility()));
    }
    if (!p.part().isEmpty()) {
      String part = PARTS.get(facility);
      boolean listed = p.partType().isEmpty() || literals(part).contains(p.partType());
      out.add(
          new Holder(
              listed
                  ? new EntityClass(part, p.partType())
                  : new EntityClass(part, "USERDEFINED", p.partType()),
              p.part()));
    }
    return out;
  }

  private static Set<String> literals(String part) {
    return Schema.forFile(IfcSchema.IFC4X3.id())
        .orElseThrow()
        .enumeration(part.toUpperCase(java.util.Locale.ROOT) + "TYPEENUM")
        .orElse(Set.of());
  }
}
