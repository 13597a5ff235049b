package wellspan.core.packing;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import wellspan.core.attribute.Holder;
import wellspan.core.attribute.ModelRoot;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.describe.HolderClasses;
import wellspan.core.schema.IfcSchema;

/** Lets a model that is sent on by itself stay in the project and the site it was received in. */
public final class ReceivedRoot {
  private ReceivedRoot() {}

  /**
   * The parcel with a received project and site: their names unless others are stated, their
   * GlobalIds unless something else has them, and what was said of them.
   */
  public static Parcel over(Parcel parcel, ModelRoot root) {
    IfcSchema schema = parcel.schema();
    Set<String> taken = new HashSet<>();
    parcel.pieces().forEach(p -> taken.add(p.description().globalId()));
    Holder project = fitting(root.project(), schema, taken);
    Optional<Holder> site = root.site().map(s -> fitting(s, schema, taken));
    ProjectInfo stated = parcel.info();
    ProjectInfo info =
        new ProjectInfo(
            stated.author(),
            stated.organisation(),
            stated.authorisation(),
            or(stated.phase(), root.phase()),
            or(stated.site(), site.map(Holder::name).orElse("")),
            stated.facility());
    Map<String, List<Holder>> places = new HashMap<>();
    parcel.pieces().forEach(p -> places.put(p.key(), p.description().structure()));
    PiecesAsLevels rooms = new PiecesAsLevels(parcel, places);
    List<List<Holder>> levels =
        root.levels().stream()
            .map(path -> path.stream().flatMap(h -> HolderClasses.place(h, schema).stream()))
            .map(path -> rooms.in(path.toList()))
            .filter(path -> !path.isEmpty())
            .toList();
    return parcel.in(
        or(project.name(), parcel.project()),
        info,
        new ModelRoot(project, root.phase(), site, ReceivedIds.ofLevels(levels, parcel)));
  }

  private static String or(String stated, String otherwise) {
    return stated.isEmpty() ? otherwise : stated;
  }

  private static Holder fitting(Holder h, IfcSchema schema, Set<String> taken) {
    boolean keeps = ReceivedIds.isOne(h.globalId()) && taken.add(h.globalId());
    return HolderClasses.fitting(keeps ? h : h.withGlobalId(""), schema);
  }
}
