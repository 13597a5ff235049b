package wellspan.app.place;

import javafx.scene.control.Button;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import wellspan.app.session.PlaceDesk;
import wellspan.app.session.Session;
import wellspan.app.session.WindowActions;
import wellspan.app.stage.PlanView;
import wellspan.app.theme.CardColumn;
import wellspan.app.theme.Parts;

/**
 * Beside the plan: what waits to be decided, the control tally, the sources, the frame, the
 * position that is read.
 */
public final class PlaceView extends CardColumn {
  private final Session session;
  private final TallyCard tally;
  private final SourcesCard sources;
  private final FrameCard frame;
  private final ReadingCard reading;
  private final BasePointCard basePoint;

  public PlaceView(Session session, PlanView plan, WindowActions actions) {
    super("place");
    this.session = session;
    tally = new TallyCard(session);
    sources = new SourcesCard(session, plan);
    frame = new FrameCard(session, actions);
    reading = new ReadingCard(session);
    basePoint = new BasePointCard(session);
    session.buildProperty().addListener((o, a, b) -> refresh());
    // an edit that is taken back leads to the build that is shown already
    session
        .historyProperty()
        .addListener(
            (o, a, b) -> {
              if (b.now().equals(session.build().job())) {
                refresh();
              }
            });
    session.place().proposalProperty().addListener((o, a, b) -> arrangeFromTheTop());
    session.place().sources().openProperty().addListener((o, a, b) -> showOpened());
    session.place().probeProperty().addListener((o, a, b) -> showReading());
    arrange();
  }

  private void refresh() {
    tally.refresh();
    sources.refresh();
    frame.refresh();
    reading.refresh();
    arrange();
  }

  /** What waits for a decision stands first and must be seen. */
  private void arrangeFromTheTop() {
    arrange();
    setVvalue(getVmin());
  }

  /** The position just read stands last; it is what was asked for. */
  private void showReading() {
    reading.refresh();
    applyCss();
    layout();
    setVvalue(getVmax());
  }

  /** The source whose place is worked on, with all that can be said of it below. */
  private void showOpened() {
    sources.refresh();
    sources.opened().ifPresent(this::bringToTheTop);
  }

  private void arrange() {
    cards.getChildren().clear();
    session.place().proposalProperty().get().ifPresent(p -> cards.getChildren().add(proposed(p)));
    boolean nearer = basePoint.refresh();
    if (nearer && basePoint.isUrgent()) {
      cards.getChildren().add(basePoint);
    }
    if (session.job().frame().crs().isEmpty()) { // nothing else can be judged before
      cards.getChildren().addAll(frame, tally, sources);
    } else {
      cards.getChildren().addAll(tally, sources, frame);
    }
    if (nearer && !basePoint.isUrgent()) {
      cards.getChildren().add(basePoint);
    }
    cards.getChildren().add(reading);
  }

  private VBox proposed(PlaceDesk.Proposal p) {
    Button take = Parts.button("Take the change", "primary", session.place()::takeProposal);
    take.setId("take-change");
    Button leave = Parts.button("Leave it", "plain", session.place()::leaveProposal);
    leave.setId("leave-change");
    VBox v = new VBox(Parts.label(p.what(), "title"));
    p.effects().forEach(e -> v.getChildren().add(Parts.wrapped(e, "warning")));
    v.getChildren().add(new HBox(8, take, leave));
    v.getStyleClass().add("card");
    v.setId("frame-change");
    return v;
  }
}
