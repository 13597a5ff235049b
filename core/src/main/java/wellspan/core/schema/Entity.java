package wellspan.core.schema;

import java.util.List;

/**
 * An entity of a schema.
 *
 * @param name as in the standard, for instance {@code IfcWall}
 * @param supertype in upper case, empty if there is none
 * @param number a small number that is unique in the schema
 */
public record Entity(
    String name, String supertype, boolean isAbstract, List<Attribute> attributes, int number) {

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
