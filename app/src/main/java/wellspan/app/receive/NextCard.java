package wellspan.app.receive;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import wellspan.app.session.MakeDesk;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.build.Build;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.receipt.PastRun;
import wellspan.core.recipe.Triangulation;
import wellspan.core.shape.Shape;
import wellspan.core.triangulate.LevelRule;

/** What to do next with what was received, each a click. */
final class NextCard extends VBox {
  private static final int FEWEST_POINTS = 3;
  private static final String SURFACE = "next-surface";

  private final Session session;

  NextCard(Session session) {
    this.session = session;
    setId("next");
    getStyleClass().add("card");
    session.buildProperty().addListener((o, a, b) -> refresh());
    session.findingsProperty().addListener((o, a, b) -> refresh());
    session.deliveries().inHandProperty().addListener((o, a, b) -> refresh());
    session.deliveries().latestProperty().addListener((o, a, b) -> refresh());
    session.shape().making().refusedProperty().addListener((o, a, b) -> refresh());
    refresh();
  }

  private void refresh() {
    List<Button> steps = new ArrayList<>();
    if (session.opening().isCutOff()) {
      steps.add(step("next-read", "Read the job again", session::load));
    } else if (!session.opening().isUnderWay()) {
      elsewhere().ifPresent(steps::add);
      flaws().ifPresent(steps::add);
      surface().ifPresent(steps::add);
      deliver().ifPresent(steps::add);
    }
    setVisible(!steps.isEmpty());
    setManaged(!steps.isEmpty());
    getChildren().setAll(Parts.label("What next", "title"));
    steps.forEach(
        b -> {
          b.setMaxWidth(Double.MAX_VALUE);
          b.setWrapText(true);
          getChildren().add(b);
          if (b.getId().equals(SURFACE)) {
            refusal().ifPresent(why -> getChildren().add(Parts.wrapped(why, "error")));
          }
        });
  }

  /** A source that lies far from the others. */
  private Optional<Button> elsewhere() {
    return session.findingsProperty().get().stream()
        .filter(f -> f.code().equals("place.elsewhere"))
        .map(Finding::item)
        .findFirst()
        .map(
            source ->
                step(
                    "next-place",
                    "Give " + source + " its place",
                    () -> {
                      session.place().sources().openProperty().set(source);
                      session.stopProperty().set(Stop.PLACE);
                    }));
  }

  /** Errors of what came, before something is made of it. */
  private Optional<Button> flaws() {
    long errors =
        session.findingsProperty().get().stream()
            .filter(f -> f.stop() == Stop.SHAPE && f.isError())
            .count();
    return errors == 0
        ? Optional.empty()
        : Optional.of(
            step(
                "next-flaws",
                "Look at " + errors + (errors == 1 ? " error" : " errors") + " and mend",
                () -> session.stopProperty().set(Stop.SHAPE)));
  }

  /** The surface of points that nothing was made of. */
  private Optional<Button> surface() {
    boolean ground =
        session.build().items().values().stream()
            .anyMatch(i -> i.item().kind().is(Kind.TERRAIN) && !i.item().shape().isEmpty());
    if (ground) {
      return Optional.empty();
    }
    List<ItemId> points = new ArrayList<>();
    int count = 0;
    for (Build.BuiltItem i : session.build().items().values()) {
      if (i.item().shape() instanceof Shape.Points g && g.points().size() >= FEWEST_POINTS) {
        points.add(i.id());
        count += g.points().size();
      }
    }
    if (points.isEmpty()) {
      return Optional.empty();
    }
    return Optional.of(
        step(
            SURFACE,
            "Make a surface of the " + Figures.count(count) + " points",
            () ->
                session
                    .shape()
                    .making()
                    .make(
                        new Triangulation(
                            "Ground",
                            points,
                            List.of(),
                            List.of(),
                            List.of(),
                            LevelRule.MEAN,
                            LevelRule.MEAN))));
  }

  /** Why the surface that was asked for here could not be made. */
  private Optional<String> refusal() {
    return session
        .shape()
        .making()
        .refusedProperty()
        .get()
        .filter(r -> r.recipe() instanceof Triangulation)
        .map(MakeDesk.Refused::why);
  }

  /** A delivery that is not proven yet, the one in hand before others; else what was delivered. */
  private Optional<Button> deliver() {
    Build build = session.build();
    List<Delivery> possible =
        Stream.concat(session.deliveries().inHand().stream(), session.job().deliveries().stream())
            .distinct()
            .filter(d -> build.items().values().stream().anyMatch(i -> build.sends(d, i)))
            .toList();
    Optional<Delivery> open = possible.stream().filter(d -> !isProven(d)).findFirst();
    if (open.isPresent()) {
      return open.map(
          d ->
              step(
                  "next-deliver",
                  "Deliver " + d.name() + " and prove it",
                  () -> {
                    session.stopProperty().set(Stop.DELIVER);
                    session.deliveries().inHandProperty().set(d.name());
                    session.deliveries().run();
                  }));
    }
    return possible.stream()
        .findFirst()
        .map(
            d ->
                step(
                    "next-delivered",
                    "See what was delivered and what has changed since",
                    () -> session.stopProperty().set(Stop.DELIVER)));
  }

  private boolean isProven(Delivery d) {
    PastRun run = session.deliveries().latestProperty().get().get(d.name());
    return run != null && run.pass();
  }

  private static Button step(String id, String words, Runnable go) {
    Button b = Parts.button(words, "plain", go);
    b.setId(id);
    return b;
  }
}
