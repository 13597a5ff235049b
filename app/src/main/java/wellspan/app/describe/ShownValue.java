package wellspan.app.describe;

import java.util.Locale;
import wellspan.app.theme.Figures;
import wellspan.core.attribute.PropertyValue;

/** Values of properties as they are shown in a table: figures with their units. */
final class ShownValue {
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

  static String of(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> length(m);
      case PropertyValue.Area(double a) -> Figures.number(a, places(a)) + " m\u00b2";
      case PropertyValue.Measure(String type, double d) ->
          switch (type.toUpperCase(Locale.ROOT)) {
            case "IFCVOLUMEMEASURE" -> Figures.number(d, places(d)) + " m\u00b3";
            case "IFCMASSMEASURE" -> Figures.number(d, 1) + " kg";
            case "IFCPOSITIVELENGTHMEASURE", "IFCNONNEGATIVELENGTHMEASURE" -> length(d);
            default -> Figures.number(d, 3);
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
