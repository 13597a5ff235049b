package wellspan.app.shape;

import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import org.kordamp.ikonli.feather.Feather;
import wellspan.app.session.Pick;
import wellspan.app.session.Session;
import wellspan.app.theme.Choices;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Extent;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;
import wellspan.core.recipe.Triangulation;
import wellspan.core.replay.Operations;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.triangulate.LevelRule;

/** The steps of the selected item in their order, each with what it did. */
final class StepsCard extends VBox {
  private final Session session;
  private final Consumer<Recipe> changing;
  private Optional<Class<? extends Step>> adding = Optional.empty();

  /**
   * @param changing takes what was made here and is to be made otherwise
   */
  StepsCard(Session session, Consumer<Recipe> changing) {
    this.session = session;
    this.changing = changing;
    setId("steps");
    getStyleClass().add("card");
    refresh();
  }

  /** Opens the form of a step for the selected item, if it is for such items. */
  void ask(Class<? extends Operation> operation) {
    Optional<Class<? extends Step>> step =
        session.selectedItem().stream()
            .flatMap(i -> Operations.stepsFor(i.item()).stream())
            .filter(operation::equals)
            .findFirst();
    if (step.isPresent()) {
      adding = step;
      refresh();
    }
  }

  void refresh() {
    getChildren().clear();
    Optional<Build.BuiltItem> chosen = session.selectedItem();
    if (chosen.isEmpty()) {
      getChildren()
          .addAll(
              Parts.label("Steps", "title"),
              Parts.wrapped(
                  "Select an item to see what is done to it. Steps are recorded: the source stays as it is, and a new revision goes through them again.",
                  "muted"));
      return;
    }
    Build.BuiltItem item = chosen.get();
    getChildren().add(Parts.wrapped(item.item().name(), "title"));
    session
        .shape()
        .making()
        .maker(item.id())
        .ifPresent(
            m -> {
              Button away =
                  Parts.button(
                      "Take away",
                      "small",
                      () -> session.shape().making().unmake(m.recipe().name()));
              away.setId("unmake");
              HBox does = new HBox(6, away);
              if (MakeCard.changes(m.recipe())) {
                Button change =
                    Parts.button("Change …", "small", () -> changing.accept(m.recipe()));
                change.setId("change-made");
                does.getChildren().addFirst(change);
              }
              getChildren()
                  .addAll(
                      Parts.row(Parts.label("made here", "muted"), does),
                      Parts.wrapped(m.result().told(), "docket-line"),
                      Parts.wrapped(m.before().words() + " → " + m.after().words(), "docket-line"));
              if (m.recipe() instanceof Triangulation t) {
                rules(t);
              }
            });
    List<RecordedStep> steps = session.shape().steps(item.id());
    List<StepOutcome> outcomes = session.shape().outcomes(item.id());
    for (int i = 0; i < steps.size(); i++) {
      getChildren().addAll(Parts.line(), step(item.id(), i, steps.get(i), outcomes));
    }
    if (steps.isEmpty()) {
      getChildren()
          .add(
              Parts.wrapped(
                  session.shape().making().maker(item.id()).isPresent()
                      ? "No steps after that."
                      : "No steps: it goes through exactly as received.",
                  "muted"));
    }
    add(item);
  }

  /** Which level holds where two meet: the mend of crossing lines and of doubled points. */
  private void rules(Triangulation t) {
    getChildren()
        .addAll(
            Parts.row(
                Parts.label("where lines cross", "muted"),
                rule("crossings", t.crossings(), r -> with(t, t.duplicates(), r))),
            Parts.row(
                Parts.label("points at one place", "muted"),
                rule("duplicates", t.duplicates(), r -> with(t, r, t.crossings()))));
  }

  private ComboBox<String> rule(String id, LevelRule now, Consumer<LevelRule> take) {
    ComboBox<String> c = new ComboBox<>();
    c.setId(id);
    for (LevelRule r : LevelRule.values()) {
      c.getItems().add(r.word());
    }
    c.setValue(now.word());
    Choices.onChosen(
        c, e -> take.accept(LevelRule.values()[c.getSelectionModel().getSelectedIndex()]));
    return c;
  }

