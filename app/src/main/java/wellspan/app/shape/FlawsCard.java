package wellspan.app.shape;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.check.Check;
import wellspan.core.finding.Finding;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;
import wellspan.core.replay.RecipeRun;

/** Flaws of the ground with their places and the step that mends each kind. */
final class FlawsCard extends VBox {
  /** More than this are left to the list of findings. */
  private static final int MOST = 6;

  private final Session session;
  private final Consumer<Recipe> changing;

  /**
   * @param changing opens the form of what was made
   */
  FlawsCard(Session session, Consumer<Recipe> changing) {
    this.session = session;
    this.changing = changing;
    setId("flaws");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    getChildren().setAll(Parts.label("Flaws of the ground", "title"));
    List<Finding> told = session.build().results().findings();
    boolean any = !told.isEmpty();
    told.stream().limit(MOST).forEach(this::told);
    if (told.size() > MOST) {
      getChildren()
          .add(Parts.wrapped("and " + (told.size() - MOST) + " more: see the findings.", "muted"));
    }
    for (Build.BuiltItem i : session.build().items().values()) {
      List<Finding> flaws = session.shape().flawsOf(i.id());
      if (!flaws.isEmpty()) {
        any = true;
        item(i, flaws);
      }
    }
    if (!any) {
      getChildren()
          .add(
              Parts.wrapped(
                  "✓ No false levels, spikes, duplicates or flawed triangles.", "proven"));
    }
  }

  /** What a step or recipe had to say. */
  private void told(Finding f) {
    Button go = Parts.button("Show", "small", () -> go(f));
    go.setVisible(f.place().isPresent());
    HBox does = new HBox(6, go);
    go.managedProperty().bind(go.visibleProperty());
    if (f.code().equals(RecipeRun.FAILED)) {
      session.job().recipe(f.item()).ifPresent(r -> does.getChildren().addAll(mends(r)));
    }
    getChildren()
        .add(new VBox(3, Parts.wrapped(f.message(), f.isError() ? "error" : "warning"), does));
  }

  /** What can be done with what cannot be made any more. */
  private List<Button> mends(Recipe failed) {
    List<Button> out = new ArrayList<>();
    if (MakeCard.changes(failed)) {
      out.add(Parts.button("Change \u2026", "small", () -> changing.accept(failed)));
    }
    Button away =
        Parts.button("Take away", "small", () -> session.shape().making().unmake(failed.name()));
    away.setId(Parts.id("flaws-take-away-", failed.name()));
    out.add(away);
    return out;
  }

  private void item(Build.BuiltItem i, List<Finding> flaws) {
    Map<String, List<Finding>> kinds = new LinkedHashMap<>();
    flaws.forEach(f -> kinds.computeIfAbsent(kind(f), k -> new ArrayList<>()).add(f));
    getChildren().add(Parts.wrapped(i.item().name(), "name"));
    kinds.forEach((code, list) -> kind(i, list));
  }

  /** False levels differ by their level; all others are one kind by their code. */
  private static String kind(Finding f) {
    return f.code().equals("terrain.false-level") ? f.message() : f.code();
  }

  private void kind(Build.BuiltItem i, List<Finding> list) {
    Finding first = list.getFirst();
    HBox places = new HBox(4);
    for (int k = 0; k < Math.min(6, list.size()); k++) {
      Finding f = list.get(k);
      Button go =
          Parts.button(
              Integer.toString(k + 1),
              "small",
              () -> {
                session.selectedProperty().set(Optional.of(i.id()));
                go(f);
              });
      go.setAccessibleText("Show place " + (k + 1));
      places.getChildren().add(go);
    }
    String what =
        first.message().substring(Math.min(first.message().length(), i.item().name().length() + 2));
    VBox v =
        new VBox(
            3,
            Parts.wrapped(
                (list.size() > 1 ? list.size() + " × " : "") + what,
                first.isError() ? "error" : "warning"));
    Optional<Step> mend = Check.of(first.code()).flatMap(c -> c.mendFor(i.item()));
    HBox tools = new HBox(6, places, Parts.space());
    mend.ifPresent(
        step -> {
          Button b = Parts.button("Mend", "small", () -> session.shape().add(i.id(), step));
          b.setId("mend-" + first.code().replace('.', '-'));
          b.setAccessibleText(step.title());
          tools.getChildren().add(b);
        });
    v.getChildren().add(tools);
    getChildren().add(v);
  }

  private void go(Finding f) {
    f.place()
        .ifPresent(
            p -> {
              session.aim().at(p);
            });
  }
}
