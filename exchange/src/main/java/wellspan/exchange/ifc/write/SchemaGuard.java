package wellspan.exchange.ifc.write;

import java.util.Arrays;
import java.util.List;
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
        if (a.kind().equals("SET") && Set.copyOf(values).size() < values.size()) {
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

  private String namedFault(String name, StepValue v) {
    if (schema.isEntity(name)) {
      return v instanceof StepValue.Ref(int id) && schema.isA(target(id), name)
          ? null
          : "needs a reference to " + name;
    }
    if (schema.isSelect(name)) {
      return selectFault(name, v);
    }
    if (schema.enumeration(name).isPresent()) {
      boolean known =
          v instanceof StepValue.Literal(String l) && schema.enumeration(name).get().contains(l);
      return known ? null : "needs a value of " + name + ", not " + v;
    }
    Schema.DefinedType t = schema.type(name).orElse(null);
    if (t != null && t.base() instanceof TypeRef.Aggregate a) {
      return aggregateFault(a, v);
    }
    String simple = schema.simpleType(name).orElse("");
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

  private String selectFault(String name, StepValue v) {
    Set<String> members = schema.selectMembers(name);
    return switch (v) {
      case StepValue.Ref(int id) -> {
        Entity e = target(id);
        yield schema.allowed(name).get(e.number())
            ? null
            : "is a " + e.name() + ", which " + name + " does not allow";
      }
      case StepValue.Typed(String type, StepValue inner) ->
          members.contains(schema.upper(type))
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
