package wellspan.core.rulebook;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/** Brings a value to the type that a property asks for, or says why it cannot. */
final class Typing {
  /** What a measure is of, where a unit can be given for it. */
  private static final Map<String, String> DIMENSIONS =
      Map.ofEntries(
          Map.entry("IFCLENGTHMEASURE", "length"),
          Map.entry("IFCPOSITIVELENGTHMEASURE", "length"),
          Map.entry("IFCNONNEGATIVELENGTHMEASURE", "length"),
          Map.entry("IFCAREAMEASURE", "area"),
          Map.entry("IFCVOLUMEMEASURE", "volume"),
          Map.entry("IFCMASSMEASURE", "mass"),
          Map.entry("IFCTIMEMEASURE", "time"),
          Map.entry("IFCPLANEANGLEMEASURE", "angle"),
          Map.entry("IFCPOSITIVEPLANEANGLEMEASURE", "angle"));

  private Typing() {}

  /** A value that does not fit, with a sentence. */
  static final class Misfit extends Exception {
    private static final long serialVersionUID = 1;

    Misfit(String message) {
      super(message);
    }
  }

  private static Schema latest() {
    return Schema.forFile(IfcSchema.IFC4X3.id()).orElseThrow();
  }

  /**
   * @throws IllegalArgumentException if it is not empty and no type of a value in the standard
   */
  static void require(String type) {
    if (!type.isEmpty()
        && !latest().selectMembers("IFCVALUE").contains(type.toUpperCase(Locale.ROOT))) {
      throw new IllegalArgumentException(
          "the type " + type + " is no type of a value in the standard, such as IfcLabel");
    }
  }

  /** A number as people write it. */
  static String plain(double d) {
    return Double.isFinite(d)
        ? BigDecimal.valueOf(d).stripTrailingZeros().toPlainString()
        : Double.toString(d);
  }

