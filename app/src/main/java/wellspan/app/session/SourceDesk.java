package wellspan.app.session;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.job.Source;
import wellspan.core.place.Control;
import wellspan.core.place.HelmertFit;
import wellspan.core.place.Hypotheses;
import wellspan.core.place.PairMatching;
import wellspan.core.place.PointPair;
import wellspan.core.place.SourcePlacement;
import wellspan.core.reading.Snap;
import wellspan.core.receive.Received;

/** How each source becomes shared: its placement, the meanings its numbers could have, its fit. */
public final class SourceDesk {
  private final Session session;
  private final StringProperty open = new SimpleStringProperty("");
  private final ObjectProperty<Optional<Hypotheses.Hypothesis>> shown =
      new SimpleObjectProperty<>(Optional.empty());
  private Optional<Snap> start = Optional.empty();

  private Numbers asked;
  private List<Hypotheses.Hypothesis> meanings = List.of();

  SourceDesk(Session session) {
    this.session = session;
    open.addListener((o, a, b) -> shown.set(Optional.empty()));
  }

  /** Name of the source whose place is being worked on, empty if none is. */
  public StringProperty openProperty() {
    return open;
  }

  /** The meaning that the pointer is on. */
  public ObjectProperty<Optional<Hypotheses.Hypothesis>> shownProperty() {
    return shown;
  }

  public Optional<Source> opened() {
    return session.job().source(open.get());
  }

  /** All that the meanings of a source depend on. */
  private record Numbers(Box bounds, String crs, Frame frame, Box reference) {}

  /**
   * What the open source's numbers could mean; empty while none is open or read. Every system
   * around is tried, so the answer is kept: each picture of the plan asks again.
   */
  public List<Hypotheses.Hypothesis> hypotheses() {
    Received raw = session.build().raw().get(open.get());
    if (raw == null) {
      return List.of();
    }
    Box reference = session.build().reference(open.get());
    Numbers now = new Numbers(raw.bounds(), raw.crs(), session.job().frame(), reference);
    if (!now.equals(asked)) {
      meanings = Hypotheses.of(now.bounds(), now.crs(), now.frame(), reference);
      asked = now;
    }
    return meanings;
  }

  public void place(String source, SourcePlacement placement) {
    session.edit(
        "Place " + source,
        j -> j.source(source).map(s -> j.withSource(s.withPlacement(placement))).orElse(j));
  }

  /** The pairs of the open source, empty if it is not placed by a fit. */
  public List<PointPair> pairs() {
    return fitted().map(SourcePlacement.Where.Fitted::pairs).orElse(List.of());
  }

  public boolean scaleFree() {
    return fitted().map(SourcePlacement.Where.Fitted::scaleFree).orElse(false);
  }

  private Optional<SourcePlacement.Where.Fitted> fitted() {
    return opened()
        .map(s -> s.placement().where())
        .filter(SourcePlacement.Where.Fitted.class::isInstance)
        .map(SourcePlacement.Where.Fitted.class::cast);
  }

  /** The fit of the open source, or why there is none. */
  public record FitResult(Optional<HelmertFit> fit, String why) {}

  public FitResult fit() {
    try {
      return new FitResult(Optional.of(HelmertFit.solve(pairs(), scaleFree())), "");
    } catch (HelmertFit.NoFitException e) {
      return new FitResult(Optional.empty(), e.getMessage());
    }
  }

  public void setPairs(List<PointPair> pairs, boolean scaleFree) {
    opened()
        .ifPresent(
            s ->
                place(
                    s.name(),
                    s.placement().withWhere(new SourcePlacement.Where.Fitted(pairs, scaleFree))));
  }

  /** Whether two points or more of the open source have the name of a control point. */
  public boolean matchable() {
    return matches().size() > 1;
  }

  private List<PointPair> matches() {
    Received raw = session.build().raw().get(open.get());
    return raw == null || opened().isEmpty()
        ? List.of()
        : PairMatching.byName(raw, opened().get().placement(), session.job().control());
  }

  /** Pairs the open source's points with control points of the same name. */
  public void matchByName() {
    Control control = session.job().control();
    List<PointPair> found = matches();
    if (found.size() < 2) {
      session.complain(
          control.points().isEmpty()
              ? "The job has no control points to match with. Take them from a source first."
              : "Fewer than two points of "
                  + open.get()
                  + " have the name of a control point. Pick or type the pairs.");
      return;
    }
    setPairs(found, scaleFree());
  }

  public void addPair(String name, Position raw, Position shared) {
    if (opened().isEmpty()) {
      return;
    }
    List<PointPair> all = new ArrayList<>(pairs());
    Position source = PairMatching.prepared(raw, opened().get().placement());
    all.add(new PointPair(name, source, shared, true));
    setPairs(all, scaleFree());
  }

  void startPair(Snap from) {
    start = Optional.of(from);
  }

  /** The second click: a named point or vertex of another source, or the place itself. */
  void endPair(Position at, double reach) {
    if (start.isEmpty()) {
      return;
    }
    Snap from = start.get();
    start = Optional.empty();
    Optional<Position> control =
        session.job().control().points().stream()
            .map(Control.Point::known)
            .filter(p -> p.planDistanceTo(at) <= reach)
            .findFirst();
    Position to =
        control
            .or(
                () ->
                    Snap.nearest(session.build(), at, reach, "")
                        .filter(s -> !s.source().equals(open.get()))
                        .map(Snap::shared))
            .orElse(at);
    addPair(from.name(), from.raw(), to);
  }
}
