package wellspan.exchange.landxml.write;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/**
 * Writes what an alignment's sets say of its superelevation and cant as elements of their own. A
 * set that lacks what such an element must have, or has more than it can hold, stays a feature.
 */
final class CrossfallElements {
  private static final List<String> TURNS =
      List.of(
          "BeginRunoutSta",
          "BeginRunoffSta",
          "FullSuperSta",
          "FullSuperelev",
          "RunoffSta",
          "StartofRunoutSta",
          "EndofRunoutSta",
          "AdverseSE");
  private static final Set<String> ENDS = Set.of("StartStation", "EndStation");
  private static final Set<String> CANT =
      Set.of(
          "Gauge",
          "EquilibriumConstant",
          "AppliedCantConstant",
          "RotationPoint",
          "AppliedCant",
          "Curvature",
          "Transition",
          "Speed");
  private static final int FINE = AlignmentElements.FINE;

  private final XmlElements xml;
  private final double along;

  /**
   * @param along units of the file in a metre of chainage
   */
  CrossfallElements(XmlElements xml, double along) {
    this.xml = xml;
    this.along = along;
  }

  /** Whether the set is one of a superelevation that an element can hold. */
  static boolean isSuperelevation(PropertySet s) {
    boolean named = s.name().equals("Superelevation") || s.name().startsWith("Superelevation (");
    return named
        && s.values().entrySet().stream()
            .allMatch(
                e ->
                    switch (e.getKey()) {
                      case "FullSuperelev" -> e.getValue() instanceof PropertyValue.Measure;
                      case "AdverseSE" -> e.getValue() instanceof PropertyValue.Label;
                      default ->
                          (TURNS.contains(e.getKey()) || ENDS.contains(e.getKey()))
                              && e.getValue() instanceof PropertyValue.Length;
                    });
  }

  /** Whether the set is one of a cant that an element can hold. */
  static boolean isCant(PropertySet s) {
    Map<String, PropertyValue> v = s.values();
    return s.name().startsWith("Cant ")
        && CANT.containsAll(v.keySet())
        && v.get("Gauge") instanceof PropertyValue.Length
        && v.get("EquilibriumConstant") instanceof PropertyValue.Real
        && !stations(v.get("AppliedCant")).isEmpty()
        && stations(v.get("Curvature")).keySet().equals(stations(v.get("AppliedCant")).keySet())
        && stations(v.get("AppliedCant"))
            .keySet()
            .containsAll(stations(v.get("Transition")).keySet());
  }

  void superelevation(PropertySet s) throws IOException {
    Map<String, PropertyValue> v = s.values();
    xml.line(6, "Superelevation");
    station("staStart", v.get("StartStation"));
    station("staEnd", v.get("EndStation"));
    for (String turn : TURNS) {
      PropertyValue said = v.get(turn);
      if (said instanceof PropertyValue.Length(double m)) {
        xml.open(turn).number(m * along, FINE).close();
      } else if (said instanceof PropertyValue.Measure f) {
        double perCent = 100 * f.number(); // from 0.2 on readers take it as such
        xml.open(turn).number(Math.abs(perCent) < 0.2 ? f.number() : perCent, FINE).close();
      } else if (said != null) {
        xml.open(turn).text(said.show()).close();
      }
    }
    xml.close().newLine();
  }

  private void station(String attribute, PropertyValue at) throws IOException {
    if (at instanceof PropertyValue.Length(double m)) {
      xml.attribute(attribute, m * along, FINE);
    }
  }

  void cant(PropertySet s) throws IOException {
    Map<String, PropertyValue> v = s.values();
    xml.line(6, "Cant").attribute("name", s.name().substring("Cant ".length()));
    xml.attribute(
        "equilibriumConstant", ((PropertyValue.Real) v.get("EquilibriumConstant")).number(), FINE);
    if (v.get("AppliedCantConstant") instanceof PropertyValue.Real(double c)) {
      xml.attribute("appliedCantConstant", c, FINE);
    }
    xml.attribute("gauge", ((PropertyValue.Length) v.get("Gauge")).metres(), FINE);
    if (v.get("RotationPoint") != null) {
      xml.attribute("rotationPoint", v.get("RotationPoint").show());
    }
    xml.newLine();
    Map<Double, PropertyValue> curvature = stations(v.get("Curvature"));
    Map<Double, PropertyValue> transition = stations(v.get("Transition"));
    for (Map.Entry<Double, PropertyValue> c : stations(v.get("AppliedCant")).entrySet()) {
      xml.white(8)
          .empty("CantStation")
          .attribute("station", c.getKey() * along, FINE)
          .attribute("appliedCant", 1000 * ((PropertyValue.Length) c.getValue()).metres(), 6)
          .attribute("curvature", curvature.get(c.getKey()).show());
      if (transition.containsKey(c.getKey())) {
        xml.attribute("transitionType", transition.get(c.getKey()).show());
      }
      xml.newLine();
    }
    for (Map.Entry<Double, PropertyValue> c : stations(v.get("Speed")).entrySet()) {
      xml.white(8)
          .empty("SpeedStation")
          .attribute("station", c.getKey() * along, FINE)
          .attribute("speed", ((PropertyValue.Real) c.getValue()).number(), FINE)
          .newLine();
    }
    xml.white(6).close().newLine();
  }

  private static Map<Double, PropertyValue> stations(PropertyValue v) {
    Map<Double, PropertyValue> out = new LinkedHashMap<>();
    if (v instanceof PropertyValue.Table t) {
      for (int i = 0; i < t.defining().size(); i++) {
        if (t.defining().get(i) instanceof PropertyValue.Length(double m)) {
          out.put(m, t.defined().get(i));
        }
      }
    }
    return out;
  }
}