  private void with(Triangulation t, LevelRule duplicates, LevelRule crossings) {
    session
        .shape()
        .making()
        .make(
            new Triangulation(
                t.name(),
                t.points(),
                t.breaklines(),
                t.boundaries(),
                t.holes(),
                duplicates,
                crossings));
  }

  private Node step(ItemId id, int i, RecordedStep s, List<StepOutcome> outcomes) {
    CheckBox on = new CheckBox((i + 1) + "  " + s.step().title());
    on.setSelected(s.on());
    on.setId("step-on-" + (i + 1));
    on.getStyleClass().add("name");
    on.setWrapText(true);
    on.setOnAction(e -> session.shape().switched(id, i, on.isSelected()));
    Button remove =
        Parts.icon(Feather.X, "Take this step away", () -> session.shape().remove(id, i));
    remove.setId("step-remove-" + (i + 1));
    VBox v = new VBox(2, Parts.row(on, remove));
    if (i < outcomes.size()) {
      StepOutcome o = outcomes.get(i);
      v.getChildren().add(Parts.wrapped(o.told(), o.failed() ? "error" : "docket-line"));
      if (s.on() && !o.failed()) {
        v.getChildren().add(figures(o.before(), o.after()));
      }
    }
    return v;
  }

  private static Node figures(Extent before, Extent after) {
    if (before.points() == 0 && Math.abs(before.length() - after.length()) > 1e-4) {
      return Parts.row(
          "length",
          Figures.number(before.length(), 3) + " → " + Figures.number(after.length(), 3) + " m");
    }
    boolean surface = before.triangles() > 0;
    int was = surface ? before.triangles() : before.points();
    int is = surface ? after.triangles() : after.points();
    String figure =
        was == is
            ? levels(before) + " → " + levels(after)
            : Figures.count(was) + " → " + Figures.count(is);
    return Parts.row(was == is ? "levels" : surface ? "triangles" : "points", figure);
  }

  private static String levels(Extent e) {
    return Figures.number(e.lowest(), 2) + "…" + Figures.number(e.highest(), 2);
  }

  private void add(Build.BuiltItem item) {
    List<Class<? extends Step>> kinds = Operations.stepsFor(item.item());
    if (kinds.isEmpty()) {
      getChildren().add(Parts.wrapped("There are no steps for items of this kind.", "muted"));
      return;
    }
    getChildren().add(Parts.line());
    ComboBox<String> kind = new ComboBox<>();
    kind.setId("step-kind");
    kind.setPromptText("Add a step …");
    kind.setPrefWidth(290);
    kinds.forEach(k -> kind.getItems().add(Operations.declared(k).title()));
    adding.filter(kinds::contains).ifPresent(k -> kind.setValue(Operations.declared(k).title()));
    Choices.onChosen(
        kind,
        e -> {
          adding = Optional.of(kinds.get(kind.getSelectionModel().getSelectedIndex()));
          refresh();
        });
    getChildren().add(kind);
    adding
        .filter(kinds::contains)
        .ifPresent(
            k -> {
              OperationForm<? extends Step> form =
                  new OperationForm<>(
                      session,
                      "step-",
                      k,
                      Optional.of(item),
                      Optional.empty(),
                      new java.util.HashMap<>());
              Button add = Parts.button("Add the step", "primary", () -> take(item.id(), form));
              add.setId("step-add");
              Button leave =
                  Parts.button(
                      "Leave it",
                      "plain",
                      () -> {
                        adding = Optional.empty();
                        refresh();
                      });
              getChildren().addAll(form, new HBox(8, add, leave));
            });
  }

  private void take(ItemId id, OperationForm<? extends Step> form) {
    try {
      Step step = form.operation();
      adding = Optional.empty();
      session.shape().add(id, step);
      session.shape().outlineProperty().set(List.of());
      session.place().pickProperty().set(Pick.NONE);
      refresh();
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }
}
