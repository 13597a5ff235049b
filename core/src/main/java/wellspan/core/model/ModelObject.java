package wellspan.core.model;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.attribute.Classified;

/**
 * An object of a model: a product, a part of the structure, a type, a group, a project. What its
 * type says is merged in.
 *
 * @param number in its file
 * @param entity class as in the standard, for instance {@code IfcCourse}
 * @param role what sort of object it is
 * @param predefinedType what is meant by it: the own word of a user-defined one, else the literal;
 *     empty where nothing says
 * @param userDefined whether the predefined type is an own word
 * @param attributes explicit attributes that have a value, by name
 * @param layer of its shape, empty if none
 * @param colour of its shape, 0xRRGGBB
 * @param parts what it is part of
 */
public record ModelObject(
    int number,
    String globalId,
    String name,
    String entity,
    Role role,
    String predefinedType,
    boolean userDefined,
    Map<String, ModelValue> attributes,
    List<ModelSet> sets,
    List<Classified> classification,
    List<Material> materials,
    String layer,
    Optional<Integer> colour,
    List<String> groups,
    List<PartOf> parts) {

  /** Sorts of objects. */
  public enum Role {
    /** Has a place in the model. */
    PRODUCT,
    /** A part of the spatial structure. */
    SPATIAL,
    /** What several occurrences have in common. */
    TYPE,
    /** Groups, the project, tasks and others. */
    OTHER
  }

  /**
   * A material, or one in a set.
   *
   * @param name of the material itself, empty where a layer names none
   * @param words all names and categories by which it is known
   */
  public record Material(String name, List<String> words) {}

  /**
   * A relation to a whole.
   *
   * @param relation in upper case, for instance {@code IFCRELAGGREGATES}
   * @param whole number of the whole
   */
  public record PartOf(String relation, int whole) {}

  public ModelObject {
    sets = List.copyOf(sets);
    classification = List.copyOf(classification);
    materials = List.copyOf(materials);
    groups = List.copyOf(groups);
    parts = List.copyOf(parts);
  }
}
