package wellspan.exchange.ifc.write;

import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;

/**
 * Checks every record against the schema before it is written: entity, number of attributes,
 * required ones, kinds of values, enumeration literals, select members, types of referenced
 * instances, string lengths, aggregate bounds.
 */
final class SchemaGuard {
  private static final Set<String> LOGICAL = Set.of("T", "F", "U");

  private final Schema schema;
  private final Map<String, Entity> writable = new HashMap<>();
  private final Map<String, Named> named = new HashMap<>();

  /**
   * What is asked for at each attribute of an entity, by its number; filled as they are written.
   */
  private Rule[][] rules = new Rule[0][];

  private short[] entityOf = new short[1024];

  SchemaGuard(Schema schema) {
    this.schema = schema;
  }

  Entity entity(String name) {
    Entity known = writable.get(name);
    if (known != null) {
      return known;
    }
    Entity e =
        schema
            .entity(name)
            .orElseThrow(
                () -> new SchemaViolation(name + " is not an entity of " + schema.id() + "."));
    if (e.isAbstract()) {
      throw new SchemaViolation(
          name + " is abstract in " + schema.id() + " and cannot be written.");
    }
    writable.put(name, e);
    return e;
  }

  void check(Entity e, StepValue[] values) {
    List<Attribute> attributes = e.attributes();
    if (attributes.size() != values.length) {
      throw new SchemaViolation(
          e.name()
              + " has "
              + attributes.size()
              + " attributes, "
              + values.length
              + " were given.");
    }
    for (int i = 0; i < values.length; i++) {
      Attribute a = attributes.get(i);
      StepValue v = values[i];
      if (a.derived() != (v instanceof StepValue.Derived)) {
        throw bad(
            e, a, a.derived() ? "is derived and must be *" : "is not derived and cannot be *");
      }
      if (v instanceof StepValue.Unset) {
        if (!a.optional()) {
          throw bad(e, a, "is required");
        }
      } else if (!a.derived()) {
        String fault = fault(rules(e)[i], v);
        if (fault != null) {
          throw bad(e, a, fault);
        }
      }
    }
  }

  void written(int id, Entity e) {
    if (id >= entityOf.length) {
      entityOf = Arrays.copyOf(entityOf, Math.max(id + 1, 2 * entityOf.length));
    }
    entityOf[id] = (short) (e.number() + 1);
  }

  private static SchemaViolation bad(Entity e, Attribute a, String what) {
    return new SchemaViolation(e.name() + "." + a.name() + " " + what + ".");
  }

  /** What a type asks for, with all names of the schema looked up. */
  private sealed interface Rule {}

  private record Aggregate(TypeRef.Aggregate type, Rule of) implements Rule {
    boolean set() {
      return type.kind().equals("SET");
    }
  }

  private Rule[] rules(Entity e) {
    if (e.number() >= rules.length) {
      rules = Arrays.copyOf(rules, 2 * e.number() + 1);
    }
    Rule[] known = rules[e.number()];
    if (known == null) {
      known = e.attributes().stream().map(a -> rule(a.type())).toArray(Rule[]::new);
      rules[e.number()] = known;
    }
    return known;
  }

  private Rule rule(TypeRef type) {
    return switch (type) {
      case TypeRef.Aggregate a -> new Aggregate(a, rule(a.of()));
      case TypeRef.Named(String name) -> named(name);
    };
  }

  /** What is wrong with a value of a type, null if nothing is. */
  private String fault(Rule rule, StepValue v) {
    return switch (rule) {
      case Aggregate a -> aggregateFault(a, v);
      case Named n -> namedFault(n, v);
    };
  }

  private String aggregateFault(Aggregate a, StepValue v) {
    return switch (v) {
      case StepValue.Many(List<StepValue> values) -> {
        if (values.size() < a.type().low() || values.size() > a.type().high()) {
          yield "has "
              + values.size()
              + " elements, allowed are "
              + a.type().low()
              + " to "
              + a.type().high();
        }
        if (values.size() > 1 && a.set() && Set.copyOf(values).size() < values.size()) {
          yield "is a SET and names an element twice";
        }
        for (StepValue x : values) {
          String f = fault(a.of(), x);
          if (f != null) {
            yield f;
          }
        }
        yield null;
      }
      case StepValue.Points p -> tableFault(a.type(), p.rows(), "REAL");
      case StepValue.Triples t -> tableFault(a.type(), t.zeroBased().length / 3, "INTEGER");
      default -> "needs a list";
    };
  }

  private String tableFault(TypeRef.Aggregate a, int rows, String kind) {
    boolean fits =
        a.of() instanceof TypeRef.Aggregate(String k, int low, int high, TypeRef.Named(String name))
            && schema.simpleType(name).filter(kind::equals).isPresent();
    return !fits ? "does not hold rows of " + kind : rows < a.low() ? "has no rows" : null;
  }

