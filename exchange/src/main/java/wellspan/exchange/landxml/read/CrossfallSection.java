package wellspan.exchange.landxml.read;

import java.io.IOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/**
 * Reads what an alignment says of its superelevation and cant. It stays with the alignment as sets
 * of properties: cross sections come with their own crossfalls and are not turned by it.
 */
final class CrossfallSection {
  /** A full superelevation of this size is per cent, a smaller one a ratio. */
  private static final double PER_CENT = 0.2;

  /** A gauge above this is in millimetres. */
  private static final double GAUGE_IN_METRES = 10;

  private static final double MILLIMETRE = 0.001;

  private final XmlCursor xml;
  private final Map<String, Integer> counts;

  CrossfallSection(XmlCursor xml, Map<String, Integer> counts) {
    this.xml = xml;
    this.counts = counts;
  }

  /**
   * A set before the unit of stations is known.
   *
   * @param stations in the file's unit, by the name of the property
   * @param others values that no unit changes
   * @param table station and value in turn, by the name of the property
   */
  record Raw(
      String name,
      Map<String, Double> stations,
      Map<String, PropertyValue> others,
      Map<String, List<Pair>> table) {

    /**
     * @param metres in one unit of the file
     */
    PropertySet set(double metres) {
      Map<String, PropertyValue> v = new LinkedHashMap<>();
      stations.forEach((n, s) -> v.put(n, new PropertyValue.Length(s * metres)));
      v.putAll(others);
      table.forEach(
          (n, pairs) ->
              v.put(
                  n,
                  new PropertyValue.Table(
                      pairs.stream()
                          .<PropertyValue>map(p -> new PropertyValue.Length(p.station() * metres))
                          .toList(),
                      pairs.stream().map(Pair::value).toList())));
      return new PropertySet(name, v);
    }
  }

  /** A value at a station of the file. */
  record Pair(double station, PropertyValue value) {}

  /** A {@code Superelevation}: where a crossfall begins to turn and how far it goes. */
  Raw superelevation(int number) throws IOException {
    Map<String, Double> stations = new LinkedHashMap<>();
    Map<String, PropertyValue> others = new LinkedHashMap<>();
    station("StartStation", "staStart", stations);
    station("EndStation", "staEnd", stations);
    Map<String, Integer> seen = new LinkedHashMap<>();
    while (xml.nextTag()) {
      String name = xml.name();
      int n = seen.merge(name, 1, Integer::sum);
      String as = n == 1 ? name : name + " " + n;
      switch (name) {
        case "BeginRunoutSta",
            "BeginRunoffSta",
            "FullSuperSta",
            "RunoffSta",
            "StartofRunoutSta",
            "EndofRunoutSta" ->
            stations.put(as, xml.numbers(1, 1)[0]);
        case "FullSuperelev" -> {
          double slope = xml.numbers(1, 1)[0];
          others.put(
              as,
              new PropertyValue.Measure(
                  "IfcRatioMeasure", Math.abs(slope) < PER_CENT ? slope : slope / 100));
        }
        case "AdverseSE" -> others.put(as, new PropertyValue.Label(xml.words()));
        default -> {
          counts.merge(name, 1, Integer::sum);
          xml.skip();
        }
      }
    }
    return new Raw(
        "Superelevation" + (number == 1 ? "" : " (" + number + ")"), stations, others, Map.of());
  }

  private void station(String as, String attribute, Map<String, Double> to) throws IOException {
    double s = xml.number(attribute);
    if (!Double.isNaN(s)) {
      to.put(as, s);
    }
  }

  /** A {@code Cant}: how far the outer rail is raised, along the line. */
  Raw cant() throws IOException {
    String name = xml.attribute("name").orElse("");
    Map<String, PropertyValue> others = new LinkedHashMap<>();
    double gauge = xml.number("gauge");
    if (!Double.isNaN(gauge)) {
      others.put(
          "Gauge", new PropertyValue.Length(gauge > GAUGE_IN_METRES ? gauge * MILLIMETRE : gauge));
    }
    real("EquilibriumConstant", "equilibriumConstant", others);
    real("AppliedCantConstant", "appliedCantConstant", others);
    xml.attribute("rotationPoint")
        .ifPresent(r -> others.put("RotationPoint", new PropertyValue.Label(r)));
    Map<String, List<Pair>> tables = new LinkedHashMap<>();
    while (xml.nextTag()) {
      switch (xml.name()) {
        case "CantStation" -> {
          double station = xml.needNumber("station");
          row(
              tables,
              "AppliedCant",
              station,
              new PropertyValue.Length(xml.needNumber("appliedCant") * MILLIMETRE));
          xml.attribute("curvature")
              .ifPresent(c -> row(tables, "Curvature", station, new PropertyValue.Label(c)));
          xml.attribute("transitionType")
              .ifPresent(c -> row(tables, "Transition", station, new PropertyValue.Label(c)));
          xml.skip();
        }
        case "SpeedStation" -> {
          row(
              tables,
              "Speed",
              xml.needNumber("station"),
              new PropertyValue.Real(xml.needNumber("speed")));
          xml.skip();
        }
        default -> {
          counts.merge(xml.name(), 1, Integer::sum);
          xml.skip();
        }
      }
    }
    return new Raw(name.isEmpty() ? "Cant" : "Cant " + name, Map.of(), others, tables);
  }

  private void real(String as, String attribute, Map<String, PropertyValue> to) throws IOException {
    double d = xml.number(attribute);
    if (!Double.isNaN(d)) {
      to.put(as, new PropertyValue.Real(d));
    }
  }

  private static void row(
      Map<String, List<Pair>> tables, String name, double station, PropertyValue value) {
    tables.computeIfAbsent(name, k -> new ArrayList<>()).add(new Pair(station, value));
  }
}
