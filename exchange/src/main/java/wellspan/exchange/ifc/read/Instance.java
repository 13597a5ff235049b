package wellspan.exchange.ifc.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import wellspan.core.schema.Entity;

/**
 * A typed instance: attributes by their names in the schema. What is not given or of another kind
 * is empty.
 */
record Instance(IfcModel model, int id, Entity entity, List<Value> values) {
  private static final int[] NONE = {};

  boolean isA(String upperName) {
    return model.schema().isA(entity, upperName);
  }

  Value get(String attribute) {
    int i = entity.indexOf(attribute);
    return i < 0 || i >= values.size() ? Value.UNSET : values.get(i);
  }

  Optional<Instance> ref(String attribute) {
    return get(attribute) instanceof Value.Ref(int target) ? model.find(target) : Optional.empty();
  }

  List<Instance> refs(String attribute) {
    if (!(get(attribute) instanceof Value.Many(List<Value> all))) {
      return List.of();
    }
    List<Instance> out = new ArrayList<>(all.size());
    for (Value v : all) {
      if (v instanceof Value.Ref(int target)) {
        model.find(target).ifPresent(out::add);
      }
    }
    return out;
  }

  /** Numbers of the instances that a list refers to and that exist; none of them is looked at. */
  int[] ids(String attribute) {
    if (!(get(attribute) instanceof Value.Many(List<Value> all))) {
      return NONE;
    }
    int[] out = new int[all.size()];
    int n = 0;
    for (Value v : all) {
      if (v instanceof Value.Ref(int target) && model.entityOf(target).isPresent()) {
        out[n++] = target;
      }
    }
    return n == out.length ? out : Arrays.copyOf(out, n);
  }

  /** The number of the instance that an attribute refers to, if it exists. */
  OptionalInt id(String attribute) {
    return get(attribute) instanceof Value.Ref(int target) && model.entityOf(target).isPresent()
        ? OptionalInt.of(target)
        : OptionalInt.empty();
  }

  String text(String attribute) {
    return get(attribute) instanceof Value.Text(String s) ? s : "";
  }

  String literal(String attribute) {
    return get(attribute) instanceof Value.Literal(String s) ? s : "";
  }

  /** A number, also out of a typed value; NaN if there is none. */
  double number(String attribute) {
    return number(get(attribute));
  }

  double number(String attribute, double otherwise) {
    double d = number(attribute);
    return Double.isNaN(d) ? otherwise : d;
  }

  static double number(Value v) {
    return switch (v) {
      case Value.Num(double d, boolean whole) -> d;
      case Value.Typed(String type, Value inner) -> number(inner);
      default -> Double.NaN;
    };
  }

  /** A flat list of numbers, empty if there is none. */
  double[] numbers(String attribute) {
    return get(attribute) instanceof Value.Numbers(double[] v, Value.Tokens _) ? v : new double[0];
  }
}
