package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import wellspan.core.finding.Figure;
import wellspan.core.finding.Finding;
import wellspan.core.schema.Attribute;
import wellspan.core.schema.Entity;
import wellspan.core.schema.Schema;
import wellspan.core.schema.TypeRef;

/**
 * Words and numbers that objects say of themselves and that their schema does not allow. Such a
 * value is left out, not the whole object: its shape and place do not depend on it. Any thread may
 * ask; looking at an instance again changes nothing.
 */
final class PlainValues {
  private static final String NOT_KNOWN = "NOTDEFINED";

  /**
   * An attribute that several objects of an entity have wrongly.
   *
   * @param lost whether something is left out, and not only missing
   */
  private record Wrong(String entity, String attribute, boolean lost) implements Comparable<Wrong> {
    @Override
    public int compareTo(Wrong o) {
      return Comparator.comparing(Wrong::entity)
          .thenComparing(Wrong::attribute)
          .thenComparing(Wrong::lost)
          .compare(this, o);
    }
  }

  private static final TypeRule[] NONE = {};

  /**
   * Of each entity of the file, by its number, the rules of its attributes; null for what is not
   * looked at.
   */
  private final TypeRule[][] rules;

  /** What is wrong, by the numbers of the objects. */
  private final Map<Wrong, SortedMap<Integer, String>> faults = new ConcurrentSkipListMap<>();

  /**
   * @param entities those of the file
   */
  PlainValues(Schema schema, Collection<Entity> entities) {
    rules = new TypeRule[schema.entities().size()][];
    Arrays.fill(rules, NONE);
    entities.stream()
        .filter(e -> schema.isA(e, "IFCOBJECTDEFINITION"))
        .forEach(e -> rules[e.number()] = rules(schema, e));
  }

  /** The instance without what its schema does not allow; itself if there is nothing such. */
  Instance allowed(Instance i) {
    TypeRule[] looked = rules[i.entity().number()];
    if (looked.length != i.values().size()) {
      return i;
    }
    List<Value> values = null;
    for (int k = 0; k < looked.length; k++) {
      Value v = i.values().get(k);
      Optional<Value> other =
          looked[k] == null
              ? Optional.empty()
              : instead(i, i.entity().attributes().get(k), looked[k], v);
      if (other.isPresent()) {
        values = values == null ? new ArrayList<>(i.values()) : values;
        values.set(k, other.get());
      }
    }
    return values == null ? i : new Instance(i.model(), i.id(), i.entity(), values);
  }

  /** What is taken for a value that cannot stand; empty if it can, or if nothing can be taken. */
  private Optional<Value> instead(Instance i, Attribute a, TypeRule t, Value v) {
    boolean missing = v instanceof Value.Unset;
    if (missing && a.optional() || v instanceof Value.Derived) {
      return Optional.empty();
    }
    String fault = missing ? "is missing" : t.faultOf(v);
    if (fault == null || !a.optional() && !canBeUnknown(t)) {
      return Optional.empty();
    }
    faults
        .computeIfAbsent(
            new Wrong(i.entity().name(), a.name(), !missing), f -> new ConcurrentSkipListMap<>())
        .put(i.id(), fault);
    return Optional.of(a.optional() ? Value.UNSET : new Value.Literal(NOT_KNOWN));
  }

  private static boolean canBeUnknown(TypeRule t) {
    return t.literals().filter(l -> l.contains(NOT_KNOWN)).isPresent();
  }

  private static TypeRule[] rules(Schema schema, Entity e) {
    return e.attributes().stream()
        .map(
            a ->
                !a.derived() && a.type() instanceof TypeRef.Named(String n)
                    ? TypeRule.of(schema, n)
                    : null)
        .map(t -> t != null && t.isPlain() ? t : null)
        .toArray(TypeRule[]::new);
  }

  /** What was found so far: each attribute once, with how many have it so and the first of them. */
  List<Finding> findings() {
    List<Finding> out = new ArrayList<>();
    faults.forEach(
        (wrong, of) -> {
          int n = of.size();
          long kinds = of.values().stream().distinct().count();
          String who =
              (n == 1 ? "" : n + " × ")
                  + wrong.entity
                  + " (#"
                  + of.firstKey()
                  + (n == 1 ? "" : " first")
                  + "): "
                  + wrong.attribute
                  + " "
                  + of.get(of.firstKey())
                  + (kinds == 1 ? ". " : "; it is the first of " + kinds + " such values. ");
          out.add(
              (wrong.lost
                      ? Finding.error(
                          RECEIVE,
                          "ifc.value",
                          "",
                          who + "This is left out, the rest of it is read. Ask the sender.")
                      : Finding.warning(
                          RECEIVE, "ifc.value.missing", "", who + "It is taken as not known."))
                  .withFigure(Figure.count(n)));
        });
    return out;
  }
}
