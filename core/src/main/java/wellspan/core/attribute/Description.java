package wellspan.core.attribute;

import java.util.List;
import java.util.Optional;

/**
 * What a file says of an item, or is to say of it.
 *
 * @param entityClass {@link EntityClass#NONE} where the format has no classes
 * @param globalId 22 characters, empty where the format has none
 * @param finish material and colour, where it has any
 * @param closed whether the file calls its faces a closed body; empty where it does not say
 * @param classification codes of classifications
 * @param structure where in the structure of its model it stands below the site, outermost first;
 *     empty in the site itself, and where a format has no structure
 */
public record Description(
    EntityClass entityClass,
    String globalId,
    List<PropertySet> propertySets,
    Optional<Finish> finish,
    Optional<Boolean> closed,
    List<Classified> classification,
    List<SpatialPart> structure) {

  /** Of an item that a file says nothing of. */
  public static final Description NONE =
      new Description(EntityClass.NONE, "", List.of(), Optional.empty(), Optional.empty());

  public Description {
    propertySets = List.copyOf(propertySets);
    classification = List.copyOf(classification);
    structure = List.copyOf(structure);
  }

  /** Without a place in a structure. */
  public Description(
      EntityClass entityClass,
      String globalId,
      List<PropertySet> propertySets,
      Optional<Finish> finish,
      Optional<Boolean> closed,
      List<Classified> classification) {
    this(entityClass, globalId, propertySets, finish, closed, classification, List.of());
  }

  /** Without codes. */
  public Description(
      EntityClass entityClass,
      String globalId,
      List<PropertySet> propertySets,
      Optional<Finish> finish,
      Optional<Boolean> closed) {
    this(entityClass, globalId, propertySets, finish, closed, List.of());
  }

  /** Without a word on whether it is closed. */
  public Description(
      EntityClass entityClass,
      String globalId,
      List<PropertySet> propertySets,
      Optional<Finish> finish) {
    this(entityClass, globalId, propertySets, finish, Optional.empty());
  }

  /** Without material and colour. */
  public Description(EntityClass entityClass, String globalId, List<PropertySet> propertySets) {
    this(entityClass, globalId, propertySets, Optional.empty());
  }

  /** What formats without classes and identities say: properties, material and colour. */
  public static Description of(List<PropertySet> sets, Optional<Finish> finish) {
    return new Description(EntityClass.NONE, "", sets, finish);
  }

  public Description withGlobalId(String id) {
    return new Description(
        entityClass, id, propertySets, finish, closed, classification, structure);
  }

  public Description withSets(List<PropertySet> sets) {
    return new Description(entityClass, globalId, sets, finish, closed, classification, structure);
  }

  public Description withClosed(boolean body) {
    return new Description(
        entityClass, globalId, propertySets, finish, Optional.of(body), classification, structure);
  }

  /** With these codes of classifications instead of its own. */
  public Description withClassification(List<Classified> codes) {
    return new Description(entityClass, globalId, propertySets, finish, closed, codes, structure);
  }

  /** Standing elsewhere in the structure. */
  public Description within(List<SpatialPart> path) {
    return new Description(
        entityClass, globalId, propertySets, finish, closed, classification, path);
  }
}
