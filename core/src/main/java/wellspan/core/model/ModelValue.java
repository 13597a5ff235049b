package wellspan.core.model;

/** A value as a model gives it, in SI units. */
public sealed interface ModelValue {
  /** Type in the standard such as {@code IfcLabel}; empty where the attribute's own type counts. */
  String type();

  /** Words, dates and literals of enumerations. */
  record Text(String type, String text) implements ModelValue {}

  /** A number of a measure. */
  record Num(String type, double number) implements ModelValue {}

  /** A whole number. */
  record Whole(String type, long number) implements ModelValue {}

  /** True or false. */
  record Flag(String type, boolean value) implements ModelValue {}

  /** A logical value that is neither. */
  record Unknown(String type) implements ModelValue {}

  /** Another object, or a list: it is there and cannot be compared. */
  record Thing() implements ModelValue {
    @Override
    public String type() {
      return "";
    }
  }

  /** Whether it counts as a value: empty texts and unknown logicals do not. */
  default boolean isGiven() {
    return switch (this) {
      case Text t -> !t.text().isEmpty();
      case Unknown u -> false;
      default -> true;
    };
  }

  /** For people. */
  default String show() {
    return switch (this) {
      case Text t -> "'" + t.text() + "'";
      case Num n -> shown(n.number());
      case Whole w -> Long.toString(w.number());
      case Flag f -> Boolean.toString(f.value());
      case Unknown u -> "unknown";
      case Thing t -> "an object";
    };
  }

  /** Seven figures: more would show how numbers are stored. */
  private static String shown(double d) {
    return new java.math.BigDecimal(d)
        .round(new java.math.MathContext(7))
        .stripTrailingZeros()
        .toPlainString();
  }
}
