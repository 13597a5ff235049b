package wellspan.core.schema;

/** The type of an attribute as declared. */
public sealed interface TypeRef {
  /**
   * An aggregate.
   *
   * @param low least number of elements, 0 where not known
   * @param high greatest number, {@link Integer#MAX_VALUE} where open or not known
   */
  record Aggregate(String kind, int low, int high, TypeRef of) implements TypeRef {}

  /** A simple type, defined type, enumeration, select or entity by its name in upper case. */
  record Named(String name) implements TypeRef {}
}
