package wellspan.app.session;

import java.time.Clock;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.check.JobFindings;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.item.ItemId;
import wellspan.core.job.History;
import wellspan.core.job.Job;
import wellspan.core.job.JobStore;
import wellspan.core.job.Journal;
import wellspan.core.job.RevisionChange;
import wellspan.core.job.Source;
import wellspan.core.receive.Received;
import wellspan.exchange.intake.Intake;

/**
 * The open job as the window works on it: history, geometry, selection, findings. All methods are
 * called on the window's thread; long work runs in {@link Work}.
 */
public final class Session {
  private final JobStore store;
  private final Clock clock;
  private final Work work;
  private final ReadSources read = new ReadSources();
  private final ReadOnlyObjectWrapper<Build> build = new ReadOnlyObjectWrapper<>();
  private final ReadOnlyObjectWrapper<List<Finding>> findings =
      new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<RevisionChange>> lastChange =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final Messages messages = new Messages();
  private final JobModel model;
  private final Selection selection = new Selection();
  private final RequirementDesk requirements = new RequirementDesk(this);
  private final MassDesk masses = new MassDesk(this);
  private final ColourDesk colours = new ColourDesk(this);
  private final SectionDesk sections = new SectionDesk(this);
  private final FormDesk forms = new FormDesk(this);
  private final MeasureDesk measure = new MeasureDesk();
  private final Visibility visibility = new Visibility(this);
  private final ObjectProperty<Stop> stop = new SimpleObjectProperty<>(Stop.RECEIVE);
  private final Aim aim = new Aim(this);
  private final Deliveries deliveries;
  private final ReceiveDesk receiving;
  private final PlaceDesk place;
  private final ShapeDesk shape;
  private final RuleDesk rules;
  private final MendDesk mends = new MendDesk(this);
  private final ReadOnlyObjectWrapper<Set<ItemId>> stale = new ReadOnlyObjectWrapper<>(Set.of());
  private final JobOpening opening;
  private boolean outdated;

  public Session(JobStore store, Job job, Clock clock, Executor window) {
    this.store = store;
    this.clock = clock;
    work = new Work(window);
    model = new JobModel(store, job, messages, this::readMissing);
    build.set(Build.of(job, Map.of()));
    work.changingProperty()
        .addListener(
            (o, was, is) -> {
              if (!is && outdated) {
                outdated = false;
                window.execute(this::rebuild);
              }
            });
    opening = new JobOpening(this, store, window);
    deliveries = new Deliveries(this, clock, window);
    receiving = new ReceiveDesk(this, clock);
    place = new PlaceDesk(this);
    shape = new ShapeDesk(this, window);
    rules = new RuleDesk(this);
    if (job.sources().isEmpty()) { // else they are found once the sources are read
      refreshFindings();
    }
  }

  public JobStore store() {
    return store;
  }

  public Work work() {
    return work;
  }

  public Job job() {
    return model.now();
  }

  public Build build() {
    return build.get();
  }

