package wellspan.app.session;

import java.io.IOException;
import java.time.Clock;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.check.JobFindings;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Band;
import wellspan.core.item.ItemId;
import wellspan.core.job.History;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.job.Journal;
import wellspan.core.job.RevisionChange;
import wellspan.core.job.Source;
import wellspan.core.reading.Reading;
import wellspan.core.receive.ReadingRule;
import wellspan.core.receive.Received;
import wellspan.exchange.intake.Intake;
import wellspan.exchange.intake.SourceIntake;

/**
 * The open job as the window works on it: history, geometry, selection, findings. All methods are
 * called on the window's thread; long work runs in {@link Work}.
 */
public final class Session {
  /** What the cursor points at. */
  public record Pointer(Position shared) {}

  /** A file and how it was read. */
  private record ReadAs(String storedAs, ReadingRule rule) {
    static ReadAs current(Source s) {
      return new ReadAs(s.current().storedAs(), s.reading());
    }
  }

  private final JobStore store;
  private final Clock clock;
  private final Work work;
  private final Map<ReadAs, Received> read = new HashMap<>();
  private final ReadOnlyObjectWrapper<History> history = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<Build> build = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<Finding>> findings =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<RevisionChange>> lastChange =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ReadOnlyBooleanWrapper unsaved = new ReadOnlyBooleanWrapper();
  private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
  private final ReadOnlyBooleanWrapper messageIsError = new ReadOnlyBooleanWrapper();
  private final Selection selection = new Selection();
  private final RequirementDesk requirements = new RequirementDesk(this);
  private final MassDesk masses = new MassDesk(this);
  private final Visibility visibility = new Visibility(this);
  private final ObjectProperty<Stop> stop = new SimpleObjectProperty<>(Stop.RECEIVE);
  private final ObjectProperty<Optional<Pointer>> pointer =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<Position>> goTo =
      new SimpleObjectProperty<>(Optional.empty());
  private final ObjectProperty<Optional<Box>> goToBox =
      new SimpleObjectProperty<>(Optional.empty());
  private final StageMotion stageMotion = new StageMotion();
  private final Deliveries deliveries;
  private final ReceiveDesk receiving;
  private final PlaceDesk place;
  private final ShapeDesk shape;
  private final RuleDesk rules;
  private final PendingEdits pending = new PendingEdits();
  private final ReadOnlyStringWrapper lookingOnly = new ReadOnlyStringWrapper("");
  private boolean stale;
  private Reading.Levels levels = (id, e, n) -> Double.NaN;

  public Session(JobStore store, Job job, Clock clock, Executor window) {
    this.store = store;
    this.clock = clock;
    work = new Work(window);
    history.set(History.of(job));
    build.set(Build.of(job, Map.of()));
    work.runningProperty()
        .addListener(
            (o, was, is) -> {
              if (!is && stale) {
                stale = false;
                window.execute(this::rebuild);
              }
            });
    deliveries = new Deliveries(this, clock);
    receiving = new ReceiveDesk(this, clock);
    place = new PlaceDesk(this);
    shape = new ShapeDesk(this, window);
    rules = new RuleDesk(this);
    refreshFindings();
  }

  public JobStore store() {
    return store;
  }

  public Work work() {
    return work;
  }

  public Job job() {
    return history.get().now();
  }

  public Build build() {
    return build.get();
  }

