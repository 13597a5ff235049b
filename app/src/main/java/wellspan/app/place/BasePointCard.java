package wellspan.app.place;

import javafx.scene.control.Button;
import javafx.scene.layout.VBox;
import wellspan.app.session.Session;
import wellspan.app.theme.Figures;
import wellspan.app.theme.Parts;
import wellspan.core.frame.BasePoints;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameChecks;
import wellspan.core.frame.SinglePrecision;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;

/** Proposals for a base point nearer to the work than the one there is. */
final class BasePointCard extends VBox {
  private final Session session;

  BasePointCard(Session session) {
    this.session = session;
    setId("base-point-proposals");
    getStyleClass().add("card");
  }

  /** Whether the base point is so far away that it must be spoken of first. */
  boolean isUrgent() {
    Box work = session.build().bounds();
    return !work.isEmpty()
        && work.farthestPlanDistance(session.job().frame().basePoint()) > FrameChecks.FAR;
  }

  /** Shows what is nearer; false if nothing is. */
  boolean refresh() {
    getChildren().clear();
    Frame f = session.job().frame();
    Box work = session.build().bounds();
    if (work.isEmpty()) {
      return false;
    }
    double far = work.farthestPlanDistance(f.basePoint());
    getChildren().add(Parts.label("A nearer base point", "title"));
    if (isUrgent()) {
      getChildren()
          .add(
              Parts.wrapped(
                  "The work reaches "
                      + Figures.distance(far)
                      + " from the base point. A receiver in single precision sees steps of "
                      + Figures.distance(SinglePrecision.resolution(far))
                      + " there.",
                  "warning"));
    }
    int shown = 0;
    for (BasePoints.Proposal p : BasePoints.proposals(work)) {
      if (work.farthestPlanDistance(p.point()) < far - 1) {
        proposal(f, p);
        shown++;
      }
    }
    return shown > 0;
  }

  private void proposal(Frame f, BasePoints.Proposal p) {
    Position q = p.point();
    Button take =
        Parts.button(
            "Take",
            "small",
            () ->
                session
                    .place()
                    .changeFrame("Take the proposed base point", x -> x.withBasePoint(q)));
    take.getStyleClass().add("take-proposal");
    take.setDisable(f.isLocked());
    getChildren()
        .add(
            Parts.row(
                new VBox(
                    Parts.label(
                        Figures.number(q.east(), 0)
                            + "  "
                            + Figures.number(q.north(), 0)
                            + "  "
                            + Figures.number(q.level(), 0),
                        "figure"),
                    Parts.wrapped(p.why(), "muted")),
                take));
  }
}
