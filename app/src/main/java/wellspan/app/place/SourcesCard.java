package wellspan.app.place;

import java.util.List;
import java.util.Optional;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.Parts;
import wellspan.core.job.Source;
import wellspan.core.place.Hypotheses;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;

/** How each source lies; the open one with the meanings its numbers could have, and its fit. */
final class SourcesCard extends VBox {
  private final Session session;
  private final SourceDesk desk;
  private final PlanView plan;
  private final PairTable pairs;
  private Node openedRow;

  SourcesCard(Session session, PlanView plan) {
    this.session = session;
    this.plan = plan;
    desk = session.place().sources();
    pairs = new PairTable(session);
    setId("sources");
    getStyleClass().add("card");
    refresh();
  }

  void refresh() {
    openedRow = null;
    getChildren().setAll(Parts.label("Sources in the frame", "title"));
    if (session.job().sources().isEmpty()) {
      getChildren().add(Parts.wrapped("Nothing is received yet.", "muted"));
      return;
    }
    for (Source s : session.job().sources()) {
      boolean open = s.name().equals(desk.openProperty().get());
      Button change =
          Parts.button(
              open ? "Close" : "Place",
              "small",
              () -> desk.openProperty().set(open ? "" : s.name()));
      change.setId("place-source-" + s.name());
      HBox heading = Parts.row(Parts.label(s.name(), "name"), change);
      getChildren().addAll(heading, Parts.wrapped(s.placement().summary(), "muted"));
      if (open) {
        openedRow = heading;
        open(s);
      }
    }
  }

  /** The heading of the source that is worked on. */
  Optional<Node> opened() {
    return Optional.ofNullable(openedRow);
  }

  private void open(Source s) {
    Received raw = session.build().raw().get(s.name());
    if (raw == null) {
      getChildren().add(Parts.wrapped("It is not read yet.", "muted"));
      return;
    }
    for (PlaceStatement p : raw.places()) {
      statement(p);
    }
    List<Hypotheses.Hypothesis> meanings = desk.hypotheses();
    if (!meanings.isEmpty()) {
      getChildren().add(new MeaningsBox(session, plan, s, meanings));
    }
    pairs.refresh();
    getChildren().addAll(new OwnMeaning(session, s), pairs);
  }

  private void statement(PlaceStatement p) {
    VBox v =
        new VBox(
            Parts.wrapped("Level " + p.level() + ": " + p.where() + " says " + p.says(), "muted"));
    if (p.frame().isPresent()) {
      Button take = Parts.button("Take for the job", "small", () -> session.place().take(p));
      take.setDisable(session.job().frame().isLocked());
      v.getChildren().add(take);
    }
    getChildren().add(v);
  }
}
