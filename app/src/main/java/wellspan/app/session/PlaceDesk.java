package wellspan.app.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import javafx.beans.property.SimpleStringProperty;
import javafx.beans.property.StringProperty;
import wellspan.core.crs.Crs;
import wellspan.core.crs.GridNorth;
import wellspan.core.crs.Transformation;
import wellspan.core.deliver.Delivery;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameChange;
import wellspan.core.frame.FrameSheet;
import wellspan.core.frame.FrameSheetJson;
import wellspan.core.frame.FrameSheetPage;
import wellspan.core.geom.Position;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.ControlIntake;
import wellspan.core.packing.FrameSheets;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.place.SpotMark;
import wellspan.core.reading.Snap;
import wellspan.core.receipt.PastRun;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;

/** The work of the stop Place: the frame, control points, spot marks, and clicks on the plan. */
public final class PlaceDesk {
  /**
   * A change of the frame that waits to be taken, because it touches what was delivered.
   *
   * @param effects what it does, in sentences
   */
  public record Proposal(String what, Frame next, List<String> effects) {}

  private final Session session;
  private final SourceDesk sources;
  private final ObjectProperty<Pick> pick = new SimpleObjectProperty<>(Pick.NONE);
  private final ReadOnlyObjectWrapper<Optional<Position>> firstClick =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyObjectWrapper<Optional<Proposal>> proposal =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<Optional<Position>> probe =
      new SimpleObjectProperty<>(Optional.empty());
  private final StringProperty tallied = new SimpleStringProperty("");

  PlaceDesk(Session session) {
    this.session = session;
    sources = new SourceDesk(session);
    pick.addListener((o, a, b) -> firstClick.set(Optional.empty()));
  }

  /** How each source lies. */
  public SourceDesk sources() {
    return sources;
  }

  /** What the next click on the plan is for. */
  public ObjectProperty<Pick> pickProperty() {
    return pick;
  }

