package wellspan.exchange.ifc.write;

import static wellspan.exchange.ifc.write.StepValue.DERIVED;
import static wellspan.exchange.ifc.write.StepValue.UNSET;
import static wellspan.exchange.ifc.write.StepValue.literal;
import static wellspan.exchange.ifc.write.StepValue.ref;
import static wellspan.exchange.ifc.write.StepValue.refs;
import static wellspan.exchange.ifc.write.StepValue.whole;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import wellspan.core.attribute.Description;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.deliver.Parcel;
import wellspan.core.schema.Schema;

/**
 * Says the SI units of the measures that a parcel's properties count in, besides lengths, areas,
 * volumes and angles. A measure whose unit a model does not say is taken for something else by some
 * receivers.
 */
final class MeasureUnits {
  private static final Map<String, List<Element>> BY_KIND = table();

  private final StepWriter step;
  private final Schema schema;
  private final Map<String, Integer> written = new HashMap<>();

  /**
   * A part of a unit.
   *
   * @param prefix of the SI unit, empty if it has none
   */
  private record Element(String prefix, String name, int exponent) {}

  MeasureUnits(StepWriter step, Parcel parcel) {
    this.step = step;
    schema = Schema.forFile(parcel.schema().id()).orElseThrow();
  }

  private static Map<String, List<Element>> table() {
    Map<String, List<Element>> out = new LinkedHashMap<>();
    try (InputStream in = MeasureUnits.class.getResourceAsStream("measure-units.tsv");
        BufferedReader lines =
            new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
      lines
          .lines()
          .map(l -> l.split("\t"))
          .forEach(
              l -> out.put(l[0], Stream.of(l[1].split("; ")).map(MeasureUnits::element).toList()));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return out;
  }

  private static Element element(String text) {
    String[] words = text.split(" ");
    int n = words.length;
    return new Element(n > 2 ? words[0] : "", words[n - 2], Integer.parseInt(words[n - 1]));
  }

  /** Writes the units of all kinds that the parcel's values count in, in the table's order. */
  List<Integer> write(Parcel parcel) throws IOException {
    Set<String> used = kinds(parcel);
    List<Integer> out = new ArrayList<>();
    for (Map.Entry<String, List<Element>> e : BY_KIND.entrySet()) {
      if (used.contains(e.getKey())) {
        if (isIn("IFCUNITENUM", e.getKey())) {
          out.add(named(e.getKey(), e.getValue().getFirst()));
        } else if (isIn("IFCDERIVEDUNITENUM", e.getKey())) {
          out.add(derived(e.getKey(), e.getValue()));
        }
      }
    }
    return out;
  }

  private boolean isIn(String enumeration, String kind) {
    return schema.enumeration(enumeration).map(s -> s.contains(kind)).orElse(false);
  }

  private int named(String kind, Element e) throws IOException {
    return step.add(
        "IfcSIUnit",
        DERIVED,
        literal(kind),
        e.prefix().isEmpty() ? UNSET : literal(e.prefix()),
        literal(e.name()));
  }

  private int derived(String kind, List<Element> elements) throws IOException {
    List<Integer> parts = new ArrayList<>();
    for (Element e : elements) {
      Integer unit = written.get(e.name());
      if (unit == null) {
        unit = named(kindOf(e.name()), e);
        written.put(e.name(), unit);
      }
      parts.add(step.add("IfcDerivedUnitElement", ref(unit), whole(e.exponent())));
    }
    return step.attributeCount("IfcDerivedUnit") == 3 // later schemas let it have a name
        ? step.add("IfcDerivedUnit", refs(parts), literal(kind), UNSET)
        : step.add("IfcDerivedUnit", refs(parts), literal(kind), UNSET, UNSET);
  }

  /** The kind that a named SI unit is of. */
  private static String kindOf(String name) {
    return switch (name) {
      case "METRE" -> "LENGTHUNIT";
      case "RADIAN" -> "PLANEANGLEUNIT";
      default ->
          BY_KIND.entrySet().stream()
              .filter(e -> e.getValue().size() == 1 && e.getValue().getFirst().exponent() == 1)
              .filter(e -> e.getValue().getFirst().name().equals(name))
              .map(Map.Entry::getKey)
              .findFirst()
              .orElseThrow();
    };
  }

  /** The kinds of units of all measures in a parcel. */
  private static Set<String> kinds(Parcel parcel) {
    Stream<Holder> root =
        parcel.root().stream()
            .flatMap(
                r ->
                    Stream.concat(
                        Stream.concat(Stream.of(r.project()), r.site().stream()),
                        r.levels().stream().flatMap(List::stream)));
    Stream<PropertySet> sets =
        Stream.concat(
            parcel.pieces().stream().flatMap(p -> sets(p.description())),
            root.flatMap(h -> h.propertySets().stream()));
    Set<String> out = new TreeSet<>();
    sets.forEach(s -> s.values().values().forEach(v -> add(v, out)));
    return out;
  }

  private static Stream<PropertySet> sets(Description d) {
    Stream<Holder> holders =
        Stream.concat(
            d.structure().stream(), Stream.concat(d.groups().stream(), d.type().stream()));
    return Stream.concat(
        d.propertySets().stream(), holders.flatMap(h -> h.propertySets().stream()));
  }

  private static void add(PropertyValue v, Set<String> to) {
    switch (v) {
      case PropertyValue.Measure(String type, double number) -> to.add(kind(type));
      case PropertyValue.Several s -> s.values().forEach(x -> add(x, to));
      case PropertyValue.Complex c -> c.values().values().forEach(x -> add(x, to));
      case PropertyValue.Table t -> {
        t.defining().forEach(x -> add(x, to));
        t.defined().forEach(x -> add(x, to));
      }
      case PropertyValue.Bounded b ->
          Stream.of(b.lower(), b.upper(), b.setPoint())
              .flatMap(x -> x.stream())
              .forEach(x -> add(x, to));
      default -> {}
    }
  }

  private static String kind(String measure) {
    String m = measure.toUpperCase(Locale.ROOT).replaceFirst("^IFC", "");
    return switch (m) {
      case "THERMALCONDUCTIVITYMEASURE" -> "THERMALCONDUCTANCEUNIT";
      default -> m.replaceFirst("MEASURE$", "") + "UNIT";
    };
  }
}
