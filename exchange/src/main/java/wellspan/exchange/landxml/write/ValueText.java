package wellspan.exchange.landxml.write;

import wellspan.core.attribute.PropertyValue;

/** Values of properties as texts: measures in SI units, several ones with semicolons between. */
final class ValueText {
  private ValueText() {}

  static String of(PropertyValue v) {
    return switch (v) {
      case PropertyValue.Length(double m) -> Double.toString(m);
      case PropertyValue.Area(double a) -> Double.toString(a);
      case PropertyValue.Flag(boolean b) -> Boolean.toString(b);
      case PropertyValue.Empty e -> "";
      case PropertyValue.Several s ->
          String.join("; ", s.values().stream().map(ValueText::of).toList());
      case PropertyValue.Label l -> l.text();
      case PropertyValue.Words w -> w.text();
      case PropertyValue.Measure m -> m.show();
      case PropertyValue.Count c -> c.show();
      case PropertyValue.Real r -> r.show();
      case PropertyValue.Unknown u -> u.show();
      case PropertyValue.Bounded b -> b.show();
      case PropertyValue.Table t -> t.show();
      case PropertyValue.Complex c -> c.show();
    };
  }
}
