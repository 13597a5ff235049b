package wellspan.core.describe;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import wellspan.core.attribute.PropertySet;
import wellspan.core.attribute.PropertyValue;
import wellspan.core.schema.Entity;
import wellspan.core.schema.IfcSchema;
import wellspan.core.schema.Schema;

/**
 * The property and quantity sets of the standard, by schema: which classes they are for and which
 * properties they hold. Quantity sets are listed for IFC4.3 only and count for all schemas.
 */
public final class StandardSets {
  private static final Map<IfcSchema, StandardSets> SHIPPED = new EnumMap<>(IfcSchema.class);
  private static final String QUANTITIES = "Qto_";

  /** What an own set is called that holds what the standard's has no room for. */
  private static final String OWN = "Wellspan_";

  private final IfcSchema schema;
  private final Map<String, Set<String>> classes = new HashMap<>();
  private final Map<String, Map<String, Property>> properties = new HashMap<>();

  /**
   * A property of a standard set.
   *
   * @param type measure or type such as {@code IfcLabel}, empty where the table says none
   * @param allowed literals of an enumeration
   */
  private record Property(String type, List<String> allowed) {}

  private StandardSets(IfcSchema schema) {
    this.schema = schema;
  }

  /** Of a schema; read on first use. Any thread may ask. */
  public static synchronized StandardSets of(IfcSchema schema) {
    return SHIPPED.computeIfAbsent(schema, StandardSets::load);
  }

  private static StandardSets load(IfcSchema schema) {
    StandardSets out = new StandardSets(schema);
    String name =
        switch (schema) {
          case IFC2X3 -> "IFC2X3";
          case IFC4 -> "IFC4";
          case IFC4X3 -> "IFC4X3";
        };
    try (InputStream in = StandardSets.class.getResourceAsStream(name + "-sets.tsv.gz");
        BufferedReader lines =
            new BufferedReader(
                new InputStreamReader(new GZIPInputStream(in), StandardCharsets.UTF_8))) {
      for (String line = lines.readLine(); line != null; line = lines.readLine()) {
        String[] c = line.split("\t", -1);
        if (c[0].equals("S")) {
          out.classes.put(c[1], Set.of(c[2].split(" ")));
        } else if (c[0].equals("P")) {
          out.properties
              .computeIfAbsent(c[1], k -> new LinkedHashMap<>())
              .put(
                  c[2],
                  new Property(
                      c.length > 4 ? c[4] : "",
                      c.length > 5 && !c[5].isEmpty() ? List.of(c[5].split("\\|")) : List.of()));
        }
      }
    } catch (IOException e) {
      throw new UncheckedIOException("The table of standard sets is damaged. Install again.", e);
    }
    return out;
  }

  /** Whether a set of this name is one of the standard for a class or what it is a kind of. */
  public boolean isFor(String set, String entity) {
    StandardSets table = table(set);
    Set<String> of = table.classes.getOrDefault(set, Set.of());
    Schema s = Schema.forFile(table.schema.id()).orElseThrow();
    for (Entity e = s.entity(entity).orElse(null);
        e != null;
        e = s.entity(e.supertype()).orElse(null)) {
      if (of.contains(e.name())) {
        return true;
      }
    }
    return false;
  }

  private StandardSets table(String set) {
    return set.startsWith(QUANTITIES) && schema != IfcSchema.IFC4X3 ? of(IfcSchema.IFC4X3) : this;
  }

  /** Whether a standard set of this name has such a property. */
  public boolean has(String set, String property) {
    return table(set).properties.getOrDefault(set, Map.of()).containsKey(property);
  }

  /** Type of a property as the standard says it, empty if it does not. */
  public String type(String set, String property) {
    Property p = find(set, property);
    return p == null ? "" : p.type();
  }

  /** Words that the standard allows for a property; none where any will do. */
  public List<String> allowed(String set, String property) {
    Property p = find(set, property);
    return p == null ? List.of() : p.allowed();
  }

  private Property find(String set, String property) {
    return table(set).properties.getOrDefault(set, Map.of()).get(property);
  }

  /** Names of the standard sets for a class, in the order of the alphabet. */
  public List<String> setsFor(String entity) {
    return Stream.concat(
            classes.keySet().stream(),
            of(IfcSchema.IFC4X3).classes.keySet().stream().filter(s -> s.startsWith(QUANTITIES)))
        .distinct()
        .filter(s -> isFor(s, entity))
        .sorted()
        .toList();
  }

  /** Names of the properties of a standard set, in the order of the alphabet. */
  public List<String> propertiesOf(String set) {
    return table(set).properties.getOrDefault(set, Map.of()).keySet().stream().sorted().toList();
  }

  /**
   * Sets as the schema knows them for a class: what a standard set has no room for goes into an own
   * set of like name.
   */
  public List<PropertySet> fitted(List<PropertySet> sets, String entity) {
    List<PropertySet> out = new ArrayList<>();
    for (PropertySet s : sets) {
      if (!s.name().startsWith("Pset_") && !s.name().startsWith(QUANTITIES)) {
        out.add(s);
        continue;
      }
      boolean fits = isFor(s.name(), entity);
      Map<String, PropertyValue> kept = new LinkedHashMap<>();
      Map<String, PropertyValue> own = new LinkedHashMap<>();
      s.values().forEach((name, v) -> (fits && has(s.name(), name) ? kept : own).put(name, v));
      if (!kept.isEmpty()) {
        out.add(s.with(kept));
      }
      if (!own.isEmpty()) {
        String name = OWN + s.name().substring(s.name().indexOf('_') + 1);
        out.add(s.with(own).named(name));
      }
    }
    return out;
  }
}
