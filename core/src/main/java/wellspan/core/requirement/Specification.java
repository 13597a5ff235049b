package wellspan.core.requirement;

import java.util.List;
import java.util.Set;

/**
 * Which objects are meant and what they have to say.
 *
 * @param versions of the schema that it is for: {@code IFC2X3}, {@code IFC4}, {@code IFC4X3_ADD2}
 * @param occurs how often it has to apply
 * @param applicability facets that an object has to have, all of them, for the specification to
 *     apply
 * @param requirements facets that such objects are to have
 */
public record Specification(
    String name,
    String identifier,
    String description,
    String instructions,
    Set<String> versions,
    Occurs occurs,
    List<Facet> applicability,
    List<Requirement> requirements) {

  /** How often a specification has to apply. */
  public enum Occurs {
    /** To one object at least. */
    REQUIRED,
    /** To none or more. */
    OPTIONAL,
    /** To none. */
    PROHIBITED
  }

  public Specification {
    versions = Set.copyOf(versions);
    applicability = List.copyOf(applicability);
    requirements = List.copyOf(requirements);
  }

  /**
   * Whether it is for models of a schema.
   *
   * @param schema as a file names it
   */
  public boolean isFor(String schema) {
    String s = schema.toUpperCase(java.util.Locale.ROOT);
    String version = s.startsWith("IFC4X3") ? "IFC4X3_ADD2" : s.startsWith("IFC2X3") ? "IFC2X3" : s;
    return versions.contains(version);
  }
}
