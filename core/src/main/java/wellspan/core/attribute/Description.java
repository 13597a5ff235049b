package wellspan.core.attribute;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What a file says of an item, or is to say of it.
 *
 * @param entityClass {@link EntityClass#NONE} where the format has no classes
 * @param globalId 22 characters, empty where the format has none
 * @param finish material and colour, where it has any
 * @param closed whether the file calls its faces a closed body; empty where it does not say
 * @param classification codes of classifications
 * @param structure where in its model it stands below the site: levels outermost first, behind them
 *     assemblies without a shape of their own that it is a part of; empty in the site itself, and
 *     where a format has no structure
 * @param groups groups and systems that it is a member of
 * @param type the type object that it is of; empty where it has none or one is made here
 * @param attributes what its entity says by itself ({@link EntityAttributes}), by name
 * @param materials several ones that it is made of, the names of which are those of its finish
 */
public record Description(
    EntityClass entityClass,
    String globalId,
    List<PropertySet> propertySets,
    Optional<Finish> finish,
    Optional<Boolean> closed,
    List<Classified> classification,
    List<Holder> structure,
    List<Holder> groups,
    Optional<Holder> type,
    Map<String, PropertyValue> attributes,
    Optional<MaterialSet> materials) {

  /** Of an item that a file says nothing of. */
  public static final Description NONE =
      new Description(EntityClass.NONE, "", List.of(), Optional.empty(), Optional.empty());

  public Description {
    propertySets = List.copyOf(propertySets);
    classification = List.copyOf(classification);
    structure = List.copyOf(structure);
    groups = List.copyOf(groups);
    attributes = Map.copyOf(attributes);
  }

  /** Of nothing that holds others. */
  public Description(
      EntityClass entityClass,
      String globalId,
      List<PropertySet> propertySets,
      Optional<Finish> finish,
      Optional<Boolean> closed,
      List<Classified> classification) {
    this(
        entityClass,
        globalId,
        propertySets,
        finish,
        closed,
        classification,
        List.of(),
        List.of(),
        Optional.empty(),
        Map.of(),
        Optional.empty());
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
    return with(id, propertySets, closed, classification, structure);
  }

  /** As another class, with what its entity says by itself. */
  public Description as(EntityClass other, Map<String, PropertyValue> own) {
    return new Description(
        other,
        globalId,
        propertySets,
        finish,
        closed,
        classification,
        structure,
        groups,
        type,
        own,
        materials);
  }

  public Description withSets(List<PropertySet> sets) {
    return with(globalId, sets, closed, classification, structure);
  }

  public Description withClosed(boolean body) {
    return with(globalId, propertySets, Optional.of(body), classification, structure);
  }

  /** With these codes of classifications instead of its own. */
  public Description withClassification(List<Classified> codes) {
    return with(globalId, propertySets, closed, codes, structure);
  }

  /** Standing elsewhere in the structure. */
  public Description within(List<Holder> path) {
    return with(globalId, propertySets, closed, classification, path);
  }

  /** A member of other groups, and of another type. */
  public Description heldBy(List<Holder> otherGroups, Optional<Holder> otherType) {
    return new Description(
        entityClass,
        globalId,
        propertySets,
        finish,
        closed,
        classification,
        structure,
        otherGroups,
        otherType,
        attributes,
        materials);
  }

  /** With other attributes of its entity. */
  public Description withAttributes(Map<String, PropertyValue> others) {
    return as(entityClass, others);
  }

  /** Made of several materials; empty where its finish says all. */
  public Description madeOf(Optional<MaterialSet> others) {
    return new Description(
        entityClass,
        globalId,
        propertySets,
        finish,
        closed,
        classification,
        structure,
        groups,
        type,
        attributes,
        others);
  }

  private Description with(
      String id,
      List<PropertySet> sets,
      Optional<Boolean> body,
      List<Classified> codes,
      List<Holder> path) {
    return new Description(
        entityClass, id, sets, finish, body, codes, path, groups, type, attributes, materials);
  }
}
