package wellspan.app.describe;

import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import wellspan.app.theme.Figures;
import wellspan.core.attribute.PropertyValue;

/** Values of properties as they are shown in a table: figures with their units. */
final class ShownValue {
  /** Units of measures, which are kept in SI units. */
  private static final Map<String, String> SI =
      Map.ofEntries(
          Map.entry("IFCTHERMODYNAMICTEMPERATUREMEASURE", "K"),
          Map.entry("IFCTIMEMEASURE", "s"),
          Map.entry("IFCLINEARVELOCITYMEASURE", "m/s"),
          Map.entry("IFCACCELERATIONMEASURE", "m/s\u00b2"),
          Map.entry("IFCMASSDENSITYMEASURE", "kg/m\u00b3"),
          Map.entry("IFCAREADENSITYMEASURE", "kg/m\u00b2"),
          Map.entry("IFCMASSPERLENGTHMEASURE", "kg/m"),
          Map.entry("IFCMASSFLOWRATEMEASURE", "kg/s"),
          Map.entry("IFCVOLUMETRICFLOWRATEMEASURE", "m\u00b3/s"),
          Map.entry("IFCFORCEMEASURE", "N"),
          Map.entry("IFCLINEARFORCEMEASURE", "N/m"),
          Map.entry("IFCPLANARFORCEMEASURE", "N/m\u00b2"),
          Map.entry("IFCTORQUEMEASURE", "N\u00b7m"),
          Map.entry("IFCPRESSUREMEASURE", "Pa"),
          Map.entry("IFCMODULUSOFELASTICITYMEASURE", "N/m\u00b2"),
          Map.entry("IFCENERGYMEASURE", "J"),
          Map.entry("IFCPOWERMEASURE", "W"),
          Map.entry("IFCFREQUENCYMEASURE", "Hz"),
          Map.entry("IFCELECTRICVOLTAGEMEASURE", "V"),
          Map.entry("IFCELECTRICCURRENTMEASURE", "A"),
          Map.entry("IFCTHERMALTRANSMITTANCEMEASURE", "W/(m\u00b2\u00b7K)"),
          Map.entry("IFCTHERMALCONDUCTIVITYMEASURE", "W/(m\u00b7K)"));

  private static final Pattern LEVEL = Pattern.compile("(?i)level|elevation|chainage|station");

  private ShownValue() {}

  static boolean isNumber(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length l -> true;
      case PropertyValue.Area a -> true;
      case PropertyValue.Measure m -> true;
      case PropertyValue.Real r -> true;
      case PropertyValue.Count c -> true;
      default -> false;
    };
  }

  /** The same where the property's name tells more: levels are metres, however low. */
  static String of(String property, PropertyValue v) {
    return v instanceof PropertyValue.Length(double m) && LEVEL.matcher(property).find()
        ? Figures.number(m, 3) + " m"
        : of(v);
  }

  static String of(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> length(m);
      case PropertyValue.Area(double a) -> Figures.number(a, places(a)) + " m\u00b2";
      case PropertyValue.Measure(String type, double d) ->
          switch (type.toUpperCase(Locale.ROOT)) {
            case "IFCVOLUMEMEASURE" -> Figures.number(d, places(d)) + " m\u00b3";
            case "IFCMASSMEASURE" -> Figures.number(d, 1) + " kg";
            case "IFCPOSITIVELENGTHMEASURE", "IFCNONNEGATIVELENGTHMEASURE" -> length(d);
            case "IFCPLANEANGLEMEASURE" -> Figures.number(Math.toDegrees(d), 3) + "\u00b0";
            default ->
                Figures.number(d, 3)
                    + Optional.ofNullable(SI.get(type.toUpperCase(Locale.ROOT)))
                        .map(u -> " " + u)
                        .orElse("");
          };
      case PropertyValue.Real(double d) -> Figures.number(d, 3);
      case PropertyValue.Count(long n) -> Figures.count(n);
      default -> v.show();
    };
  }

  /** What is small needs more of them to say anything. */
  private static int places(double v) {
    return Math.abs(v) < 10 ? 3 : 1;
  }

  /** Thin things in millimetres, as the trade says them. */
  private static String length(double m) {
    return Math.abs(m) < 1 && m != 0
        ? Figures.number(1000 * m, 0) + " mm"
        : Figures.number(m, 3) + " m";
  }
}
