package wellspan.exchange.ifc.read;

import java.util.BitSet;
import java.util.Optional;
import java.util.Set;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;

/**
 * What a schema says of a name that stands as the type of an attribute, looked up once.
 *
 * @param name in upper case
 * @param entity whether it is the name of an entity
 * @param members of a select, in upper case; nothing for what is none
 * @param allowed numbers of the entities that may be referred to; none but of an entity or a select
 * @param literals of an enumeration
 * @param aggregate what a defined type is a list of
 * @param simple the simple type that it comes down to; nothing if to none
 * @param maxLength of texts, 0 if any
 * @param positive whether its numbers are greater than 0
 * @param notNegative whether its numbers are not less than 0
 */
record TypeRule(
    String name,
    boolean entity,
    Optional<Set<String>> members,
    BitSet allowed,
    Optional<Set<String>> literals,
    Optional<TypeRef.Aggregate> aggregate,
    String simple,
    int maxLength,
    boolean positive,
    boolean notNegative) {
  private static final Set<String> LOGICAL = Set.of("T", "F", "U");

  static TypeRule of(Schema schema, String name) {
    boolean entity = schema.isEntity(name);
    boolean select = schema.isSelect(name);
    Optional<Schema.DefinedType> type = schema.type(name);
    return new TypeRule(
        name,
        entity,
        select ? Optional.of(schema.selectMembers(name)) : Optional.empty(),
        entity || select ? schema.allowed(name) : new BitSet(),
        schema.enumeration(name),
        type.flatMap(
            t -> t.base() instanceof TypeRef.Aggregate a ? Optional.of(a) : Optional.empty()),
        schema.simpleType(name).orElse(""),
        type.filter(t -> !t.exactLength()).map(Schema.DefinedType::maxLength).orElse(0),
        name.startsWith("IFCPOSITIVE"),
        name.startsWith("IFCNONNEGATIVE"));
  }

  /** Whether it is an enumeration or comes down to a simple type. */
  boolean isPlain() {
    return literals.isPresent() || !simple.isEmpty() && aggregate.isEmpty();
  }

  /** What is wrong with a value of a plain type; null if nothing is. */
  String faultOf(Value v) {
    if (literals.isPresent()) {
      boolean known = v instanceof Value.Literal(String l) && literals.get().contains(l);
      return known ? null : "is " + Value.shown(v) + ", which is no value of " + name;
    }
    boolean ok =
        switch (simple) {
          case "STRING", "BINARY" -> v instanceof Value.Text;
          case "REAL", "NUMBER" -> v instanceof Value.Num;
          case "INTEGER" -> v instanceof Value.Num(double d, boolean whole) && whole;
          case "BOOLEAN" ->
              v instanceof Value.Literal(String l) && LOGICAL.contains(l) && !l.equals("U");
          case "LOGICAL" -> v instanceof Value.Literal(String l) && LOGICAL.contains(l);
          default -> false;
        };
    if (!ok) {
      return "is " + Value.shown(v) + " where " + simple + " is needed";
    }
    return v instanceof Value.Num(double d, boolean _)
            && (!Double.isFinite(d) || positive && d <= 0 || notNegative && d < 0)
        ? "is " + d + ", which " + name + " does not allow"
        : null;
  }
}
