package wellspan.app.shell;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import java.util.function.Function;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.geom.Box;
import wellspan.core.schema.IfcSchema;

/**
 * What several selected items share, and where they differ, in the words of the docket.
 *
 * @param kinds the kinds with how many of each
 */
record SharedFacts(
    int count,
    String kinds,
    String source,
    String layer,
    List<String> extent,
    List<String> geometry,
    String classes,
    String material,
    List<InDelivery> deliveries) {

  /**
   * How the items stand to a delivery.
   *
   * @param all whether it holds every one
   */
  record InDelivery(String name, String words, boolean all) {}

  static SharedFacts of(Session session) {
    Build build = session.build();
    List<Build.BuiltItem> items =
        session.selection().ids().stream()
            .map(build.items()::get)
            .filter(Objects::nonNull)
            .toList();
    IfcSchema schema = session.deliveries().schema();
    Box box = Box.EMPTY;
    long triangles = 0;
    for (Build.BuiltItem i : items) {
      box = box.union(i.item().bounds());
      triangles += i.item().triangles().map(m -> m.triangleCount()).orElse(0);
    }
    List<String> extent = new ArrayList<>();
    List<String> geometry = new ArrayList<>();
    if (!box.isEmpty()) {
      extent.add("middle");
      extent.add("figure\tE " + Figures.number(box.centre().east(), 3));
      extent.add("figure\tN " + Figures.number(box.centre().north(), 3));
      extent.add(Figures.number(box.width(), 1) + " × " + Figures.number(box.depth(), 1) + " m");
      if (box.hasLevels()) {
        geometry.add(
            "levels " + Figures.number(box.minH(), 2) + " … " + Figures.number(box.maxH(), 2));
      }
    }
    if (triangles > 0) {
      geometry.add(Figures.count(triangles) + " triangles");
    }
    return new SharedFacts(
        items.size(),
        shared(items, i -> i.item().kind().title(), "kinds"),
        shared(items, Build.BuiltItem::source, "sources"),
        shared(items, i -> i.item().layer(), "layers"),
        extent,
        geometry,
        shared(items, i -> build.classOf(i, schema).entity(), "classes"),
        shared(items, i -> i.item().attributes().material(), "materials"),
        deliveries(session, items));
  }

  /** The value that all share, or how many there are and the most used one. */
  static <T> String shared(List<T> items, Function<T, String> of, String what) {
    Map<String, Integer> counts = new TreeMap<>();
    items.forEach(i -> counts.merge(of.apply(i), 1, Integer::sum));
    if (counts.size() == 1) {
      return counts.keySet().iterator().next();
    }
    String most =
        counts.entrySet().stream()
            .filter(e -> !e.getKey().isEmpty())
            .max(Map.Entry.comparingByValue())
            .map(e -> ", " + e.getValue() + " " + e.getKey())
            .orElse("");
    return counts.size() + " " + what + most;
  }

  private static List<InDelivery> deliveries(Session session, List<Build.BuiltItem> items) {
    List<InDelivery> out = new ArrayList<>();
    for (Delivery d : session.job().deliveries()) {
      long included = items.stream().filter(i -> session.build().sends(d, i)).count();
      boolean all = included == items.size();
      String many =
          all
              ? "all"
              : included == 0
                  ? "none"
                  : Figures.count(included) + " of " + Figures.count(items.size());
      out.add(new InDelivery(d.name(), (all ? "○ " : "· ") + d.name() + " " + many, all));
    }
    return out;
  }
}
