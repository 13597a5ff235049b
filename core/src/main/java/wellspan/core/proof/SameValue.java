package wellspan.core.proof;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.attribute.PropertyValue;

/** When a value that arrived is the one that was sent. */
final class SameValue {
  private SameValue() {}

  /** What tells a value from another one that is shown alike: its type, or all of its figures. */
  static String apart(PropertyValue v, PropertyValue other) {
    OptionalDouble figure = type(v).equals(type(other)) ? figure(v) : OptionalDouble.empty();
    return " (" + (figure.isPresent() ? Double.toString(figure.getAsDouble()) : type(v)) + ")";
  }

  private static OptionalDouble figure(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> OptionalDouble.of(m);
      case PropertyValue.Area(double a) -> OptionalDouble.of(a);
      case PropertyValue.Real(double d) -> OptionalDouble.of(d);
      case PropertyValue.Measure(String type, double d) -> OptionalDouble.of(d);
      default -> OptionalDouble.empty();
    };
  }

  private static String type(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Words(String type, String text) -> type;
      case PropertyValue.Measure(String type, double number) -> type;
      default -> v.getClass().getSimpleName();
    };
  }

  /** Whether a text says a value: numbers by their value, all others letter by letter. */
  static boolean tells(String text, PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> number(text, m);
      case PropertyValue.Area(double a) -> number(text, a);
      case PropertyValue.Real(double d) -> number(text, d);
      case PropertyValue.Measure(String type, double d) -> number(text, d);
      case PropertyValue.Count(long n) -> text.equals(Long.toString(n));
      case PropertyValue.Flag(boolean b) -> text.equals(b ? "true" : "false");
      case PropertyValue.Empty e -> text.isEmpty();
      case PropertyValue.Several(boolean e, List<PropertyValue> all) -> {
        List<String> parts = all.isEmpty() ? List.of() : List.of(text.split("; ", -1));
        boolean same = parts.size() == all.size();
        for (int i = 0; same && i < all.size(); i++) {
          same = tells(parts.get(i), all.get(i));
        }
        yield same;
      }
      default -> text.equals(v.show());
    };
  }

  private static boolean number(String text, double d) {
    try {
      return close(d, Double.parseDouble(text));
    } catch (NumberFormatException e) {
      return false;
    }
  }

  /** Whether two values are the same: of one type, numbers but for rounding. */
  static boolean same(PropertyValue a, PropertyValue b) {
    return switch (a) {
      case PropertyValue.Length(double x) ->
          b instanceof PropertyValue.Length(double y) && close(x, y);
      case PropertyValue.Area(double x) -> b instanceof PropertyValue.Area(double y) && close(x, y);
      case PropertyValue.Real(double x) -> b instanceof PropertyValue.Real(double y) && close(x, y);
      case PropertyValue.Measure(String type, double x) ->
          b instanceof PropertyValue.Measure(String other, double y)
              && type.equals(other)
              && close(x, y);
      case PropertyValue.Several(boolean e, List<PropertyValue> x) ->
          b instanceof PropertyValue.Several(boolean f, List<PropertyValue> y)
              && e == f
              && same(x, y);
      case PropertyValue.Table(List<PropertyValue> x, List<PropertyValue> u) ->
          b instanceof PropertyValue.Table(List<PropertyValue> y, List<PropertyValue> w)
              && same(x, y)
              && same(u, w);
      case PropertyValue.Bounded x ->
          b instanceof PropertyValue.Bounded y
              && same(x.lower(), y.lower())
              && same(x.upper(), y.upper())
              && same(x.setPoint(), y.setPoint());
      case PropertyValue.Complex x ->
          b instanceof PropertyValue.Complex y
              && x.usage().equals(y.usage())
              && x.notes().equals(y.notes())
              && same(x.values(), y.values());
      case PropertyValue.Label l -> a.equals(b);
      case PropertyValue.Words w -> a.equals(b);
      case PropertyValue.Count c -> a.equals(b);
      case PropertyValue.Flag f -> a.equals(b);
      case PropertyValue.Unknown u -> a.equals(b);
      case PropertyValue.Empty e -> a.equals(b);
    };
  }

  private static boolean same(Map<String, PropertyValue> a, Map<String, PropertyValue> b) {
    return a.keySet().equals(b.keySet())
        && a.entrySet().stream().allMatch(e -> same(e.getValue(), b.get(e.getKey())));
  }

  private static boolean same(Optional<PropertyValue> a, Optional<PropertyValue> b) {
    return a.isPresent() == b.isPresent() && (a.isEmpty() || same(a.get(), b.get()));
  }

  private static boolean same(List<PropertyValue> a, List<PropertyValue> b) {
    boolean same = a.size() == b.size();
    for (int i = 0; same && i < a.size(); i++) {
      same = same(a.get(i), b.get(i));
    }
    return same;
  }

  private static boolean close(double x, double y) {
    return Math.abs(x - y) <= 1e-9 * Math.max(1, Math.abs(x));
  }
}
