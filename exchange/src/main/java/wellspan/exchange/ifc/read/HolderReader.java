package wellspan.exchange.ifc.read;

import static wellspan.core.finding.Stop.RECEIVE;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.EntityClass;
import wellspan.core.attribute.Holder;
import wellspan.core.finding.Finding;

/** Reads what is said of levels, assemblies, groups and types, which have no shape to be shown. */
final class HolderReader {
  private final Definitions definitions;
  private final PropertyReader properties;
  private final Units units;
  private final Soundness soundness;
  private final List<Finding> findings;
  private final Map<Integer, Optional<Holder>> types = new HashMap<>();
  private final Set<Integer> told = new HashSet<>();

  /**
   * @param findings takes what is wrong with them
   */
  HolderReader(
      Definitions definitions,
      PropertyReader properties,
      Units units,
      Soundness soundness,
      List<Finding> findings) {
    this.definitions = definitions;
    this.properties = properties;
    this.units = units;
    this.soundness = soundness;
    this.findings = findings;
  }

  /**
   * One that others stand in or are members of; of a broken one nothing but its class and name.
   *
   * @param name under which it is told from others beside it
   */
  Holder of(Instance i, String name) {
    return isSound(i, "Nothing of it is kept but its name")
        ? new Holder(
            definitions.classOf(i),
            name,
            i.text("GlobalId"),
            properties.of(i),
            AttributeReader.of(i, units))
        : new Holder(new EntityClass(i.entity().name(), ""), name);
  }

  /** The type of an occurrence; its sets are said of what is of it. Empty for a broken one. */
  Optional<Holder> typeOf(Instance occurrence) {
    return definitions.typeOf(occurrence).flatMap(t -> types.computeIfAbsent(t.id(), k -> type(t)));
  }

  private Optional<Holder> type(Instance t) {
    if (!isSound(t, "What is of this type goes without it")) {
      return Optional.empty();
    }
    return Optional.of(
        new Holder(
            new EntityClass(t.entity().name(), t.literal("PredefinedType"), t.text("ElementType")),
            IfcReader.nameOf(t),
            t.text("GlobalId"),
            List.of(),
            AttributeReader.of(t, units)));
  }

  private boolean isSound(Instance i, String otherwise) {
    Optional<String> fault = soundness.ofItself(i);
    if (fault.isPresent() && told.add(i.id())) {
      findings.add(
          Finding.error(
              RECEIVE,
              "ifc.holder",
              IfcReader.nameOf(i),
              IfcReader.nameOf(i)
                  + " (#"
                  + i.id()
                  + ", "
                  + i.entity().name()
                  + "): "
                  + fault.get()
                  + ". "
                  + otherwise
                  + "."));
    }
    return fault.isEmpty();
  }
}
