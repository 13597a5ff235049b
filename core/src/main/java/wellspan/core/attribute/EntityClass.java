package wellspan.core.attribute;

/**
 * The class of an item in the delivered schema.
 *
 * @param entity entity name such as {@code IfcGeographicElement}; empty if there is none
 * @param predefinedType enumeration literal such as {@code TERRAIN}, empty if there is none
 * @param objectType the sender's own word for the type, as goes with {@code USERDEFINED}; empty if
 *     there is none
 */
public record EntityClass(String entity, String predefinedType, String objectType) {

  /** Where a format has no classes. */
  public static final EntityClass NONE = new EntityClass("", "", "");

  /** Without an own word for the type. */
  public EntityClass(String entity, String predefinedType) {
    this(entity, predefinedType, "");
  }

  /** What tells the type apart: the own word of a user-defined one, else the literal. */
  public String type() {
    return predefinedType.equals("USERDEFINED") && !objectType.isEmpty()
        ? objectType
        : predefinedType;
  }

  @Override
  public String toString() {
    String typed = predefinedType.isEmpty() ? entity : entity + " " + predefinedType;
    return objectType.isEmpty() ? typed : typed + " (" + objectType + ")";
  }
}
