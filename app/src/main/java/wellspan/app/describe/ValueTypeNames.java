package wellspan.app.describe;

import java.util.LinkedHashMap;
import java.util.Map;

/** Types of values in the trade's words, for those that are chosen often. */
final class ValueTypeNames {
  private static final Map<String, String> NAMES = new LinkedHashMap<>();

  static {
    NAMES.put("", "as it is");
    NAMES.put("IfcLabel", "short text");
    NAMES.put("IfcText", "text");
    NAMES.put("IfcIdentifier", "identifier");
    NAMES.put("IfcBoolean", "yes or no");
    NAMES.put("IfcInteger", "whole number");
    NAMES.put("IfcReal", "number");
    NAMES.put("IfcLengthMeasure", "length");
    NAMES.put("IfcPositiveLengthMeasure", "positive length");
    NAMES.put("IfcAreaMeasure", "area");
    NAMES.put("IfcVolumeMeasure", "volume");
    NAMES.put("IfcMassMeasure", "mass");
    NAMES.put("IfcPlaneAngleMeasure", "angle");
    NAMES.put("IfcRatioMeasure", "ratio");
    NAMES.put("IfcCountMeasure", "count");
    NAMES.put("IfcDate", "date");
  }

  private ValueTypeNames() {}

  /** All that are offered, by their names in the standard. */
  static Map<String, String> all() {
    return NAMES;
  }

  static String of(String type) {
    return NAMES.getOrDefault(type, type.replaceFirst("^Ifc", ""));
  }
}
