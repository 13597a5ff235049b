package wellspan.core.describe;

/**
 * The class of an item in the delivered schema.
 *
 * @param entity entity name such as {@code IfcGeographicElement}
 * @param predefinedType enumeration literal such as {@code TERRAIN}, empty if there is none
 */
public record EntityClass(String entity, String predefinedType) {

  @Override
  public String toString() {
    return predefinedType.isEmpty() ? entity : entity + " " + predefinedType;
  }
}
