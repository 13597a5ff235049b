package wellspan.exchange.ifc.read;

import java.util.Map;

/**
 * The units of a file.
 *
 * @param length metres in its length unit
 * @param area square metres in its area unit
 * @param angle radians in its plane angle unit
 */
record Units(double length, double area, double angle) {
  private static final Map<String, Double> PREFIXES =
      Map.ofEntries(
          Map.entry("GIGA", 1e9),
          Map.entry("MEGA", 1e6),
          Map.entry("KILO", 1e3),
          Map.entry("HECTO", 1e2),
          Map.entry("DECA", 1e1),
          Map.entry("DECI", 1e-1),
          Map.entry("CENTI", 1e-2),
          Map.entry("MILLI", 1e-3),
          Map.entry("MICRO", 1e-6),
          Map.entry("NANO", 1e-9));

  static Units of(IfcModel model) {
    double length = 1;
    double area = 1;
    double angle = 1;
    for (Instance project : model.all("IFCPROJECT")) {
      for (Instance u :
          project.ref("UnitsInContext").map(a -> a.refs("Units")).orElse(java.util.List.of())) {
        double si = metres(u);
        switch (u.literal("UnitType")) {
          case "LENGTHUNIT" -> length = si;
          case "AREAUNIT" -> area = si;
          case "PLANEANGLEUNIT" -> angle = si;
          default -> {}
        }
      }
    }
    return new Units(length, area, angle);
  }

  /** SI units in one of this unit, NaN if it cannot be told. */
  static double metres(Instance unit) {
    if (unit.isA("IFCSIUNIT")) {
      String name = unit.literal("Name");
      double prefix = PREFIXES.getOrDefault(unit.literal("Prefix"), 1.0);
      return name.equals("SQUARE_METRE")
          ? prefix * prefix
          : name.equals("CUBIC_METRE") ? prefix * prefix * prefix : prefix;
    }
    if (unit.isA("IFCCONVERSIONBASEDUNIT")) {
      return unit.ref("ConversionFactor")
          .map(
              f ->
                  f.number("ValueComponent")
                      * f.ref("UnitComponent").map(Units::metres).orElse(Double.NaN))
          .orElse(Double.NaN);
    }
    return Double.NaN;
  }

  String title() {
    for (wellspan.core.unit.LinearUnit u : wellspan.core.unit.LinearUnit.values()) {
      if (Math.abs(u.metres() / length - 1) < 1e-9) {
        return u.title();
      }
    }
    return length + " m";
  }
}
