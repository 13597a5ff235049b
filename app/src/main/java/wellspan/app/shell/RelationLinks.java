package wellspan.app.shell;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import javafx.scene.control.Hyperlink;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Hint;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;

/** How the selected item stands to others; a click selects these. */
final class RelationLinks {
  /** Of one sort by name; more of them are counted. */
  private static final int NAMED = 1;

  private static final int LINES = 3;

  private RelationLinks() {}

  /** Empty for an item that stands alone. */
  static Optional<VBox> of(Session session, ItemId id) {
    Map<String, List<ItemId>> byWords = new LinkedHashMap<>();
    for (Relation r : session.build().relations()) {
      if (r.touches(id)) {
        Relation.Seen seen = r.from(id);
        byWords.computeIfAbsent(seen.words(), k -> new ArrayList<>()).add(seen.other());
      }
    }
    if (byWords.isEmpty()) {
      return Optional.empty();
    }
    VBox box = new VBox(0);
    box.setId("docket-relations");
    byWords.entrySet().stream()
        .limit(LINES)
        .forEach(e -> box.getChildren().add(link(session, e.getKey(), e.getValue())));
    return Optional.of(box);
  }

  private static Hyperlink link(Session session, String words, List<ItemId> others) {
    String name = session.build().items().get(others.getFirst()).item().name();
    String more = others.size() > NAMED ? " and " + (others.size() - NAMED) + " more" : "";
    Hyperlink l = new Hyperlink(words + " " + name + more);
    l.getStyleClass().add("docket-line");
    l.setMaxWidth(Double.MAX_VALUE);
    l.setWrapText(true);
    l.setMinHeight(Region.USE_PREF_SIZE);
    Hint.say(l, "Select " + (others.size() == 1 ? "it" : "them"));
    l.setOnAction(e -> session.selection().choose(others));
    return l;
  }
}
