package wellspan.exchange.ifc.read;

import java.util.List;

/** A value as it stands in a record. Long runs of numbers are arrays. */
sealed interface Value {
  record Unset() implements Value {}

  record Derived() implements Value {}

  record Ref(int id) implements Value {}

  record Text(String value) implements Value {}

  record Num(double value, boolean whole) implements Value {}

  record Literal(String name) implements Value {}

  record Typed(String type, Value value) implements Value {}

  record Many(List<Value> values) implements Value {}

  /** How the numbers of a list are written: with a decimal point, as reals must be, or without. */
  enum Tokens {
    REAL,
    WHOLE,
    MIXED;

    static Tokens of(boolean anyReal, boolean anyWhole) {
      return anyReal && anyWhole ? MIXED : anyReal ? REAL : WHOLE;
    }
  }

  /** A flat list of numbers. */
  record Numbers(double[] values, Tokens tokens) implements Value {}

  /** A list of equally long lists of numbers, row after row. */
  record Table(double[] values, int columns, Tokens tokens) implements Value {}

  Value UNSET = new Unset();
  Value DERIVED = new Derived();

  /** A value as it stands in a file, long ones shortened. */
  static String shown(Value v) {
    return switch (v) {
      case Unset() -> "$";
      case Derived() -> "*";
      case Ref(int id) -> "#" + id;
      case Text(String s) -> "'" + (s.length() > 40 ? s.substring(0, 40) + "…" : s) + "'";
      case Num(double d, boolean whole) -> whole ? Long.toString((long) d) : "" + d;
      case Literal(String l) -> "." + l + ".";
      case Typed(String type, Value inner) -> type + "(" + shown(inner) + ")";
      case Many m -> "a list";
      case Numbers n -> "a list of numbers";
      case Table t -> "a list of lists";
    };
  }
}
