package wellspan.app.session;

import java.util.ArrayList;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.concurrent.Executor;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.UnaryOperator;
import javafx.beans.property.ObjectProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.SimpleObjectProperty;
import wellspan.core.build.Build;
import wellspan.core.build.OperationResults;
import wellspan.core.finding.Finding;
import wellspan.core.flaw.CoveredPlaces;
import wellspan.core.flaw.GroundChecks;
import wellspan.core.geom.Mesh;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Outline;
import wellspan.core.operation.Step;
import wellspan.core.operation.Within;
import wellspan.core.overlay.LevelDifference;
import wellspan.core.overlay.Retriangulated;
import wellspan.core.overlay.Volumes;
import wellspan.core.progress.Progress;
import wellspan.core.recipe.Earth;
import wellspan.core.replay.RecordedStep;
import wellspan.core.replay.StepOutcome;
import wellspan.core.shape.Shape;
import wellspan.core.terrain.TriangleIndex;

/** The work of the stop Shape: steps of the selected item, flaws of the ground, comparisons. */
public final class ShapeDesk {
  /** How often what was found is told, nanoseconds. */
  private static final long TELL_EVERY = 200_000_000;

  /**
   * Two surfaces compared.
   *
   * @param second empty if it is what a receiver makes of the first one's points
   * @param other the second surface, ready to be asked for levels
   * @param within outline that the figures are limited to, if there is one
   * @param volumes empty without a second surface
   */
  public record Comparison(
      ItemId first,
      Optional<ItemId> second,
      Mesh one,
      TriangleIndex other,
      LevelDifference difference,
      Optional<Outline> within,
      Optional<Volumes> volumes) {}

  private final Session session;
  private final Executor window;
  private final ExecutorService looking =
      Executors.newSingleThreadExecutor(
          r -> Thread.ofPlatform().daemon().name("ground-checks").unstarted(r));
  private final IdentityHashMap<Item, List<Finding>> looked = new IdentityHashMap<>();
  private final ReadOnlyObjectWrapper<List<Finding>> flaws = new ReadOnlyObjectWrapper<>(List.of());
  private final ReadOnlyObjectWrapper<Optional<Comparison>> comparison =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private final ObjectProperty<List<Position>> outline = new SimpleObjectProperty<>(List.of());
  private volatile Build watched;
  private final MakeDesk making;

  ShapeDesk(Session session, Executor window) {
    this.session = session;
    this.window = window;
    making = new MakeDesk(session, window);
  }

  /** What is made in the job and comes from no source. */
  public MakeDesk making() {
    return making;
  }

  // ---- steps

  public List<RecordedStep> steps(ItemId id) {
    return session.job().stepsOf(id);
  }

  /** What each step of an item did; empty if it has none. */
  public List<StepOutcome> outcomes(ItemId id) {
    OperationResults.PreparedItem s = session.build().results().shaped().get(id);
    return s == null ? List.of() : s.outcomes();
  }

  public void add(ItemId id, Step step) {
    change(step.title(), id, l -> l.add(RecordedStep.of(step)));
  }

  public void remove(ItemId id, int index) {
    change("Take away: " + steps(id).get(index).step().title(), id, l -> l.remove(index));
  }

  public void switched(ItemId id, int index, boolean on) {
    String title = steps(id).get(index).step().title();
    change(
        (on ? "Switch on: " : "Switch off: ") + title,
        id,
        l -> l.set(index, l.get(index).switched(on)));
  }

  private interface Change {
    void in(List<RecordedStep> steps);
  }

  private void change(String what, ItemId id, Change change) {
    UnaryOperator<List<RecordedStep>> edit =
        now -> {
          List<RecordedStep> next = new ArrayList<>(now);
          change.in(next);
          return next;
        };
    session.edit(what, j -> j.withSteps(id, edit.apply(j.stepsOf(id))));
  }

  // ---- flaws

  /** Flaws of the ground as it is now; they come a moment after the build. */
  public ReadOnlyObjectProperty<List<Finding>> flawsProperty() {
    return flaws.getReadOnlyProperty();
  }

  /** Flaws of one item. */
  public List<Finding> flawsOf(ItemId id) {
    Build.BuiltItem i = session.build().items().get(id);
    return i == null ? List.of() : looked.getOrDefault(i.item(), List.of());
  }

  /** Looks for flaws in what is new, beside the window; the latest build counts. */
  void watch(Build build) {
    watched = build;
    List<Item> items = build.items().values().stream().map(Build.BuiltItem::item).toList();
    IdentityHashMap<Item, Boolean> there = new IdentityHashMap<>();
    items.forEach(i -> there.put(i, true));
    looked.keySet().removeIf(i -> !there.containsKey(i));
    List<Item> fresh = items.stream().filter(i -> !looked.containsKey(i)).toList();
    tell(build);
    if (fresh.isEmpty()) {
      return;
    }
    looking.execute(
        () -> {
          Progress whileWatched = whileWatched(build);
          session.aim().motion().awaitStill(whileWatched::isCancelled);
          CoveredPlaces covers = CoveredPlaces.of(items);
          IdentityHashMap<Item, List<Finding>> found = new IdentityHashMap<>();
          long told = System.nanoTime();
          for (Item i : fresh) {
            try {
              found.put(i, GroundChecks.of(i, covers, whileWatched));
            } catch (CancellationException e) {
              return;
            }
            if (System.nanoTime() - told > TELL_EVERY) { // a word for each would hold the window up
              IdentityHashMap<Item, List<Finding>> some = found;
              window.execute(() -> found(build, some));
              found = new IdentityHashMap<>();
              told = System.nanoTime();
            }
          }
          IdentityHashMap<Item, List<Finding>> rest = found;
          window.execute(() -> found(build, rest));
        });
  }