  public ReadOnlyObjectProperty<Build> buildProperty() {
    return build.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<History> historyProperty() {
    return model.historyProperty();
  }

  public ReadOnlyObjectProperty<List<Finding>> findingsProperty() {
    return findings.getReadOnlyProperty();
  }

  public ReadOnlyObjectProperty<Optional<RevisionChange>> lastChangeProperty() {
    return lastChange.getReadOnlyProperty();
  }

  public ReadOnlyBooleanProperty unsavedProperty() {
    return model.unsavedProperty();
  }

  /** The last thing worth saying. */
  public Messages messages() {
    return messages;
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

  /** Where the hand points, and what the stage is asked to show. */
  public Aim aim() {
    return aim;
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

  public Optional<Build.BuiltItem> selectedItem() {
    return selectedProperty().get().map(build.get().items()::get);
  }

  /** Says a sentence at the lower edge. */
  public void say(String sentence) {
    messages.say(sentence);
  }

  public void complain(String sentence) {
    messages.complain(sentence);
  }

  /** Reads all sources of the job; each is shown as soon as it is read. */
  public void load() {
    opening.start();
  }

  public JobOpening opening() {
    return opening;
  }

  void showEarly(Build early) {
    build.set(early);
    markStale();
  }

  void opened(Build fresh) {
    fresh.raw().forEach((name, r) -> fresh.job().source(name).ifPresent(s -> read.keep(s, r)));
    build.set(fresh);
    rebuild();
    if (selectedProperty().get().isEmpty()) {
      selectedProperty().set(build.get().items().keySet().stream().findFirst());
    }
    if (isLookingOnly()) {
      complain(model.lookingOnlyProperty().get());
    }
  }

  Optional<Received> known(Source s) {
    return read.known(s);
  }

  void keep(Source s, Received received) {
    read.keep(s, received);
  }

  void showChange(Optional<RevisionChange> change) {
    lastChange.set(change);
  }

  /** One undoable edit. It is noted in the journal before it counts. */
  public void edit(String what, UnaryOperator<Job> change) {
    model.edit(what, change);
  }

  public void undo() {
    model.undo();
  }

  public void redo() {
    model.redo();
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
          Map<Source, Received> fresh = new LinkedHashMap<>();
          for (Source s : missing) {
            fresh.put(s, Intake.read(store.stored(s.current()), s.reading(), p));
          }
          return fresh;
        },
        fresh -> {
          fresh.forEach(read::keep);
          rebuild();
        },
        this::takeBack);
  }

  private void takeBack(String why) {
    opening.forgetResults();
    model.takeBack(j -> read.holdsAllOf(j) && build.get().ready(j, read.of(j)).isPresent(), why);
  }

  private void rebuild() {
    Map<String, Received> received = read.of(job());
    Build before = build.get();
    Optional<Build> ready = before.ready(job(), received);
    if (ready.isPresent()) {
      show(ready.get());
    } else if (work.changingProperty().get()) {
      outdated = true; // what is under way ends with another look
      markStale();
    } else {
      Job job = job();
      markStale();
      Work.Task<Build> next = p -> before.next(job, received, p).workedOut();
      work.start("Preparing items", next, this::shaped, this::takeBack);
    }
  }

  private void shaped(Build fresh) {
    show(fresh);
    if (!fresh.job().equals(job())) {
      rebuild();
    }
  }

  private void show(Build fresh) {
    model.shown(build.get().job(), fresh.job());
    build.set(fresh);
    markStale();
    shape.forgetComparison(fresh);
    shape.watch(fresh);
    shape.making().showMade(fresh);
    selection.keep(build.get().items().keySet());
    refreshFindings();
    opening.shown();
  }

  private void markStale() {
    stale.set(build.get().stale(job()));
  }

  /** The shown items that the job has otherwise, while they are made anew. */
  public ReadOnlyObjectProperty<Set<ItemId>> staleProperty() {
    return stale.getReadOnlyProperty();
  }

  void refreshFindings() {
    List<Finding> all = new ArrayList<>();
    if (isLookingOnly()) {
      all.add(Finding.error(Stop.RECEIVE, "job.looking-only", "", lookingOnlyProperty().get()));
    }
    if (opening.isCutOff()) {
      all.add(Finding.error(Stop.RECEIVE, "job.unread", "", opening.unfinished().orElseThrow()));
    } else if (!opening.isUnderWay()) {
      all.addAll(JobFindings.of(build.get(), shape::flawsIn));
      all.addAll(deliveries.findings());
    }
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

  /** By what items are coloured on the stage. */
  public ColourDesk colours() {
    return colours;
  }

  /** The typical section that roads are made of. */
  public SectionDesk sections() {
    return sections;
  }

  public FormDesk forms() {
    return forms;
  }

  /** Distances, slopes and areas on the stage. */
  public MeasureDesk measure() {
    return measure;
  }

  /** What mending would do. */
  public MendDesk mends() {
    return mends;
  }

  /** What is shown and hidden. */
  public Visibility visibility() {
    return visibility;
  }

  /**
   * Lets the job be looked at and not be changed.
   *
   * @param why a sentence that says what to do
   */
  public void lookOnly(String why) {
    model.lookOnly(why);
    refreshFindings();
    complain(why);
  }

  public boolean isLookingOnly() {
    return model.isLookingOnly();
  }

  /** Why the job can only be looked at; empty if it can be changed. */
  public ReadOnlyStringProperty lookingOnlyProperty() {
    return model.lookingOnlyProperty();
  }

  public void save() {
    model.save();
  }

  /** Forgets the journal of unsaved edits; the saved job stays as it is. */
  public void discardUnsaved() {
    model.discardUnsaved();
  }

  /** Continues from unsaved edits of a process that ended without saving. */
  public void recover(Journal.Recovered recovered) {
    model.recover(recovered);
  }
}