  public ReadOnlyObjectProperty<Build> buildProperty() {
    return build.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<History> historyProperty() {
    return history.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<List<Finding>> findingsProperty() {
    return findings.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<RevisionChange>> lastChangeProperty() {
    return lastChange.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty unsavedProperty() {
    return unsaved.getReadOnlyProperty();
  }

  /** The last thing worth saying, as a sentence. */
  public ReadOnlyStringProperty messageProperty() {
    return message.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty messageIsErrorProperty() {
    return messageIsError.getReadOnlyProperty();
  }

  public Selection selection() {
    return selection;
  }

  /** The item whose journey is told; setting it selects it alone. */
  public ObjectProperty<Optional<ItemId>> selectedProperty() {
    return selection.leadProperty();
  }

  public ObjectProperty<Stop> stopProperty() {
    return stop;
  }

  public ObjectProperty<Optional<Pointer>> pointerProperty() {
    return pointer;
  }

  /** A place that the stage is asked to show. */
  public ObjectProperty<Optional<Position>> goToProperty() {
    return goTo;
  }

  /** Told by the stage whenever it is moved by hand. */
  public StageMotion stageMotion() {
    return stageMotion;
  }

  /** What is delivered, and what was. */
  public Deliveries deliveries() {
    return deliveries;
  }

  /** The work of the stop Receive. */
  public ReceiveDesk receiving() {
    return receiving;
  }

  /** The work of the stop Place. */
  public PlaceDesk place() {
    return place;
  }

  /** The work of the stop Shape. */
  public ShapeDesk shape() {
    return shape;
  }

  /** Says where levels of surfaces can be read; the plan knows them fastest. */
  public void setLevels(Reading.Levels source) {
    levels = source;
  }

  /** Everything that can be read at a place. */
  public Reading readingAt(Position p) {
    return Reading.at(build(), p, selectedProperty().get(), levels);
  }

  public Optional<Build.BuiltItem> selectedItem() {
    return selectedProperty().get().map(id -> build.get().items().get(id));
  }

  /** Says a sentence at the lower edge. */
  public void say(String sentence) {
    messageIsError.set(false);
    message.set(sentence);
  }

  public void complain(String sentence) {
    messageIsError.set(true);
    message.set(sentence);
  }

  // ---- reading

  /** Reads all sources of the job. */
  public void load() {
    Job job = job();
    if (!job.sources().isEmpty()) {
      work.start(
          "Reading the job", p -> SourceIntake.build(store, job, p), this::loaded, this::complain);
    }
  }

  private void loaded(Build fresh) {
    fresh
        .raw()
        .forEach(
            (name, r) -> fresh.job().source(name).ifPresent(s -> read.put(ReadAs.current(s), r)));
    build.set(fresh);
    rebuild();
    if (selectedProperty().get().isEmpty()) {
      selectedProperty().set(build.get().items().keySet().stream().findFirst());
    }
    if (isLookingOnly()) {
      complain(lookingOnly.get());
      return;
    }
    say(fresh.items().size() + " items from " + fresh.received().size() + " files.");
  }

  /** What the current revision of a source holds, if it was read in this session. */
  Optional<Received> known(Source s) {
    return Optional.ofNullable(read.get(ReadAs.current(s)));
  }

  void keep(Source s, Received received) {
    read.put(ReadAs.current(s), received);
  }

  void showChange(Optional<RevisionChange> change) {
    lastChange.set(change);
  }

  // ---- edits

  /** One undoable edit. It is noted in the journal before it counts. */
  public void edit(String what, UnaryOperator<Job> change) {
    Job next = change.apply(job());
    if (next.equals(job())) {
      return;
    }
    if (isLookingOnly()) {
      complain(lookingOnly.get());
      return;
    }
    if (messageIsError.get()) {
      say(""); // the complaint was about what stood before
    }
    pending.add(what, change);
    take(what, history.get().edit(what, next));
  }

  private void take(String what, History next) {
    try {
      store.note(what, next.now());
    } catch (IOException e) {
      complain(
          "The edit is not secured against a crash: the job's folder cannot be written ("
              + e.getMessage()
              + "). Save the job elsewhere.");
    }
    history.set(next);
    unsaved.set(true);
    readMissing();
  }

  public void undo() {
    if (history.get().canUndo()) {
      String what = history.get().past().getLast().what();
      take("Undo: " + what, stepped(history.get().undo()));
      say("Undone: " + what + ".");
    }
  }

  public void redo() {
    if (history.get().canRedo()) {
      String what = history.get().future().getLast().what();
      take("Redo: " + what, stepped(history.get().redo()));
      say("Done again: " + what + ".");
    }
  }

  /** A step through the history: what was pending is over, what it leads to may need work. */
  private History stepped(History next) {
    pending.clear();
    return next;
  }

  /** After undo a revision may be current that was not read in this session. */
  private void readMissing() {
    List<Source> missing = job().sources().stream().filter(s -> known(s).isEmpty()).toList();
    if (missing.isEmpty()) {
      rebuild();
      return;
    }
    work.start(
        "Reading sources",
        p -> {
          Map<ReadAs, Received> fresh = new HashMap<>();
          for (Source s : missing) {
            fresh.put(ReadAs.current(s), Intake.read(store.stored(s.current()), s.reading(), p));
          }
          return fresh;
        },
        fresh -> {
          read.putAll(fresh);
          rebuild();
        },
        this::takeBack);
  }

  /**
   * The edit that cannot be shown is taken back, so that what is shown is what is recorded. Edits
   * that came after it stay.
   */
  private void takeBack(String why) {
    History without = pending.withoutTheUnshown(history.get(), this::canBeShown);
    if (!without.equals(history.get())) {
      take("Taken back: what could not be done", without);
    } else if (history.get().canUndo() && !canBeShown(job())) {
      undo(); // what a step through the history led to cannot be shown
    }
    complain(why);
  }

  private boolean canBeShown(Job job) {
    return job.sources().stream().allMatch(s -> known(s).isPresent())
        && build.get().ready(job, received(job)).isPresent();
  }

  private Map<String, Received> received(Job job) {
    Map<String, Received> out = new LinkedHashMap<>();
    for (Source s : job.sources()) {
      known(s).ifPresent(r -> out.put(s.name(), r));
    }
    return out;
  }

  private void rebuild() {
    Map<String, Received> received = received(job());
    Build before = build.get();
    Optional<Build> ready = before.ready(job(), received);
    if (ready.isPresent()) {
      show(ready.get());
    } else if (work.runningProperty().get()) {
      stale = true; // what is under way ends with another look
    } else {
      Job job = job();
      work.start(
          "Preparing items", p -> before.next(job, received, p), this::shaped, this::takeBack);
    }
  }

  private void shaped(Build fresh) {
    show(fresh);
    if (!fresh.job().equals(job())) {
      rebuild();
    }
  }

  private void show(Build fresh) {
    pending.shown(build.get().job(), fresh.job());
    build.set(fresh);
    shape.forgetComparison(fresh);
    shape.watch(fresh);
    shape.showMade(fresh);
    selection.keep(build.get().items().keySet());
    refreshFindings();
  }

  void refreshFindings() {
    List<Finding> all = new ArrayList<>();
    if (isLookingOnly()) {
      all.add(Finding.error(Stop.RECEIVE, "job.looking-only", "", lookingOnly.get()));
    }
    all.addAll(JobFindings.of(build.get(), shape::flawsIn));
    all.addAll(deliveries.findings());
    findings.set(List.copyOf(all));
  }

  /** What a receiver asks for, and what of it would arrive. */
  public RequirementDesk requirements() {
    return requirements;
  }

  /** What is cut and filled along alignments. */
  public MassDesk masses() {
    return masses;
  }

  /** The work of the stop Describe. */
  public RuleDesk rules() {
    return rules;
  }

  /** What is shown and hidden. */
  public Visibility visibility() {
    return visibility;
  }

  /** Asks the stage to show items as large as it can. */
  public void goTo(Collection<ItemId> items) {
    Box box = Box.EMPTY;
    for (ItemId id : items) {
      Build.BuiltItem i = build.get().items().get(id);
      box = i == null ? box : box.union(i.item().bounds());
    }
    if (!box.isEmpty()) {
      goToBox.set(Optional.empty());
      goToBox.set(Optional.of(box));
    }
  }

  /** An extent that the stage is asked to show. */
  public ObjectProperty<Optional<Box>> goToBoxProperty() {
    return goToBox;
  }

  public List<ItemId> itemsIn(Band band) {
    return build.get().items().values().stream()
        .filter(i -> i.item().kind().stratum() == band)
        .map(Build.BuiltItem::id)
        .toList();
  }

  // ---- saving

  /**
   * Lets the job be looked at and not be changed.
   *
   * @param why a sentence that says what to do
   */
  public void lookOnly(String why) {
    lookingOnly.set(why);
    refreshFindings();
    complain(why);
  }

  public boolean isLookingOnly() {
    return !lookingOnly.get().isEmpty();
  }

  /** Why the job can only be looked at; empty if it can be changed. */
  public ReadOnlyStringProperty lookingOnlyProperty() {
    return lookingOnly.getReadOnlyProperty();
  }

  public void save() {
    if (isLookingOnly()) {
      complain(lookingOnly.get());
      return;
    }
    try {
      store.save(job());
      unsaved.set(false);
      say("Saved in " + store.folder() + ".");
    } catch (IOException e) {
      complain(
          "The job could not be saved: "
              + e.getMessage()
              + ". The file saved last is still there.");
    }
  }

  /** Forgets the journal of unsaved edits; the saved job stays as it is. */
  public void discardUnsaved() {
    try {
      store.journal().discard();
    } catch (IOException e) {
      complain("The journal of unsaved edits could not be removed: " + e.getMessage());
    }
  }

  /** Continues from unsaved edits of a process that ended without saving. */
  public void recover(Journal.Recovered recovered) {
    history.set(history.get().edit("Recovered edits", recovered.job()));
    pending.clear();
    unsaved.set(true);
    say(
        recovered.edits()
            + " unsaved edits were recovered; the last was: "
            + recovered.lastEdit()
            + ". Save to keep them.");
  }
}
