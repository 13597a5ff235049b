package wellspan.core.requirement;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Pattern;
import wellspan.core.model.ModelValue;

/** What a value has to be. Values are compared in SI units. */
public sealed interface Constraint {
  /** How far apart numbers may lie and be the same, relative and absolute. */
  double TOLERANCE = 1e-6;

  /** Whether a value fits. */
  boolean fits(ModelValue value);

  /** Whether a text fits, such as a name. */
  default boolean fits(String text) {
    return fits(new ModelValue.Text("", text));
  }

  /** What is asked for, in words. */
  String words();

  /** Exactly this. */
  record Simple(String text) implements Constraint {
    @Override
    public boolean fits(ModelValue value) {
      return equal(text, value);
    }

    @Override
    public String words() {
      return "'" + text + "'";
    }
  }

  /**
   * A restriction of XML Schema.
   *
   * @param enumeration one of these, if there are any
   * @param patterns the whole text fits one of these, if there are any
   */
  record Restriction(
      List<String> enumeration,
      List<XsdPattern> patterns,
      Optional<Bound> lower,
      Optional<Bound> upper,
      Optional<Integer> length,
      Optional<Integer> minLength,
      Optional<Integer> maxLength)
      implements Constraint {

    public Restriction {
      enumeration = List.copyOf(enumeration);
      patterns = List.copyOf(patterns);
    }

    @Override
    public boolean fits(ModelValue value) {
      return (enumeration.isEmpty() || enumeration.stream().anyMatch(e -> equal(e, value)))
          && (patterns.isEmpty() || fitsPattern(value))
          && lower.map(b -> b.fitsBelow(value)).orElse(true)
          && upper.map(b -> b.fitsAbove(value)).orElse(true)
          && (length.isEmpty() && minLength.isEmpty() && maxLength.isEmpty() || fitsLength(value));
    }

    private boolean fitsPattern(ModelValue value) {
      return value instanceof ModelValue.Text t
          && patterns.stream().anyMatch(p -> p.matches(t.text()));
    }

    private boolean fitsLength(ModelValue value) {
      if (!(value instanceof ModelValue.Text t)) {
        return false;
      }
      int n = t.text().codePointCount(0, t.text().length());
      return length.map(l -> n == l).orElse(true)
          && minLength.map(l -> n >= l).orElse(true)
          && maxLength.map(l -> n <= l).orElse(true);
    }

    @Override
    public String words() {
      List<String> out = new ArrayList<>();
      if (!enumeration.isEmpty()) {
        out.add("one of '" + String.join("', '", enumeration) + "'");
      }
      if (!patterns.isEmpty()) {
        out.add(
            "in the form " + String.join(" or ", patterns.stream().map(XsdPattern::text).toList()));
      }
      lower.ifPresent(b -> out.add((b.inclusive() ? "at least " : "more than ") + b.text()));
      upper.ifPresent(b -> out.add((b.inclusive() ? "at most " : "less than ") + b.text()));
      length.ifPresent(l -> out.add("of " + l + " characters"));
      minLength.ifPresent(l -> out.add("of " + l + " characters or more"));
      maxLength.ifPresent(l -> out.add("of " + l + " characters or less"));
      return out.isEmpty() ? "any" : String.join(", ", out);
    }
  }

  /**
   * A limit for numbers.
   *
   * @param text as in the file
   */
  record Bound(double number, boolean inclusive, String text) {
    /** An inclusive bound is not missed by the rounding of a conversion. */
    private double slack() {
      return inclusive ? TOLERANCE * Math.abs(number) * 1e-3 : 0;
    }

    boolean fitsBelow(ModelValue v) {
      double d = numberOf(v);
      return inclusive ? d >= number - slack() : d > number;
    }

    boolean fitsAbove(ModelValue v) {
      double d = numberOf(v);
      return inclusive ? d <= number + slack() : d < number;
    }
  }

  /** XML's numbers: no comma, no blanks. */
  Pattern NUMBER = Pattern.compile("[+-]?(\\d+(\\.\\d*)?|\\.\\d+)([eE][+-]?\\d+)?");

  private static double numberOf(ModelValue v) {
    return switch (v) {
      case ModelValue.Num n -> n.number();
      case ModelValue.Whole w -> w.number();
      default -> Double.NaN; // texts have no order here
    };
  }

  private static boolean equal(String wanted, ModelValue value) {
    return switch (value) {
      case ModelValue.Text t -> t.text().equals(wanted);
      case ModelValue.Flag f ->
          wanted.equals(f.value() ? "true" : "false") || wanted.equals(f.value() ? "1" : "0");
      case ModelValue.Num n ->
          NUMBER.matcher(wanted).matches() && same(Double.parseDouble(wanted), n.number());
      case ModelValue.Whole w ->
          NUMBER.matcher(wanted).matches() && Double.parseDouble(wanted) == w.number();
      case ModelValue.Unknown u -> false;
      case ModelValue.Thing t -> false;
    };
  }

  private static boolean same(double wanted, double is) {
    return Math.abs(is - wanted) <= TOLERANCE * Math.abs(wanted) + TOLERANCE;
  }
}