  /** The first of two clicks. */
  public ReadOnlyObjectProperty<Optional<Position>> firstClickProperty() {
    return firstClick.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<Proposal>> proposalProperty() {
    return proposal.getReadOnlyProperty();
  }

  /** The place that is being read. */
  public ObjectProperty<Optional<Position>> probeProperty() {
    return probe;
  }

  // ---- frame

  /**
   * Changes the frame unless it is locked. A change that touches deliveries already made is not
   * taken at once but proposed with its effects.
   */
  public void changeFrame(String what, UnaryOperator<Frame> change) {
    Frame now = session.job().frame();
    Frame next;
    try {
      next = change.apply(now);
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
      return;
    }
    if (now.isLocked() && next.isLocked() && !next.equals(now)) {
      session.complain("The frame is locked (" + now.lock() + "). Unlock it first.");
      return;
    }
    List<String> touched = touched(now, next);
    if (touched.isEmpty()) {
      proposal.set(Optional.empty());
      session.edit(what, j -> j.withFrame(next));
    } else {
      FrameChange c = FrameChange.between(now, next, session.build().bounds());
      proposal.set(Optional.of(new Proposal(what, next, c.sentences(touched))));
    }
  }

  private List<String> touched(Frame now, Frame next) {
    List<String> out = new ArrayList<>();
    for (Delivery d : session.job().deliveries()) {
      PastRun run = session.deliveries().latestProperty().get().get(d.name());
      Frame then = d.zero().frame(now).asDelivered();
      boolean current = run != null && run.pass() && run.frame().asDelivered().equals(then);
      if (current && !d.zero().frame(next).asDelivered().equals(then)) {
        out.add(d.name());
      }
    }
    return out;
  }

  public void takeProposal() {
    proposal
        .get()
        .ifPresent(
            p -> {
              proposal.set(Optional.empty());
              session.edit(p.what(), j -> j.withFrame(p.next()));
            });
  }

  public void leaveProposal() {
    proposal.set(Optional.empty());
  }

  /** Turns site north to true north at the base point. */
  public void turnToTrueNorth() {
    north()
        .ifPresentOrElse(
            g ->
                changeFrame(
                    "Turn site north to true north", f -> f.withRotation(-g.convergenceDegrees())),
            () ->
                session.complain(
                    "True north is not known at the base point. Choose a system first, and a base point in its area of use."));
  }

  /** Ellipsoidal height of a level, with the frame's offset where it is known. */
  public double ellipsoidal(double level) {
    double offset = session.job().frame().ellipsoidOffset();
    return (Double.isNaN(level) ? 0 : level) + (Double.isNaN(offset) ? 0 : offset);
  }

  /** Sets the horizontal scale so that local lengths are those on the ground. */
  public void scaleToGround() {
    Optional<GridNorth> north = north();
    if (north.isEmpty()) {
      session.complain(
          "The scale of the grid is not known at the base point. Choose a system first.");
      return;
    }
    double middle =
        session.build().bounds().hasLevels() ? session.build().bounds().centre().level() : 0;
    double factor = north.get().combinedFactor(ellipsoidal(middle));
    changeFrame("Scale to the ground", x -> x.withScale(1 / factor));
  }

  /** What the grid does at the base point, where it is known. */
  public Optional<GridNorth> north() {
    return northAt(session.job().frame().basePoint());
  }

  /** What the grid does at a place in shared coordinates, where it is known. */
  public Optional<GridNorth> northAt(Position place) {
    Optional<Crs> crs = session.job().frame().system().filter(Crs::projected);
    if (crs.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(GridNorth.at(crs.get(), place));
    } catch (Transformation.OutsideAreaException | IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** Takes the frame that a received file declares; what it does not say stays. */
  public void take(PlaceStatement says) {
    says.frame()
        .ifPresent(
            f ->
                changeFrame(
                    "Take the place from " + says.where(),
                    now -> {
                      Frame next = f.crs().isEmpty() ? now : now.withCrs(f.crs(), f.definition());
                      next =
                          f.verticalDatum().isEmpty()
                              ? next
                              : next.withVerticalDatum(f.verticalDatum());
                      boolean onlySystem =
                          f.basePoint().equals(new Position(0, 0, 0)) && f.rotationDegrees() == 0;
                      return onlySystem
                          ? next
                          : next.withBasePoint(f.basePoint())
                              .withRotation(f.rotationDegrees())
                              .withScale(f.scale());
                    }));
  }

  /**
   * Writes the frame sheet into the job's output folder, as a page and as JSON.
   *
   * @return the page, empty if it could not be written
   */
  public Optional<Path> writeSheet() {
    FrameSheet sheet = FrameSheets.of(session.build());
    Path page = session.store().out().resolve("frame-sheet.html");
    try {
      Files.createDirectories(session.store().out());
      AtomicFile.write(page, FrameSheetPage.html(sheet));
      AtomicFile.write(
          session.store().out().resolve("frame-sheet.json"),
          FrameSheetJson.node(sheet).toPrettyString() + "\n");
      if (!sheet.wkt().isEmpty()) {
        AtomicFile.write(session.store().out().resolve("frame-sheet.prj"), sheet.wkt() + "\n");
      }
      session.say("The frame sheet is in " + page + ".");
      return Optional.of(page);
    } catch (IOException e) {
      session.complain("The frame sheet could not be written: " + e.getMessage());
      return Optional.empty();
    }
  }

  // ---- control points and marks

  /** The tally of the source that is chosen for it, or of the one with the worst point. */
  public Optional<ControlTally> tallyShown() {
    List<ControlTally> all = session.build().tallies();
    return all.stream()
        .filter(t -> t.where().equals(tallied.get()))
        .findFirst()
        .or(() -> all.stream().max(Comparator.comparingDouble(t -> t.lines().getFirst().space())));
  }

  /** Name of the source whose tally is wanted, empty for the worst. */
  public StringProperty talliedProperty() {
    return tallied;
  }

  public void takeControl(String source) {
    Received read = session.build().received().get(source);
    if (read == null) {
      session.complain(source + " is not read yet.");
      return;
    }
    try {
      session.edit("Take control points from " + source, j -> ControlIntake.take(j, source, read));
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }

  public void changeControl(String what, UnaryOperator<Control> change) {
    try {
      session.edit(what, j -> j.withControl(change.apply(j.control())));
    } catch (IllegalArgumentException e) {
      session.complain(e.getMessage());
    }
  }

  public void mark(Position p) {
    List<SpotMark> all = new ArrayList<>(session.job().marks());
    int n = all.size() + 1;
    while (has(all, "S" + n)) {
      n++;
    }
    all.add(new SpotMark("S" + n, p));
    session.edit("Mark S" + n, j -> j.withMarks(all));
  }

  private static boolean has(List<SpotMark> all, String name) {
    return all.stream().anyMatch(m -> m.name().equals(name));
  }

  /** Gives a mark another name, which no other one may have; they are told apart by it. */
  public void renameMark(int index, String name) {
    List<SpotMark> all = new ArrayList<>(session.job().marks());
    SpotMark old = all.remove(index);
    if (name.isEmpty() || has(all, name)) {
      session.complain(
          name.isEmpty()
              ? "A mark needs a name."
              : "There is a mark " + name + " already. Take another name.");
      return;
    }
    all.add(index, new SpotMark(name, old.position()));
    session.edit("Rename " + old.name(), j -> j.withMarks(all));
  }

  public void changeMarks(String what, UnaryOperator<List<SpotMark>> change) {
    session.edit(what, j -> j.withMarks(change.apply(j.marks())));
  }

  /**
   * A click on the plan while something is to be picked.
   *
   * @param at with the level of the topmost surface, NaN without one
   * @param reach how far a point may lie to be caught, metres
   */
  public void clicked(Position at, double reach) {
    Optional<Snap> snap = Snap.nearest(session.build(), at, reach, "");
    Position caught = snap.map(Snap::shared).orElse(at);
    switch (pick.get()) {
      case NONE, OUTLINE -> {}
      case BASE_POINT -> {
        pick.set(Pick.NONE);
        Position p =
            new Position(
                millimetre(caught.east()),
                millimetre(caught.north()),
                session.job().frame().basePoint().level());
        changeFrame("Pick the base point", f -> f.withBasePoint(p));
      }
      case BEARING -> bearing(caught);
      case CONTROL -> {
        pick.set(Pick.NONE);
        String name =
            snap.filter(Snap::own)
                .map(Snap::name)
                .filter(n -> !n.isBlank())
                .orElseGet(this::nextControlName);
        changeControl("Pick control point " + name, c -> c.with(new Control.Point(name, caught)));
      }
      case MARK -> {
        pick.set(Pick.NONE);
        mark(caught);
      }
      case MEASURE -> session.measure().add(caught);
      case SELECT -> session.selection().outline().add(at);
      case PAIR -> pair(at, reach);
    }
  }

  private String nextControlName() {
    Set<String> taken =
        session.job().control().points().stream()
            .map(Control.Point::name)
            .collect(Collectors.toSet());
    int n = 1;
    while (taken.contains("K" + n)) {
      n++;
    }
    return "K" + n;
  }

  private static double millimetre(double d) {
    return Math.round(d * 1000) / 1000.0;
  }

  private void bearing(Position p) {
    if (firstClick.get().isEmpty()) {
      firstClick.set(Optional.of(p));
      return;
    }
    Position from = firstClick.get().get();
    pick.set(Pick.NONE);
    if (from.planDistanceTo(p) < 1e-6) {
      session.complain("Both clicks hit the same point. Click two points that lie apart.");
      return;
    }
    double azimuth = Math.toDegrees(Math.atan2(p.east() - from.east(), p.north() - from.north()));
    changeFrame("Turn site north along two points", f -> f.withRotation(azimuth));
  }

  private void pair(Position at, double reach) {
    String source = sources.openProperty().get();
    if (firstClick.get().isEmpty()) {
      Optional<Snap> from = Snap.nearest(session.build(), at, reach, source);
      if (from.isEmpty()) {
        session.complain("There is no point of " + source + " here. Click nearer to one.");
        return;
      }
      sources.startPair(from.get());
      firstClick.set(Optional.of(from.get().shared()));
      return;
    }
    pick.set(Pick.NONE);
    sources.endPair(at, reach);
  }
}