  /**
   * What a name of the schema stands for; looked up for each value that is written.
   *
   * @param allowed numbers of the entities that may stand for it, if it is one or a select
   * @param literals of an enumeration, null for all else
   * @param type null for entities, selects and enumerations
   * @param list what is asked for if its values are lists, else null
   * @param simple what its values are made of; empty where that is no simple type
   * @param positive whether numbers must be above zero
   * @param members defined types that a select allows, by their names as they are given
   */
  private record Named(
      String name,
      boolean entity,
      boolean select,
      BitSet allowed,
      Set<String> literals,
      Schema.DefinedType type,
      Aggregate list,
      String simple,
      boolean positive,
      boolean notNegative,
      Map<String, Named> members)
      implements Rule {}

  private Named named(String name) {
    Named known = named.get(name);
    if (known == null) {
      boolean entity = schema.isEntity(name);
      boolean select = schema.isSelect(name);
      Schema.DefinedType type = schema.type(name).orElse(null);
      known =
          new Named(
              name,
              entity,
              select,
              entity || select ? schema.allowed(name) : new BitSet(),
              schema.enumeration(name).orElse(null),
              type,
              type != null && type.base() instanceof TypeRef.Aggregate a
                  ? new Aggregate(a, rule(a.of()))
                  : null,
              schema.simpleType(name).orElse(""),
              name.startsWith("IFCPOSITIVE"),
              name.startsWith("IFCNONNEGATIVE"),
              new HashMap<>());
      named.put(name, known);
    }
    return known;
  }

  private String namedFault(Named is, StepValue v) {
    String name = is.name();
    if (is.entity()) {
      return v instanceof StepValue.Ref(int id) && is.allowed().get(target(id).number())
          ? null
          : "needs a reference to " + name;
    }
    if (is.select()) {
      return selectFault(is, v);
    }
    if (is.literals() != null) {
      return v instanceof StepValue.Literal(String l) && is.literals().contains(l)
          ? null
          : "needs a value of " + name + ", not " + v;
    }
    Schema.DefinedType t = is.type();
    if (is.list() != null) {
      return aggregateFault(is.list(), v);
    }
    String simple = is.simple();
    boolean ok =
        switch (simple) {
          case "STRING" -> v instanceof StepValue.Text;
          case "REAL" -> v instanceof StepValue.Real;
          case "INTEGER" -> v instanceof StepValue.Whole;
          case "NUMBER" -> v instanceof StepValue.Real || v instanceof StepValue.Whole;
          case "BOOLEAN" ->
              v instanceof StepValue.Literal(String l) && LOGICAL.contains(l) && !l.equals("U");
          case "LOGICAL" -> v instanceof StepValue.Literal(String l) && LOGICAL.contains(l);
          default -> false;
        };
    if (!ok) {
      return "needs " + simple + ", not " + v;
    }
    if (v instanceof StepValue.Real(double d)) {
      if (!Double.isFinite(d)) {
        return "is not a finite number";
      }
      if (is.positive() && d <= 0 || is.notNegative() && d < 0) {
        return "must be positive, not " + d;
      }
    }
    if (v instanceof StepValue.Text(String s) && t != null && t.maxLength() > 0) {
      int n = s.codePointCount(0, s.length());
      if (t.exactLength() ? n != t.maxLength() : n > t.maxLength()) {
        return "has " + n + " characters, allowed are " + t.maxLength();
      }
    }
    return null;
  }

  private String selectFault(Named is, StepValue v) {
    return switch (v) {
      case StepValue.Ref(int id) -> {
        Entity e = target(id);
        yield is.allowed().get(e.number())
            ? null
            : "is a " + e.name() + ", which " + is.name() + " does not allow";
      }
      case StepValue.Typed(String type, StepValue inner) -> {
        Named member = member(is, type);
        yield member == null
            ? type + " is not a member of " + is.name()
            : namedFault(member, inner);
      }
      default -> "needs a reference or a typed value";
    };
  }

  /** A defined type that a select allows, null if it does not. */
  private Named member(Named select, String type) {
    Named known = select.members().get(type);
    if (known == null && schema.selectMembers(select.name()).contains(schema.upper(type))) {
      known = named(schema.upper(type));
      select.members().put(type, known);
    }
    return known;
  }

  private Entity target(int id) {
    if (id <= 0 || id >= entityOf.length || entityOf[id] == 0) {
      throw new SchemaViolation("#" + id + " is referred to before it is written.");
    }
    return schema.entity(entityOf[id] - 1);
  }
}
