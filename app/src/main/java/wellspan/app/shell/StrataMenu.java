package wellspan.app.shell;

import java.util.List;
import java.util.function.Predicate;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.control.SeparatorMenuItem;
import wellspan.app.session.Session;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;

/** What can be done with chosen items, as a menu at the pointer. */
final class StrataMenu {
  private final Session session;
  private final ContextMenu menu = new ContextMenu();

  StrataMenu(Session session) {
    this.session = session;
  }

  void show(Node over, List<ItemId> ids, double screenX, double screenY) {
    menu.hide();
    if (ids.isEmpty()) {
      return;
    }
    Build.BuiltItem lead = session.build().items().get(ids.getLast());
    menu.getItems()
        .setAll(
            entry("Go to", () -> session.aim().goTo(ids)),
            new SeparatorMenuItem(),
            entry("Hide", () -> session.visibility().set(ids, false)),
            entry("Show", () -> session.visibility().set(ids, true)),
            entry(
                "Show only " + (ids.size() == 1 ? "this" : "these"),
                () -> session.visibility().only(ids)),
            entry("Show all", session.visibility()::all),
            new SeparatorMenuItem(),
            entry("Hold back from all deliveries", () -> session.deliveries().holdBack(ids, true)),
            entry("Deliver in all deliveries", () -> session.deliveries().holdBack(ids, false)));
    if (lead != null) {
      menu.getItems()
          .addAll(
              new SeparatorMenuItem(),
              entry(
                  "Select all of kind " + lead.item().kind().title(),
                  () -> select(i -> i.item().kind().is(lead.item().kind()))),
              entry(
                  "Select all of source " + lead.source(),
                  () -> select(i -> i.source().equals(lead.source()))));
      if (!lead.item().layer().isEmpty()) {
        menu.getItems()
            .add(
                entry(
                    "Select all of layer " + lead.item().layer(),
                    () -> select(i -> i.item().layer().equals(lead.item().layer()))));
      }
    }
    menu.getItems()
        .add(
            entry(
                "Invert the selection",
                () -> select(i -> !session.selection().ids().contains(i.id()))));
    menu.show(over, screenX, screenY);
  }

  private void select(Predicate<Build.BuiltItem> wanted) {
    session
        .selection()
        .choose(
            session.build().items().values().stream()
                .filter(wanted)
                .map(Build.BuiltItem::id)
                .toList());
  }

  private static MenuItem entry(String text, Runnable action) {
    MenuItem m = new MenuItem(text);
    m.setOnAction(e -> action.run());
    return m;
  }
}
