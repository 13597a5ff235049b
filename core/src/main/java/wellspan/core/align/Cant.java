package wellspan.core.align;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;

/**
 * How far the rails of a track are raised along an alignment. An alignment says it in a set of its
 * properties; this is what the set means.
 *
 * @param railHeadDistance between the middles of the rail heads, metres
 * @param stations rising, two or more
 */
public record Cant(double railHeadDistance, List<Station> stations) {
  /** Beginning of the names of sets that say it. */
  public static final String SET = "Cant";

  private static final String RAILS = "RailHeadDistance";
  private static final String LEFT = "CantLeft";
  private static final String RIGHT = "CantRight";
  private static final String TRANSITION = "Transition";

  /** How the cant changes from one station to the next. */
  public enum Law {
    CONSTANT,
    LINEAR,
    BLOSS,
    COSINE,
    SINE,
    /** Two parabolas, after Helmert. */
    BIQUADRATIC,
    VIENNESE
  }

  /**
   * @param distance from the alignment's start, metres
   * @param left how far the left rail is raised, metres
   * @param right how far the right rail is raised, metres
   * @param law on to the next station
   */
  public record Station(double distance, double left, double right, Law law) {}

  public Cant {
    stations = List.copyOf(stations);
  }

  /** As a set of properties: distances from the alignment's start, metres. */
  public PropertySet set() {
    Map<String, PropertyValue> v = new LinkedHashMap<>();
    v.put(RAILS, new PropertyValue.Length(railHeadDistance));
    v.put(LEFT, table(s -> new PropertyValue.Length(s.left)));
    v.put(RIGHT, table(s -> new PropertyValue.Length(s.right)));
    v.put(TRANSITION, table(s -> new PropertyValue.Label(s.law.name().toLowerCase(Locale.ROOT))));
    return new PropertySet(SET, v);
  }

  private interface Said {
    PropertyValue of(Station s);
  }

  private PropertyValue table(Said what) {
    return new PropertyValue.Table(
        stations.stream().<PropertyValue>map(s -> new PropertyValue.Length(s.distance)).toList(),
        stations.stream().map(what::of).toList());
  }

  /** What the sets of an alignment say of it; empty if they say none, or not enough. */
  public static Optional<Cant> of(List<PropertySet> sets, Chainages chainages) {
    return sets.stream()
        .filter(s -> s.name().equals(SET) || s.name().startsWith(SET + " "))
        .flatMap(s -> of(s.values(), chainages).stream())
        .findFirst();
  }

  private static Optional<Cant> of(Map<String, PropertyValue> v, Chainages chainages) {
    OptionalDouble rails = metres(v.get(RAILS));
    if (rails.isEmpty()) {
      rails = metres(v.get("Gauge"));
    }
    Map<Double, PropertyValue> left = rows(v.get(LEFT), 0);
    Map<Double, PropertyValue> right = rows(v.get(RIGHT), 0);
    Map<Double, PropertyValue> law = rows(v.get(TRANSITION), 0);
    List<Station> out = new ArrayList<>();
    if (!left.isEmpty()) {
      left.forEach(
          (d, l) ->
              out.add(
                  new Station(
                      d,
                      metres(l).orElse(Double.NaN),
                      metres(right.get(d)).orElse(Double.NaN),
                      law(law.get(d)))));
    } else { // as designs give it: the outer rail, at stations
      double start = chainages.start();
      Map<Double, PropertyValue> turn = rows(v.get("Curvature"), start);
      Map<Double, PropertyValue> how = rows(v.get(TRANSITION), start);
      rows(v.get("AppliedCant"), start)
          .forEach(
              (d, c) -> {
                double raised = metres(c).orElse(Double.NaN);
                boolean toTheRight = turn.get(d) == null || turn.get(d).show().equals("cw");
                out.add(
                    new Station(
                        d, toTheRight ? raised : 0, toTheRight ? 0 : raised, law(how.get(d))));
              });
    }
    boolean sound = out.size() > 1 && rails.isPresent() && rails.getAsDouble() > 0;
    for (int i = 0; i < out.size() && sound; i++) {
      Station s = out.get(i);
      sound = Double.isFinite(s.left + s.right) && (i == 0 || s.distance > out.get(i - 1).distance);
    }
    return sound ? Optional.of(new Cant(rails.getAsDouble(), out)) : Optional.empty();
  }

  private static OptionalDouble metres(PropertyValue v) {
    return v instanceof PropertyValue.Length(double m)
        ? OptionalDouble.of(m)
        : OptionalDouble.empty();
  }

  private static Map<Double, PropertyValue> rows(PropertyValue v, double from) {
    Map<Double, PropertyValue> out = new LinkedHashMap<>();
    if (v instanceof PropertyValue.Table t) {
      for (int i = 0; i < t.defining().size(); i++) {
        OptionalDouble at = metres(t.defining().get(i));
        if (at.isPresent()) {
          out.put(at.getAsDouble() - from, t.defined().get(i));
        }
      }
    }
    return out;
  }

  private static Law law(PropertyValue said) {
    return switch (said == null ? "" : said.show().toLowerCase(Locale.ROOT)) {
      case "constant" -> Law.CONSTANT;
      case "bloss", "revbloss" -> Law.BLOSS;
      case "cosine", "revcosine" -> Law.COSINE;
      case "sine", "sinusoid", "revsinusoid" -> Law.SINE;
      case "biquadratic", "revbiquadratic" -> Law.BIQUADRATIC;
      case "viennese", "weinerbogen", "wienerbogen" -> Law.VIENNESE;
      default -> Law.LINEAR;
    };
  }
}
