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
  private final Map<String, Named> named = new HashMap<>();
  private short[] entityOf = new short[1024];

  SchemaGuard(Schema schema) {
    this.schema = schema;
  }

  Entity entity(String name) {
    Entity e =
        schema
            .entity(name)
            .orElseThrow(
                () -> new SchemaViolation(name + " is not an entity of " + schema.id() + "."));
    if (e.isAbstract()) {
      throw new SchemaViolation(
          name + " is abstract in " + schema.id() + " and cannot be written.");
    }
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
        String fault = fault(a.type(), v);
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

  /** What is wrong with a value of a type, null if nothing is. */
  private String fault(TypeRef type, StepValue v) {
    return switch (type) {
      case TypeRef.Aggregate a -> aggregateFault(a, v);
      case TypeRef.Named(String name) -> namedFault(name, v);
    };
  }

  private String aggregateFault(TypeRef.Aggregate a, StepValue v) {
    return switch (v) {
      case StepValue.Many(List<StepValue> values) -> {
        if (values.size() < a.low() || values.size() > a.high()) {
          yield "has " + values.size() + " elements, allowed are " + a.low() + " to " + a.high();
        }
        if (values.size() > 1
            && a.kind().equals("SET")
            && Set.copyOf(values).size() < values.size()) {
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
      case StepValue.Points p -> tableFault(a, p.rows(), "REAL");
      case StepValue.Triples t -> tableFault(a, t.zeroBased().length / 3, "INTEGER");
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
   * @param simple what its values are made of; empty where that is no simple type
   */
  private record Named(
      boolean entity,
      boolean select,
      BitSet allowed,
      Set<String> literals,
      Schema.DefinedType type,
      String simple) {}

  private Named named(String name) {
    Named known = named.get(name);
    if (known == null) {
      boolean entity = schema.isEntity(name);
      boolean select = schema.isSelect(name);
      known =
          new Named(
              entity,
              select,
              entity || select ? schema.allowed(name) : new BitSet(),
              schema.enumeration(name).orElse(null),
              schema.type(name).orElse(null),
              schema.simpleType(name).orElse(""));
      named.put(name, known);
    }
    return known;
  }

  private String namedFault(String name, StepValue v) {
    Named is = named(name);
    if (is.entity()) {
      return v instanceof StepValue.Ref(int id) && is.allowed().get(target(id).number())
          ? null
          : "needs a reference to " + name;
    }
    if (is.select()) {
      return selectFault(name, is, v);
    }
    if (is.literals() != null) {
      return v instanceof StepValue.Literal(String l) && is.literals().contains(l)
          ? null
          : "needs a value of " + name + ", not " + v;
    }
    Schema.DefinedType t = is.type();
    if (t != null && t.base() instanceof TypeRef.Aggregate a) {
      return aggregateFault(a, v);
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
      if (name.startsWith("IFCPOSITIVE") && d <= 0 || name.startsWith("IFCNONNEGATIVE") && d < 0) {
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

  private String selectFault(String name, Named is, StepValue v) {
    return switch (v) {
      case StepValue.Ref(int id) -> {
        Entity e = target(id);
        yield is.allowed().get(e.number())
            ? null
            : "is a " + e.name() + ", which " + name + " does not allow";
      }
      case StepValue.Typed(String type, StepValue inner) ->
          schema.selectMembers(name).contains(schema.upper(type))
              ? namedFault(schema.upper(type), inner)
              : type + " is not a member of " + name;
      default -> "needs a reference or a typed value";
    };
  }

  private Entity target(int id) {
    if (id <= 0 || id >= entityOf.length || entityOf[id] == 0) {
      throw new SchemaViolation("#" + id + " is referred to before it is written.");
    }
    return schema.entity(entityOf[id] - 1);
  }
}
