package wellspan.core.build;

import java.util.ArrayList;
import java.util.List;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.schema.IfcSchema;

/** What the rulebook asks for and items do not have. */
final class RuleFindings {
  private RuleFindings() {}

  /** In the schema of the first delivery that has classes. */
  static List<Finding> of(Build build) {
    if (build.job().rulebook().equals(Rulebook.NONE)) {
      return List.of();
    }
    IfcSchema schema =
        build.job().deliveries().stream()
            .filter(d -> d.format().schema().isPresent())
            .map(Delivery::schema)
            .findFirst()
            .orElse(IfcSchema.IFC4X3);
    List<Finding> out = new ArrayList<>();
    for (Build.BuiltItem i : build.items().values()) {
      Ruled r = build.ruled(i.id(), schema);
      if (!r.heldBack()) {
        r.findings(i.item().name()).forEach(f -> out.add(f.about(i.id())));
      }
    }
    return out;
  }
}
