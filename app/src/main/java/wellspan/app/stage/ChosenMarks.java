package wellspan.app.stage;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import javafx.geometry.Rectangle2D;
import javafx.scene.canvas.GraphicsContext;
import wellspan.app.session.Session;
import wellspan.app.theme.Theme;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;

/**
 * Small bodies of the plan that are chosen, marked over the ground in a layer of their own: another
 * choice leaves the rest of the picture as it is. Window's thread.
 */
final class ChosenMarks {
  private final Session session;
  private final FollowingPicture picture;

  ChosenMarks(Session session, FollowingPicture picture) {
    this.session = session;
    this.picture = picture;
  }

  /** Marks them in their layer; none where something else is compared. */
  void draw(PlanWindow window, Theme theme, SeenItems seen, boolean compared) {
    List<Build.BuiltItem> chosen = compared ? List.of() : chosen(window, seen);
    Rectangle2D area = window.pixels(chosen.stream().map(i -> i.item().bounds()).toList());
    picture.chosen(area).ifPresent(g -> mark(g, window, theme, chosen));
  }

  /** Marks them on a picture that is moved. */
  void drawOn(GraphicsContext g, PlanWindow window, Theme theme, SeenItems seen, boolean compared) {
    picture.chosen(Rectangle2D.EMPTY);
    if (!compared) {
      mark(g, window, theme, chosen(window, seen));
    }
  }

  /** Whether these items are shown by marks and nothing else when they are chosen. */
  boolean areOnlyMarked(Set<ItemId> ids, SeenItems seen) {
    Map<ItemId, Build.BuiltItem> items = session.build().items();
    return ids.stream()
        .map(items::get)
        .allMatch(i -> i != null && SmallBodies.takes(i.item(), seen.crowded()));
  }

  private List<Build.BuiltItem> chosen(PlanWindow window, SeenItems seen) {
    Set<ItemId> ids = session.selection().ids();
    List<Build.BuiltItem> out = new ArrayList<>();
    if (!ids.isEmpty()) {
      seen.within(
          window,
          new Rectangle2D(0, 0, window.width(), window.height()),
          i -> {
            if (ids.contains(i.id()) && SmallBodies.takes(i.item(), seen.crowded())) {
              out.add(i);
            }
          });
    }
    return out;
  }

  private static void mark(
      GraphicsContext g, PlanWindow window, Theme theme, List<Build.BuiltItem> chosen) {
    SmallBodies bodies = new SmallBodies(g, window, theme, new ItemColour(Optional.empty()));
    chosen.forEach(i -> bodies.draw(i, true));
  }
}
