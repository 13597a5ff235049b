package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.PropertySet;
import wellspan.core.finding.Finding;

/**
 * Finds the property and quantity sets of objects, those of their types among them, with measures
 * in SI units. What cannot be read is left out and named.
 */
final class PropertyReader {
  /** Codes of what is said of sets and properties whoever has them. */
  private static final Set<String> OF_DEFINITIONS =
      Set.of("ifc.set", "ifc.property", "ifc.property.twice");

  private final Definitions definitions;
  private final Units units;
  private final ValueReader values;
  private final SetReader sets;
  private final List<Finding> findings;
  private final Map<Integer, Optional<PropertySet>> known = new HashMap<>();

  /**
   * @param findings takes what cannot be read
   */
  PropertyReader(
      Definitions definitions,
      IfcModel model,
      Units units,
      Soundness soundness,
      List<Finding> findings) {
    this.definitions = definitions;
    this.units = units;
    this.findings = findings;
    values = new ValueReader(model, units);
    sets = new SetReader(soundness, values, findings);
  }

  /** Takes over what another reader of the same file met and did not read. */
  void absorb(PropertyReader other) {
    sets.absorb(other.sets);
    values.guessed().addAll(other.values.guessed());
  }

  /**
   * Whether something was said of a definition, which several objects may have, and not of one of
   * these.
   */
  static boolean isOfDefinition(Finding f) {
    return OF_DEFINITIONS.contains(f.code());
  }

  /** The sets of an object; what it says itself goes before what its type says. */
  List<PropertySet> of(Instance object) {
    List<Instance> all = new ArrayList<>(definitions.sets(object));
    int own = all.size();
    definitions.typeOf(object).ifPresent(t -> all.addAll(t.refs("HasPropertySets")));
    Map<String, PropertySet> out = new LinkedHashMap<>();
    for (int i = 0; i < all.size(); i++) {
      Instance definition = all.get(i);
      Optional<PropertySet> read =
          known.computeIfAbsent(definition.id(), k -> sets.read(definition));
      if (read.isEmpty()) {
        continue;
      }
      PropertySet set = read.get();
      PropertySet before = out.get(set.name());
      if (before == null) {
        out.put(set.name(), set);
      } else if (i >= own) {
        out.put(set.name(), before.over(set));
      } else {
        findings.add(
            Finding.error(
                RECEIVE,
                "ifc.set.twice",
                object.text("Name"),
                object.text("Name")
                    + " (#"
                    + object.id()
                    + ") has the set "
                    + set.name()
                    + " twice; the second is kept under another name."));
        int n = 2;
        while (out.containsKey(set.name() + " (" + n + ")")) {
          n++;
        }
        String name = set.name() + " (" + n + ")";
        out.put(name, set.named(name));
      }
    }
    return List.copyOf(out.values());
  }

  /** Names what was met and not read, once for the file. */
  void report() {
    sets.report();
    Set<String> guessed = values.guessed();
    if (!guessed.isEmpty()) {
      boolean metric = units.saysLength() && units.length() == 1;
      String message =
          "The file does not say the unit of "
              + String.join(", ", guessed)
              + "; such properties are taken in SI units. Ask the sender for the units.";
      findings.add(
          metric
              ? Finding.warning(RECEIVE, "ifc.property.unit", "", message)
              : Finding.error(RECEIVE, "ifc.property.unit", "", message));
    }
  }
}
