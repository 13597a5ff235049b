package wellspan.app.stage;

import java.util.Optional;
import wellspan.app.session.Session;
import wellspan.app.session.SourceDesk;
import wellspan.core.build.Build;
import wellspan.core.finding.Stop;
import wellspan.core.place.ControlTally;

/** What the stop Place draws into the plan, under what is furnished and over it. */
record PlaceLayer(Session session) {
  boolean isShown() {
    return session.stopProperty().get() == Stop.PLACE;
  }

  /** Where sources reach, and where the opened one might lie. */
  void behind(PlacePicture place, Build b) {
    SourceDesk sources = session.place().sources();
    place.controlWords(session.job().control().points(), session.place().tallyShown());
    place.extents(b.received(), sources.openProperty().get());
    if (!sources.openProperty().get().isEmpty()) {
      place.hypotheses(sources.hypotheses(), sources.shownProperty().get());
    }
  }

  /** Control and what was measured at it, pairs, the base point and its rings. */
  void inFront(PlacePicture place, Build b) {
    Optional<ControlTally> tally = session.place().tallyShown();
    place.control(session.job().control().points());
    double enlarged = place.vectors(tally);
    place.vectorLegend(enlarged, tally.map(ControlTally::where).orElse(""));
    place.pairs(session.place().sources().pairs(), session.place().firstClickProperty().get());
    place.basePoint();
    place.rings(b.bounds());
  }
}