  /** A value as text, without a unit. */
  static String text(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> plain(m);
      case PropertyValue.Area(double a) -> plain(a);
      case PropertyValue.Measure(String type, double d) -> plain(d);
      case PropertyValue.Real(double d) -> plain(d);
      case PropertyValue.Flag(boolean b) -> b ? "true" : "false";
      case PropertyValue.Several s ->
          s.values().stream().map(Typing::text).collect(Collectors.joining(", "));
      case PropertyValue.Empty e -> "";
      default -> v.show();
    };
  }

  /** The same in a unit and with so many decimals. */
  static String text(PropertyValue v, Optional<MeasureUnit> unit, Integer decimals) {
    double d = measured(v);
    if (Double.isNaN(d) || unit.isEmpty() && decimals == null) {
      return text(v);
    }
    double in = d / unit.map(MeasureUnit::si).orElse(1.0);
    // sixteen figures and no more: what lies below is how the number is stored
    BigDecimal exact =
        new BigDecimal(in).round(new java.math.MathContext(15, RoundingMode.HALF_EVEN));
    return decimals == null
        ? exact.stripTrailingZeros().toPlainString()
        : exact.setScale(decimals, RoundingMode.HALF_UP).toPlainString();
  }

  /** The number of a value that is one; NaN for all others. */
  private static double measured(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> m;
      case PropertyValue.Area(double a) -> a;
      case PropertyValue.Measure(String type, double d) -> d;
      case PropertyValue.Real(double d) -> d;
      case PropertyValue.Count(long n) -> n;
      default -> Double.NaN;
    };
  }

  /** The number of a value, also one that stands in a text; NaN if there is none. */
  static double number(PropertyValue v) {
    double d = measured(v);
    if (!Double.isNaN(d)) {
      return d;
    }
    try {
      return Double.parseDouble(text(v).strip());
    } catch (NumberFormatException e) {
      return Double.NaN;
    }
  }

  /**
   * A value in a type.
   *
   * @param type in the standard; the value's own where it is empty
   * @param unit of numbers that have none
   */
  static PropertyValue as(PropertyValue v, String type, Optional<MeasureUnit> unit) throws Misfit {
    if (type.isEmpty()) {
      return v;
    }
    String upper = type.toUpperCase(Locale.ROOT);
    if (!latest().selectMembers("IFCVALUE").contains(upper)) {
      throw new Misfit("the standard asks for " + type + " here, which is no single value");
    }
    return switch (latest().simpleType(upper).orElse("STRING")) {
      case "BOOLEAN", "LOGICAL" -> new PropertyValue.Flag(truth(v));
      case "INTEGER" -> new PropertyValue.Count(whole(v, type));
      case "REAL", "NUMBER" -> measure(upper, quantity(v, type, upper, unit));
      default ->
          upper.equals("IFCLABEL")
              ? new PropertyValue.Label(text(v, unit, null))
              : new PropertyValue.Words(inStandard(upper), text(v, unit, null));
    };
  }

  /** Whether a type holds words. */
  static boolean isText(String type) {
    return latest().simpleType(type.toUpperCase(Locale.ROOT)).orElse("STRING").equals("STRING");
  }

  private static String inStandard(String upper) {
    return latest().type(upper).map(Schema.DefinedType::name).orElse(upper);
  }

  private static PropertyValue measure(String upper, double d) throws Misfit {
    if (upper.equals("IFCPOSITIVELENGTHMEASURE") && !(d > 0)
        || upper.equals("IFCNONNEGATIVELENGTHMEASURE") && d < 0) {
      throw new Misfit(plain(d) + " is not positive");
    }
    return switch (upper) {
      case "IFCLENGTHMEASURE" -> new PropertyValue.Length(d);
      case "IFCAREAMEASURE" -> new PropertyValue.Area(d);
      case "IFCREAL" -> new PropertyValue.Real(d);
      default -> new PropertyValue.Measure(inStandard(upper), d);
    };
  }

  private static boolean truth(PropertyValue v) throws Misfit {
    String t = text(v).strip().toLowerCase(Locale.ROOT);
    if (List.of("true", "yes", "1", ".t.").contains(t)) {
      return true;
    }
    if (List.of("false", "no", "0", ".f.").contains(t)) {
      return false;
    }
    throw new Misfit(text(v) + " is neither yes nor no");
  }

  private static long whole(PropertyValue v, String type) throws Misfit {
    double d = number(v);
    if (d != Math.rint(d) || !(Math.abs(d) < 1L << 53)) {
      throw new Misfit(text(v) + " is no whole number, as " + type + " asks for");
    }
    return (long) d;
  }

  /** In SI units: a measure of another kind does not fit, a text may name its unit. */
  private static double quantity(
      PropertyValue v, String type, String upper, Optional<MeasureUnit> unit) throws Misfit {
    String wanted = DIMENSIONS.getOrDefault(upper, "number");
    String is = dimension(v);
    if (!is.isEmpty()) {
      if (!is.equals(wanted) && !wanted.equals("number")) {
        throw new Misfit(v.show() + " is of " + is + ", not of " + wanted);
      }
      return measured(v);
    }
    String t = text(v).strip();
    int end = t.length();
    while (end > 0 && !Character.isDigit(t.charAt(end - 1)) && t.charAt(end - 1) != '.') {
      end--;
    }
    // m2, m3 and ft2 end in a figure that is no part of the number
    int gap = t.lastIndexOf(' ');
    Optional<MeasureUnit> named =
        gap > 0 ? MeasureUnit.named(t.substring(gap + 1)) : MeasureUnit.named(t.substring(end));
    String number = named.isEmpty() ? t : gap > 0 ? t.substring(0, gap) : t.substring(0, end);
    double d;
    try {
      d = Double.parseDouble(number.strip());
    } catch (NumberFormatException e) {
      throw new Misfit(
          (t.isEmpty() ? "an empty text" : "\u201c" + t + "\u201d")
              + " is no number, as "
              + type
              + " asks for");
    }
    Optional<MeasureUnit> in = named.isPresent() ? named : unit;
    if (in.isPresent() && !in.get().dimension().equals(wanted)) {
      throw new Misfit(t + " is of " + in.get().dimension() + ", not of " + wanted);
    }
    if (!Double.isFinite(d)) {
      throw new Misfit(t + " is no number");
    }
    return d * in.map(MeasureUnit::si).orElse(1.0);
  }

  private static String dimension(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length l -> "length";
      case PropertyValue.Area a -> "area";
      case PropertyValue.Measure(String type, double d) ->
          DIMENSIONS.getOrDefault(type.toUpperCase(Locale.ROOT), "");
      default -> "";
    };
  }
}