  @SuppressWarnings("ReferenceEquality")
  private Progress whileWatched(Build build) {
    return new Progress() {
      @Override
      public void report(double fraction, String sentence) {}

      @Override
      public boolean isCancelled() {
        return watched != build;
      }

      @Override
      public void advance(double fraction, String sentence) {
        session.aim().motion().awaitStill(this::isCancelled);
        Progress.super.advance(fraction, sentence);
      }
    };
  }

  @SuppressWarnings("ReferenceEquality")
  private void found(Build build, IdentityHashMap<Item, List<Finding>> found) {
    if (watched == build) {
      looked.putAll(found);
      if (found.values().stream().anyMatch(f -> !f.isEmpty())) {
        tell(build);
        session.refreshFindings();
      }
    }
  }

  private void tell(Build build) {
    List<Finding> all = new ArrayList<>();
    build.items().values().forEach(i -> all.addAll(looked.getOrDefault(i.item(), List.of())));
    flaws.set(List.copyOf(all));
  }

  /** Flaws of an item, as far as it was looked at. */
  List<Finding> flawsIn(Item item) {
    return looked.getOrDefault(item, List.of());
  }

  // ---- comparison

  public ReadOnlyObjectProperty<Optional<Comparison>> comparisonProperty() {
    return comparison.getReadOnlyProperty();
  }

  public void closeComparison() {
    comparison.set(Optional.empty());
  }

  /**
   * Compares a surface with another one, or with what a receiver makes of its points.
   *
   * @param within outline that figures of two surfaces are limited to; empty for everywhere
   */
  public void compare(ItemId first, Optional<ItemId> second, Optional<Outline> within) {
    Optional<Mesh> one = surface(first);
    Optional<Mesh> two = second.flatMap(this::surface);
    if (one.isEmpty() || second.isPresent() && two.isEmpty()) {
      session.complain("Choose two terrain surfaces to compare.");
      return;
    }
    Build build = session.build();
    session
        .work()
        .startBeside(
            "Comparing",
            p ->
                two.isEmpty()
                    ? redrawn(first, one.get(), p)
                    : compared(first, second, one.get(), two.get(), within, inputs(build), p),
            c -> comparison.set(Optional.of(c)),
            session::complain);
  }

  private static Comparison redrawn(ItemId first, Mesh one, Progress p) {
    Retriangulated r = Retriangulated.of(one, p);
    return new Comparison(
        first,
        Optional.empty(),
        one,
        new TriangleIndex(r.mesh()),
        r.difference(),
        Optional.empty(),
        Optional.empty());
  }

  private static Comparison compared(
      ItemId first,
      Optional<ItemId> second,
      Mesh one,
      Mesh two,
      Optional<Outline> within,
      Inputs inputs,
      Progress p) {
    Mesh part = within.isPresent() ? Within.of(one, within.get(), inputs, p.part(0, 0.2)) : one;
    LevelDifference d = LevelDifference.between(part, two, p.part(0.2, 0.6));
    Volumes v = Volumes.between(part, two, p.part(0.6, 1));
    return new Comparison(first, second, one, new TriangleIndex(two), d, within, Optional.of(v));
  }

  private static Inputs inputs(Build build) {
    return id -> {
      Build.BuiltItem i = build.items().get(id);
      if (i == null) {
        throw new IllegalArgumentException(id + " is not there any more. Choose another outline.");
      }
      return i.item();
    };
  }

  /** Makes bodies of the earth between the two surfaces that were compared. */
  public void makeEarth(Comparison c) {
    c.second()
        .ifPresent(
            proposed ->
                making.make(
                    new Earth(
                        "Earth to " + session.build().items().get(proposed).item().name(),
                        c.first(),
                        proposed)));
  }

  private Optional<Mesh> surface(ItemId id) {
    return Optional.ofNullable(session.build().items().get(id))
        .map(Build.BuiltItem::item)
        .filter(i -> i.kind().is(Kind.TERRAIN))
        .map(i -> ((Shape.Faces) i.shape()).mesh());
  }

  /** A comparison of surfaces that are no longer the same says nothing. */
  void forgetComparison(Build build) {
    comparison
        .get()
        .filter(
            c ->
                !holds(build, c.first(), c.one())
                    || c.second().isPresent() && !holds(build, c.second().get(), c.other().mesh()))
        .ifPresent(c -> closeComparison());
  }

  @SuppressWarnings("ReferenceEquality")
  private static boolean holds(Build build, ItemId id, Mesh mesh) {
    Build.BuiltItem i = build.items().get(id);
    return i != null && i.item().ground().filter(m -> m == mesh).isPresent();
  }

  // ---- drawing an outline

  /** Corners of an outline that is being drawn on the plan. */
  public ObjectProperty<List<Position>> outlineProperty() {
    return outline;
  }

  public void corner(Position p) {
    List<Position> all = new ArrayList<>(outline.get());
    all.add(p);
    outline.set(List.copyOf(all));
  }

  /** The drawn outline as easting and northing in twos. */
  public Outline drawn() {
    List<Double> ring = new ArrayList<>();
    for (Position p : outline.get()) {
      ring.add(p.east());
      ring.add(p.north());
    }
    return new Outline.Drawn(ring);
  }
}
