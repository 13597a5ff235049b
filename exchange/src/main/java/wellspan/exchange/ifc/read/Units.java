package wellspan.exchange.ifc.read;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.unit.LinearUnit;

/**
 * The units of a file: SI units in one unit of each kind.
 *
 * @param factors by the kind of unit, such as {@code LENGTHUNIT}
 * @param celsius whether temperatures count from the zero of the Celsius scale
 * @param unclear kinds whose unit is assigned and cannot be told
 */
record Units(Map<String, Double> factors, boolean celsius, Set<String> unclear) {
  private static final Map<String, Double> PREFIXES =
      Map.ofEntries(
          Map.entry("EXA", 1e18),
          Map.entry("PETA", 1e15),
          Map.entry("TERA", 1e12),
          Map.entry("GIGA", 1e9),
          Map.entry("MEGA", 1e6),
          Map.entry("KILO", 1e3),
          Map.entry("HECTO", 1e2),
          Map.entry("DECA", 1e1),
          Map.entry("DECI", 1e-1),
          Map.entry("CENTI", 1e-2),
          Map.entry("MILLI", 1e-3),
          Map.entry("MICRO", 1e-6),
          Map.entry("NANO", 1e-9),
          Map.entry("PICO", 1e-12));

  private static final int DEEP = 16;

  /** Kelvin at the zero of the Celsius scale. */
  private static final double CELSIUS = 273.15;

  private static final String TEMPERATURE = "THERMODYNAMICTEMPERATUREUNIT";

  static Units of(IfcModel model) {
    Map<String, Double> factors = new HashMap<>();
    Set<String> unclear = new HashSet<>();
    boolean celsius = false;
    for (Instance project : model.all("IFCPROJECT")) {
      for (Instance u : project.ref("UnitsInContext").map(a -> a.refs("Units")).orElse(List.of())) {
        String kind = u.literal("UnitType");
        double si = metres(u);
        if (kind.isEmpty()) {
          continue; // money
        }
        if (Double.isFinite(si) && si > 0 && !hasOtherZero(u)) {
          celsius |= !factors.containsKey(kind) && isCelsius(u);
          factors.putIfAbsent(kind, si);
        } else {
          unclear.add(kind);
        }
      }
    }
    return new Units(Map.copyOf(factors), celsius, Set.copyOf(unclear));
  }

  /** Metres in the file's length unit; one if it does not say. */
  double length() {
    return factors.getOrDefault("LENGTHUNIT", 1.0);
  }

  boolean saysLength() {
    return factors.containsKey("LENGTHUNIT");
  }

  /** Radians in the file's unit of angles; one if it does not say. */
  double angle() {
    return factors.getOrDefault("PLANEANGLEUNIT", 1.0);
  }

  /**
   * SI units in one unit of a measure.
   *
   * @param kind of unit, such as {@code AREAUNIT}
   * @return empty if the file does not say
   */
  Optional<Double> factor(String kind) {
    return Optional.ofNullable(factors.get(kind));
  }

  /**
   * A number in the file's unit of its measure, in SI units; temperatures in Kelvin.
   *
   * @return empty if the file does not say the unit
   */
  Optional<Double> si(String measure, double number) {
    String kind = kindOf(measure);
    double zero = celsius && kind.equals(TEMPERATURE) ? CELSIUS : 0;
    return factor(kind).map(f -> number * f + zero);
  }

  /** The same in a unit of its own; NaN if that cannot be told. */
  static double si(Instance unit, double number) {
    return hasOtherZero(unit)
        ? Double.NaN
        : number * metres(unit) + (isCelsius(unit) ? CELSIUS : 0);
  }

  /**
   * Whether it counts from a zero that cannot be told: senders differ in what an offset is added
   * to, and degrees of another scale without one say nothing of their zero.
   */
  private static boolean hasOtherZero(Instance unit) {
    return unit.isA("IFCCONVERSIONBASEDUNITWITHOFFSET")
        || unit.isA("IFCCONVERSIONBASEDUNIT") && unit.literal("UnitType").equals(TEMPERATURE);
  }

  private static boolean isCelsius(Instance unit) {
    return unit.isA("IFCSIUNIT") && unit.literal("Name").equals("DEGREE_CELSIUS");
  }

  /** The kind of unit that a measure counts in: IfcPositiveLengthMeasure in LENGTHUNIT. */
  static String kindOf(String measure) {
    String m = measure.toUpperCase(Locale.ROOT);
    if (m.equals("IFCTHERMALCONDUCTIVITYMEASURE")) {
      return "THERMALCONDUCTANCEUNIT";
    }
    return m.replaceFirst("^IFC(POSITIVE|NONNEGATIVE)?", "").replaceFirst("MEASURE$", "") + "UNIT";
  }

  /** SI units in one of this unit, NaN if it cannot be told. */
  static double metres(Instance unit) {
    return si(unit, 0);
  }

  private static double si(Instance unit, int depth) {
    if (depth > DEEP) {
      return Double.NaN; // a unit that is made of itself
    }
    if (unit.isA("IFCSIUNIT")) {
      String name = unit.literal("Name");
      String p = unit.literal("Prefix");
      double prefix = p.isEmpty() ? 1 : PREFIXES.getOrDefault(p, Double.NaN);
      return switch (name) {
        case "SQUARE_METRE" -> prefix * prefix;
        case "CUBIC_METRE" -> prefix * prefix * prefix;
        case "GRAM" -> prefix * 1e-3;
        case "" -> Double.NaN;
        default -> prefix;
      };
    }
    if (unit.isA("IFCCONVERSIONBASEDUNIT")) {
      return unit.ref("ConversionFactor")
          .map(
              f ->
                  f.number("ValueComponent")
                      * f.ref("UnitComponent").map(u -> si(u, depth + 1)).orElse(Double.NaN))
          .orElse(Double.NaN);
    }
    if (unit.isA("IFCDERIVEDUNIT")) {
      double product = 1;
      for (Instance e : unit.refs("Elements")) {
        double of = e.ref("Unit").map(u -> si(u, depth + 1)).orElse(Double.NaN);
        product *= Math.pow(of, e.number("Exponent"));
      }
      return product;
    }
    return Double.NaN;
  }

  String title() {
    for (LinearUnit u : LinearUnit.values()) {
      if (Math.abs(u.metres() / length() - 1) < 1e-9) {
        return u.title();
      }
    }
    return length() + " m";
  }
}
