package wellspan.core.requirement;

/**
 * A facet that objects are to have, may have, or must not have.
 *
 * @param instructions for people
 */
public record Requirement(Facet facet, Cardinality cardinality, String instructions) {
  /** Whether a facet has to be there. */
  public enum Cardinality {
    REQUIRED,
    /** If it is there its values have to fit. */
    OPTIONAL,
    PROHIBITED
  }
}
