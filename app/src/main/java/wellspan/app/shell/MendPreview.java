package wellspan.app.shell;

import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.MendDesk;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;

/** What mending all findings of a code would do, to be taken or left. */
final class MendPreview extends VBox {
  private static final int SHOWN = 6;

  MendPreview(MendDesk desk, MendDesk.Preview t) {
    super(3);
    setId("mend-preview");
    getStyleClass().add("mend-preview");
    getChildren()
        .addAll(
            Parts.label(t.step() + " would", "name"),
            Parts.wrapped(
                "leave "
                    + Figures.count(t.left())
                    + " of "
                    + Figures.count(t.findings())
                    + " such findings",
                t.left() == 0 ? "proven" : "warning"));
    if (t.others() != 0) {
      getChildren()
          .add(
              Parts.wrapped(
                  t.others() > 0
                      ? "bring " + Figures.count(t.others()) + " others"
                      : "take " + Figures.count(-t.others()) + " others with them",
                  t.others() > 0 ? "warning" : "muted"));
    }
    for (MendDesk.Mended m : t.items().stream().limit(SHOWN).toList()) {
      getChildren()
          .add(
              Parts.row(
                  m.item(),
                  Figures.count(m.points()) + " → " + Figures.count(m.pointsAfter()) + " points"));
    }
    t.refused().stream()
        .limit(SHOWN)
        .forEach(why -> getChildren().add(Parts.wrapped("Not done: " + why, "warning")));
    if (t.refused().size() > SHOWN) {
      getChildren()
          .add(Parts.label("and " + (t.refused().size() - SHOWN) + " more not done", "muted"));
    }
    if (t.items().size() > SHOWN) {
      getChildren().add(Parts.label("and " + (t.items().size() - SHOWN) + " items more", "muted"));
    }
    Button leave = Parts.button("Leave it", "plain", desk::leave);
    leave.setId("mend-leave");
    HBox act = new HBox(8, leave);
    if (!t.mends().isEmpty()) {
      Button take = Parts.button("Mend " + items(t.items().size()), "primary", desk::take);
      take.setId("mend-take");
      act.getChildren().addFirst(take);
    }
    getChildren().add(act);
  }

  private static String items(int n) {
    return n == 1 ? "this item" : "all " + n + " items";
  }
}
