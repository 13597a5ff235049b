package wellspan.exchange.ifc.read;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.attribute.PropertySet;

/** Reads what a model says of its project and its site. */
final class RootReader {
  /** Sets of this prefix say where a model of IFC2x3 lies, which each file says anew. */
  private static final String OF_PLACE = "epset_";

  private RootReader() {}

  static Optional<ModelRoot> of(IfcModel model, HolderReader holders, StructureReader structure) {
    List<Instance> projects = model.all("IFCPROJECT");
    if (projects.isEmpty()) {
      return Optional.empty();
    }
    Instance p = projects.getFirst();
    Optional<Holder> site = structure.site().map(s -> root(s, holders));
    return Optional.of(
        new ModelRoot(root(p, holders), p.text("Phase"), site, structure.levels(model)));
  }

  private static Holder root(Instance i, HolderReader holders) {
    Holder h = holders.of(i, i.text("Name"));
    List<PropertySet> sets =
        h.propertySets().stream()
            .filter(s -> !s.name().toLowerCase(Locale.ROOT).startsWith(OF_PLACE))
            .toList();
    return h.saying(sets, h.attributes());
  }
}
