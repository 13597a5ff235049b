package wellspan.core.search;

import java.util.List;
import wellspan.core.attribute.Holder;
import wellspan.core.build.Build;
import wellspan.core.describe.SpatialStructure;
import wellspan.core.schema.IfcSchema;

/**
 * Tells in which road, bridge or storey the items of a build stand, as an IFC4.3 model of all of
 * them would have it. Made in time of the number of items, for one use over many of them.
 */
public final class StandsIn {
  private final Build build;
  private final SpatialStructure structure;

  public StandsIn(Build build) {
    this.build = build;
    structure =
        new SpatialStructure(
            build.items().values().stream().map(Build.BuiltItem::item).toList(),
            build.job().project().facility(),
            IfcSchema.IFC4X3);
  }

  /**
   * Names from the outermost level inwards, with a dot between; empty in the site itself. A road's
   * parts say which road it is.
   */
  public String of(Build.BuiltItem item) {
    List<Holder> ruled = build.ruled(item.id(), IfcSchema.IFC4X3).structure();
    List<Holder> said = ruled.isEmpty() ? item.item().said().structure() : ruled;
    return String.join(
        " · ",
        structure.of(item.item(), said).stream()
            .filter(p -> !p.entityClass().entity().equals("IfcRoad"))
            .map(Holder::name)
            .toList());
  }
}
