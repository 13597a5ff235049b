package wellspan.exchange.feature;

import com.fasterxml.jackson.databind.JsonNode;
import wellspan.core.attribute.PropertyValue;

/** Values of the fields of features. */
public final class AttributeValue {
  /** What an IfcLabel holds at most. */
  private static final int LABEL = 255;

  private AttributeValue() {}

  public static PropertyValue text(String text) {
    return text.length() > LABEL || text.indexOf('\n') >= 0
        ? new PropertyValue.Words("IfcText", text)
        : new PropertyValue.Label(text);
  }

  /**
   * A number as it is written.
   *
   * @return the text, if it is no number
   */
  public static PropertyValue number(String written) {
    String s = written.strip();
    try {
      return s.chars().allMatch(c -> c >= '0' && c <= '9' || c == '-' || c == '+')
          ? new PropertyValue.Count(Long.parseLong(s))
          : real(Double.parseDouble(s), written);
    } catch (NumberFormatException e) {
      return text(written);
    }
  }

  private static PropertyValue real(double d, String written) {
    return Double.isFinite(d) ? new PropertyValue.Real(d) : text(written);
  }

  /** A member of a JSON object; objects and lists as their text. */
  public static PropertyValue of(JsonNode n) {
    if (n.isBoolean()) {
      return new PropertyValue.Flag(n.booleanValue());
    }
    if (n.isNumber()) {
      return number(n.asText());
    }
    if (n.isNull()) {
      return new PropertyValue.Empty();
    }
    return text(n.isTextual() ? n.textValue() : n.toString());
  }

  /**
   * @param value of JDBC or the like; null for none
   */
  public static PropertyValue of(Object value) {
    return switch (value) {
      case null -> new PropertyValue.Empty();
      case Boolean b -> new PropertyValue.Flag(b);
      case Integer i -> new PropertyValue.Count(i);
      case Long l -> new PropertyValue.Count(l);
      case Number n -> real(n.doubleValue(), n.toString());
      default -> text(value.toString());
    };
  }
}
