package wellspan.exchange.ifc.write;

import java.util.List;

/** A value in a record to be written. */
sealed interface StepValue {
  /** Not given: {@code $}. */
  record Unset() implements StepValue {}

  /** Derived in this subtype: {@code *}. */
  record Derived() implements StepValue {}

  record Ref(int id) implements StepValue {}

  record Text(String value) implements StepValue {}

  record Real(double value) implements StepValue {}

  record Whole(long value) implements StepValue {}

  /** Literal of an enumeration, or T, F, U. */
  record Literal(String name) implements StepValue {}

  /** A value of a select, with the name of its defined type. */
  record Typed(String type, StepValue value) implements StepValue {}

  record Many(List<StepValue> values) implements StepValue {}

  /**
   * Rows of two or three numbers, written with a fixed number of decimals.
   *
   * @param source fills the numbers of a row
   */
  record Points(int rows, int columns, int decimals, RowSource source) implements StepValue {}

  /** Rows of three one-based indices from zero-based ones. */
  record Triples(int[] zeroBased) implements StepValue {}

  /** Gives the numbers of one row. */
  interface RowSource {
    void row(int index, double[] into);
  }

  StepValue UNSET = new Unset();
  StepValue DERIVED = new Derived();

  static StepValue ref(int id) {
    return new Ref(id);
  }

  static StepValue text(String s) {
    return new Text(s);
  }

  static StepValue real(double d) {
    return new Real(d);
  }

  static StepValue whole(long n) {
    return new Whole(n);
  }

  static StepValue literal(String name) {
    return new Literal(name);
  }

  static StepValue flag(boolean b) {
    return new Literal(b ? "T" : "F");
  }

  static StepValue typed(String type, StepValue v) {
    return new Typed(type, v);
  }

  static StepValue many(StepValue... v) {
    return new Many(List.of(v));
  }

  static StepValue many(List<StepValue> v) {
    return new Many(List.copyOf(v));
  }

  static StepValue reals(double... v) {
    StepValue[] all = new StepValue[v.length]; // a stream for each point would take longer than it
    for (int i = 0; i < v.length; i++) {
      all[i] = new Real(v[i]);
    }
    return new Many(List.of(all));
  }

  static StepValue refs(List<Integer> ids) {
    StepValue[] all = new StepValue[ids.size()];
    for (int i = 0; i < all.length; i++) {
      all[i] = new Ref(ids.get(i));
    }
    return new Many(List.of(all));
  }
}
