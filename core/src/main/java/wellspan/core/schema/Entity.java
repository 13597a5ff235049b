package wellspan.core.schema;

import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * An entity of a schema.
 *
 * @param name as in the standard, for instance {@code IfcWall}
 * @param supertype in upper case, empty if there is none
 * @param number a small number that is unique in the schema
 */
public record Entity(
    String name, String supertype, boolean isAbstract, List<Attribute> attributes, int number) {
  private static final String OF_SPACES = "InteriorOrExteriorSpace";

  /** Of doors it tells how they open, which is no type. */
  private static final String OF_LIFTS = "OperationType";

  /** What tells the predefined type; some classes of IFC2x3 have other names for it. */
  private static final Set<String> TYPES =
      Set.of("PredefinedType", OF_SPACES, "ShapeType", "DistributionPointFunction", "BarRole");

  /** The attribute that tells the predefined type. */
  public Optional<Attribute> typeAttribute() {
    for (int i = attributes.size() - 1; i >= 0; i--) { // mostly the last one
      if (isType(attributes.get(i).name())) {
        return Optional.of(attributes.get(i));
      }
    }
    return Optional.empty();
  }

  /** Whether an attribute of this name tells the predefined type. */
  public boolean isType(String attribute) {
    return TYPES.contains(attribute)
        || attribute.equals(OF_LIFTS) && name.equals("IfcTransportElement");
  }

  /**
   * Whether a literal of the type says that nobody knows it, because the schema has no way to leave
   * it out: so it is for spaces of IFC2x3.
   */
  public boolean isUnsaid(String literal) {
    return literal.equals("NOTDEFINED")
        && typeAttribute().filter(a -> a.name().equals(OF_SPACES)).isPresent();
  }

  /** Place of an attribute in the record, −1 if the entity has none of this name. */
  public int indexOf(String attribute) {
    for (int i = 0; i < attributes.size(); i++) {
      if (attributes.get(i).name().equals(attribute)) {
        return i;
      }
    }
    return -1;
  }
}
