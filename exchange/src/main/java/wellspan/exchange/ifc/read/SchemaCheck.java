package wellspan.exchange.ifc.read;

import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;

/** Tells what is wrong with an instance by the tables of its schema. */
final class SchemaCheck {
  /** Where the word for a user-defined type stands. */
  private static final List<String> OWN_WORDS = List.of("ObjectType", "ElementType", "ProcessType");

  /** Who made an object says nothing of what or where it is. */
  private static final String OWNER = "OwnerHistory";

  private final IfcModel model;
  private final Schema schema;
  private final BitSet wholeForReal = new BitSet();
  private final BitSet longTexts = new BitSet();
  private final BitSet wordless = new BitSet();
  private final Map<String, TypeRule> rules = new HashMap<>();
  private int looked;

  SchemaCheck(IfcModel model) {
    this.model = model;
    schema = model.schema();
  }

  /** Instances in which reals are written without a decimal point; they are read as they stand. */
  int wholeForReal() {
    return wholeForReal.cardinality();
  }

  /** Instances with texts of more characters than their type allows. */
  int longTexts() {
    return longTexts.cardinality();
  }

  /** Instances of a user-defined type that do not say which. */
  int wordless() {
    return wordless.cardinality();
  }

  /** Takes over the counts of another check of the same file; what both met counts once. */
  void absorb(SchemaCheck other) {
    wholeForReal.or(other.wholeForReal);
    longTexts.or(other.longTexts);
    wordless.or(other.wordless);
  }

  /** What is wrong with an instance by itself; what it refers to is looked at for its type only. */
  Optional<String> fault(Instance i) {
    List<Attribute> attributes = i.entity().attributes();
    if (i.model().isRepeated(i.id())) {
      return Optional.of("its number is given to several instances");
    }
    if (i.entity().isAbstract()) {
      return Optional.of(i.entity().name() + " is abstract and cannot stand in a file");
    }
    if (i.values().size() != attributes.size()) {
      return Optional.of(
          "it has "
              + i.values().size()
              + " values where "
              + i.entity().name()
              + " has "
              + attributes.size()
              + " attributes");
    }
    looked = i.id();
    for (int k = 0; k < attributes.size(); k++) {
      Attribute a = attributes.get(k);
      Value v = i.values().get(k);
      if (a.name().equals(OWNER) || a.derived()) {
        continue;
      }
      if (v instanceof Value.Unset || v instanceof Value.Derived) {
        if (!a.optional()) {
          return Optional.of(a.name() + " is missing");
        }
        continue;
      }
      String fault = fault(a.type(), v);
      if (fault != null) {
        return Optional.of(a.name() + " " + fault);
      }
      if (v instanceof Value.Literal(String l)
          && l.equals("USERDEFINED")
          && a.name().equals("PredefinedType")
          && OWN_WORDS.stream().allMatch(w -> i.text(w).isEmpty())) {
        wordless.set(model.slotOf(looked));
      }
    }
    return Optional.empty();
  }

  private String fault(TypeRef type, Value v) {
    return switch (type) {
      case TypeRef.Aggregate a -> aggregate(a, v);
      case TypeRef.Named(String name) -> named(name, v);
    };
  }

  private String aggregate(TypeRef.Aggregate a, Value v) {
    return switch (v) {
      case Value.Many(List<Value> values) -> {
        String size = size(a, values.size());
        if (size != null) {
          yield size;
        }
        for (Value x : values) {
          String f = fault(a.of(), x);
          if (f != null) {
            yield f;
          }
        }
        yield null;
      }
      case Value.Numbers(double[] n, Value.Tokens k) -> {
        String size = size(a, n.length);
        yield size != null ? size : numbers(a.of(), k, n.length == 0 ? 0 : n[0]);
      }
      case Value.Table(double[] t, int columns, Value.Tokens k) -> {
        if (!(a.of() instanceof TypeRef.Aggregate row)) {
          yield "holds lists where single values are needed";
        }
        String size = size(a, t.length / columns);
        String inner = size(row, columns);
        yield size != null
            ? size
            : inner != null ? inner : numbers(row.of(), k, t.length == 0 ? 0 : t[0]);
      }
      default -> "is no list: " + Value.shown(v);
    };
  }

  private static String size(TypeRef.Aggregate a, int n) {
    if (n >= a.low() && n <= a.high()) {
      return null;
    }
    return "has "
        + n
        + " values where "
        + (a.low() == a.high()
            ? Integer.toString(a.low())
            : a.low() + " to " + (a.high() == Integer.MAX_VALUE ? "any number" : a.high()))
        + " are allowed (decimal commas make two values of one)";
  }

  private String numbers(TypeRef of, Value.Tokens tokens, double sample) {
    if (!(of instanceof TypeRef.Named(String name))) {
      return "holds numbers where lists are needed";
    }
    if (tokens == Value.Tokens.MIXED || tokens == Value.Tokens.WHOLE) {
      String simple = rule(name).simple();
      if (simple.equals("REAL")) {
        wholeForReal.set(model.slotOf(looked));
        return null;
      }
      if (simple.equals("INTEGER") && tokens == Value.Tokens.WHOLE || simple.equals("NUMBER")) {
        return null;
      }
    }
    return named(name, new Value.Num(sample, tokens == Value.Tokens.WHOLE));
  }

  private String named(String name, Value v) {
    TypeRule t = rule(name);
    if (t.entity()) {
      return reference(t, v);
    }
    if (t.members().isPresent()) {
      return select(t, t.members().get(), v);
    }
    return t.aggregate().isPresent() ? aggregate(t.aggregate().get(), v) : plain(t, v);
  }

  private TypeRule rule(String name) {
    TypeRule known = rules.get(name);
    if (known == null) {
      known = TypeRule.of(schema, name);
      rules.put(name, known);
    }
    return known;
  }

  private String plain(TypeRule t, Value v) {
    String fault = t.faultOf(v);
    if (fault != null) {
      return fault;
    }
    if (v instanceof Value.Num(double d, boolean whole) && t.simple().equals("REAL") && whole) {
      wholeForReal.set(model.slotOf(looked));
    }
    if (v instanceof Value.Text(String s)
        && t.maxLength() > 0
        && s.length() > t.maxLength()
        && s.codePointCount(0, s.length()) > t.maxLength()) {
      longTexts.set(model.slotOf(looked));
    }
    return null;
  }

  private String select(TypeRule t, Set<String> members, Value v) {
    if (v instanceof Value.Typed(String type, Value inner)) {
      String upper = schema.upper(type);
      return members.contains(upper)
          ? named(upper, inner)
          : "is of the type " + type + ", which " + t.name() + " does not allow";
    }
    return reference(t, v);
  }

  private String reference(TypeRule t, Value v) {
    if (!(v instanceof Value.Ref(int id))) {
      return "is " + Value.shown(v) + " where a reference to " + t.name() + " is needed";
    }
    Optional<Entity> target = model.entityOf(id);
    if (target.isEmpty()) {
      return "refers to #" + id + ", which does not exist or is not of this schema";
    }
    return t.allowed().get(target.get().number())
        ? null
        : "refers to #" + id + ", which is a " + target.get().name() + " and no " + t.name();
  }
}
