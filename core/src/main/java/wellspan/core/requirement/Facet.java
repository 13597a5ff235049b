package wellspan.core.requirement;

import java.util.Optional;

/** Something that an object is or says. */
public sealed interface Facet {
  /** The class, exactly, and what is meant by its type. */
  record Entity(Constraint name, Optional<Constraint> predefinedType) implements Facet {}

  /** An explicit attribute. */
  record Attribute(Constraint name, Optional<Constraint> value) implements Facet {}

  /**
   * A property or quantity in a set.
   *
   * @param dataType in upper case, empty where any will do
   */
  record Property(String dataType, Constraint set, Constraint baseName, Optional<Constraint> value)
      implements Facet {}

  /** A code of a classification. */
  record Classification(Optional<Constraint> value, Optional<Constraint> system) implements Facet {}

  /** A material by any of its names. */
  record Material(Optional<Constraint> value) implements Facet {}

  /**
   * A whole that it is part of.
   *
   * @param relation in upper case, empty where any will do; several are separated by a blank
   */
  record PartOf(String relation, Entity whole) implements Facet {}
}
