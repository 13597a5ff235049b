package wellspan.core.build;

import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.rulebook.Roads;
import wellspan.core.rulebook.Subject;

/** Items as rules see them: each with the road that it is part of. */
final class Subjects {
  private Subjects() {}

  /**
   * @param before those of an earlier state, which are taken over where nothing changed
   */
  static Map<ItemId, Subject> of(Collection<Build.BuiltItem> items, Map<ItemId, Subject> before) {
    Roads roads = new Roads();
    items.forEach(i -> roads.add(i.source(), i.item()));
    Map<ItemId, Subject> out = new LinkedHashMap<>();
    for (Build.BuiltItem i : items) {
      List<Item> above = roads.above(i.source(), i.item());
      Subject known = before.get(i.id());
      out.put(
          i.id(),
          known != null && known.isOf(i.item(), i.origin().file(), i.origin().revision(), above)
              ? known
              : new Subject(i.item(), i.origin().file(), i.origin().revision(), above));
    }
    return out;
  }
}
