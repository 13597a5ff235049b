package wellspan.core.build;

import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import wellspan.core.attribute.EntityClass;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.describe.ClassRules;
import wellspan.core.finding.Finding;
import wellspan.core.geom.Box;
import wellspan.core.geom.OnceAsked;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Relation;
import wellspan.core.item.Relations;
import wellspan.core.job.Job;
import wellspan.core.job.Origin;
import wellspan.core.job.Source;
import wellspan.core.job.SourceNames;
import wellspan.core.place.Control;
import wellspan.core.place.ControlTally;
import wellspan.core.place.Placer;
import wellspan.core.place.SourcePlacement;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.core.rulebook.OwnAttributes;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.rulebook.Ruled;
import wellspan.core.rulebook.Ruling;
import wellspan.core.rulebook.Subject;
import wellspan.core.schema.IfcSchema;
import wellspan.core.shape.NamedPoint;

/**
 * A job with everything that its sources hold, in shared coordinates: what the window shows and
 * deliveries are made of. Immutable: any thread may read it, and what is asked for later (findings,
 * rules, bounds, relations) is worked out once, by whoever asks first. Sources, items and results
 * that did not change are the same objects as in the build before, so a build costs what changed.
 *
 * @param raw what the current revision of each source holds as received, by the source's name
 * @param received the same in shared coordinates
 * @param items by identity as shaped by their steps, in the order of sources; spot marks and what
 *     recipes made last
 * @param results what steps and recipes did
 * @param tallies control points against each source that holds some of them
 * @param cache where results of operations are kept between sessions
 * @param known what was asked for before
 */
public record Build(
    Job job,
    Map<String, Received> raw,
    Map<String, Received> received,
    Map<ItemId, BuiltItem> items,
    OperationResults results,
    List<ControlTally> tallies,
    ResultCache cache,
    Known known) {

  /** Name of the group of the job's own spot marks. */
  public static final String MARKS = "Spot marks";

  /** What is worked out of a build once, by whoever asks first. */
  static final class Known {
    private final OnceAsked<Box> bounds = new OnceAsked<>();
    private final OnceAsked<List<Relation>> relations = new OnceAsked<>();
    private final OnceAsked<List<Finding>> findings = new OnceAsked<>();
    private final OnceAsked<Map<ItemId, Subject>> subjects = new OnceAsked<>();
    private final Map<IfcSchema, OnceAsked<Map<ItemId, Ruled>>> ruled =
        new EnumMap<>(IfcSchema.class);
    private final Map<ItemId, Subject> before;

    /**
     * @param before what was known of the items of the build before
     */
    Known(Map<ItemId, Subject> before) {
      this.before = before;
      for (IfcSchema s : IfcSchema.values()) {
        ruled.put(s, new OnceAsked<>());
      }
    }
  }

  /** An item with where it came from. */
  public record BuiltItem(ItemId id, Item item, String source, Origin origin) {}

  /** A build whose steps are carried out at once. */
  public static Build of(Job job, Map<String, Received> raw) {
    return of(job, raw, Progress.NONE);
  }

  /** A build from the start: carries out every step. */
  public static Build of(Job job, Map<String, Received> raw, Progress progress) {
    return of(job, raw, ResultCache.NONE, progress);
  }

  /** A build that carries out what the cache does not hold. */
  public static Build of(Job job, Map<String, Received> raw, ResultCache cache, Progress progress) {
    return new Build(
            job,
            Map.of(),
            Map.of(),
            Map.of(),
            OperationResults.NONE,
            List.of(),
            cache,
            new Known(Map.of()))
        .next(job, raw, progress);
  }

  /**
   * The build of a later state of the job. Sources whose content, placement and frame did not
   * change are taken over as they were placed, and so is what steps made of the same items.
   *
   * @throws java.util.concurrent.CancellationException if cancelled
   */
  public Build next(Job job, Map<String, Received> raw, Progress progress) {
    return next(job, raw, Optional.of(progress));
  }

  /** The same without any work; empty if there are steps to carry out. */
  public Optional<Build> ready(Job job, Map<String, Received> raw) {
    try {
      return Optional.of(next(job, raw, Optional.empty()));
    } catch (OperationRun.NotReady e) {
      return Optional.empty();
    }
  }

  private Build next(Job job, Map<String, Received> raw, Optional<Progress> progress) {
    if (isOf(job, raw)) {
      return this;
    }
    Map<String, Received> placed = new LinkedHashMap<>();
    Map<ItemId, Item> base = new LinkedHashMap<>();
    Map<ItemId, Source> sources = new HashMap<>();
    for (Source s : job.sources()) {
      Received r = raw.get(s.name());
      if (r != null) {
        Received here = placed(job, s, r);
        placed.put(s.name(), here);
        for (Item item : here.items()) {
          Item alone = item;
          ItemId id = ItemId.of(s.name(), item);
          for (int n = 2; base.containsKey(id); n++) { // two of one name are two
            alone = item.named(item.name() + " (" + n + ")");
            id = ItemId.of(s.name(), alone);
          }
          base.put(id, alone);
          sources.put(id, s);
        }
      }
    }
    if (!job.marks().isEmpty()) {
      Item marks =
          Item.points(
              MARKS,
              job.marks().stream().map(m -> new NamedPoint(m.name(), m.position(), "")).toList());
      base.put(OperationRun.made(marks), marks);
    }
    OperationRun run =
        new OperationRun(job, base, keys(job, raw, base, sources), results, cache, progress);
    Map<ItemId, BuiltItem> all = new LinkedHashMap<>();
    run.items()
        .forEach(
            (id, item) -> {
              Source s = sources.get(id);
              Item said = OwnAttributes.on(item, job.settingsOf(id).attributes());
              all.put(
                  id,
                  s == null
                      ? new BuiltItem(id, said, SourceNames.JOB, Origin.BY_HAND)
                      : new BuiltItem(id, said, s.name(), Origin.of(s.current())));
            });
    List<ControlTally> tallies = new ArrayList<>();
    placed.forEach(
        (name, r) -> {
          ControlTally t = tally(job, name, r);
          if (!t.lines().isEmpty() && !name.equals(job.control().takenFrom())) {
            tallies.add(t);
          }
        });
    progress.ifPresent(Progress::checkCancelled);
    return new Build(
        job,
        Collections.unmodifiableMap(new LinkedHashMap<>(raw)),
        Collections.unmodifiableMap(placed),
        Collections.unmodifiableMap(all),
        run.result(),
        List.copyOf(tallies),
        cache,
        new Known(job.rulebook().equals(Rulebook.NONE) ? Map.of() : subjects()));
  }

  /** Whether this is the build of just that: neither a job nor what was received ever changes. */
  @SuppressWarnings("ReferenceEquality")
  private boolean isOf(Job other, Map<String, Received> read) {
    boolean begun = results == OperationResults.NONE; // and nothing is made yet
    return !begun
        && job == other
        && raw.size() == read.size()
        && raw.entrySet().stream().allMatch(e -> e.getValue() == read.get(e.getKey()));
  }

  /**
   * What each item hangs on, as text: content, reading and placement of its source; for those of
   * the job itself what they are.
   */
  private Map<ItemId, String> keys(
      Job job, Map<String, Received> raw, Map<ItemId, Item> base, Map<ItemId, Source> sources) {
    Map<ItemId, String> out = new HashMap<>();
    Map<String, String> bySource = new HashMap<>();
    for (Source s : job.sources()) {
      boolean inSystem = s.placement().where() instanceof SourcePlacement.Where.InSystem;
      bySource.put(
          s.name(),
          ResultCache.key(
              Origin.of(s.current()).content(),
              s.reading().toString(),
              s.placement().toString(),
              inSystem ? job.frame().crs() + " " + job.frame().definition() : "",
              isOfAnotherReading(s, raw.get(s.name())) ? UUID.randomUUID().toString() : ""));
    }
    base.forEach(
        (id, item) -> {
          Source s = sources.get(id);
          out.put(
              id,
              s == null
                  ? ResultCache.key(id.value(), job.marks().toString())
                  : ResultCache.key(id.value(), bySource.get(s.name())));
        });
    return out;
  }

  /** What was read anew although the job names the same file is nothing that a key can tell. */
  @SuppressWarnings("ReferenceEquality")
  private boolean isOfAnotherReading(Source s, Received r) {
    Received before = raw.get(s.name());
    return before != null
        && before != r
        && job.source(s.name()).filter(o -> o.current().equals(s.current())).isPresent();
  }

  // the same object, not an equal one: comparing millions of coordinates would cost more than it
  // saves
  @SuppressWarnings("ReferenceEquality")
  private ControlTally tally(Job next, String name, Received r) {
    if (received.get(name) == r && next.control().equals(job.control())) {
      return tallies.stream()
          .filter(t -> t.where().equals(name))
          .findFirst()
          .orElseGet(
              () -> new ControlTally(name, next.control().tolerance(), List.of(), List.of()));
    }
    return ControlTally.of(next.control(), name, r);
  }

  @SuppressWarnings("ReferenceEquality")
  private Received placed(Job next, Source s, Received r) {
    boolean same =
        raw.get(s.name()) == r
            && job.source(s.name()).filter(o -> o.placement().equals(s.placement())).isPresent()
            && (!(s.placement().where() instanceof SourcePlacement.Where.InSystem)
                || job.frame().crs().equals(next.frame().crs())
                    && job.frame().definition().equals(next.frame().definition()));
    return same ? received.get(s.name()) : Placer.place(s.name(), r, s.placement(), next.frame());
  }

  /** Extent of all items, shared coordinates; worked out once. */
  public Box bounds() {
    return known.bounds.get(
        () -> items.values().stream().map(b -> b.item().bounds()).reduce(Box.EMPTY, Box::union));
  }

  /** The items that a later state of the job has otherwise. */
  public Set<ItemId> stale(Job next) {
    return StaleItems.of(this, next);
  }

  public boolean isVisible(ItemId id) {
    return job.settingsOf(id).visible();
  }

  /**
   * The class an item is delivered as: the chosen one, else by the rulebook, else the received one,
   * else by its kind.
   */
  public EntityClass classOf(BuiltItem item, IfcSchema schema) {
    return job.settingsOf(item.id())
        .entityClass()
        .filter(c -> ClassRules.fits(c, item.item(), schema))
        .or(() -> ruled(item.id(), schema).entityClass())
        .orElseGet(() -> ClassRules.of(item.item(), item.item().said().entityClass(), schema));
  }

  /** The GlobalId that an item is delivered under: as received, else by job and identity. */
  public String globalId(BuiltItem i) {
    String received = i.item().said().globalId();
    return received.isEmpty() ? new GlobalIds(job.id()).of(i.id().value(), "product") : received;
  }

  /** Whether a delivery sends an item: it can carry it, and nobody holds it back. */
  public boolean sends(Delivery delivery, BuiltItem item) {
    return delivery.sends(item.id(), item.item())
        && !ruled(item.id(), delivery.schema()).heldBack();
  }

  /** What the rulebook decides of an item; worked out once for all of them. Any thread. */
  public Ruled ruled(ItemId id, IfcSchema schema) {
    return job.rulebook().equals(Rulebook.NONE)
        ? Ruled.NOTHING
        : known.ruled.get(schema).get(() -> rule(schema)).getOrDefault(id, Ruled.NOTHING);
  }

  /**
   * Works out what is asked for as soon as it is shown, findings and what the rules decide for the
   * deliveries, so that whoever shows it need not wait. Any thread; takes as long as the checks.
   *
   * @return this
   */
  public Build workedOut() {
    findings();
    if (!job.rulebook().equals(Rulebook.NONE)) {
      for (Delivery d : job.deliveries()) {
        known.ruled.get(d.schema()).get(() -> rule(d.schema()));
      }
    }
    return this;
  }

  private Map<ItemId, Ruled> rule(IfcSchema schema) {
    Ruling ruling = new Ruling(job.rulebook(), schema);
    return subjects().entrySet().parallelStream()
        .collect(Collectors.toConcurrentMap(Map.Entry::getKey, e -> ruling.of(e.getValue())));
  }

  /** The items as rules see them; what was worked out of those that did not change is kept. */
  public Map<ItemId, Subject> subjects() {
    return known.subjects.get(() -> Subjects.of(items.values(), known.before));
  }

  /** How items stand to each other: by their sources, and by what they were made along. */
  public List<Relation> relations() {
    return known.relations.get(
        () -> {
          Map<ItemId, Item> all = new LinkedHashMap<>();
          items.forEach((id, i) -> all.put(id, i.item()));
          List<Relation> out = new ArrayList<>(Relations.of(all));
          results.followed().stream()
              .filter(r -> all.containsKey(r.from()) && all.containsKey(r.to()))
              .forEach(out::add);
          return List.copyOf(out);
        });
  }

  /** Everything the checks find but for flaws of the ground; worked out once. */
  public List<Finding> findings() {
    return known.findings.get(() -> BuildFindings.of(this));
  }

  /** Extent of the control points and of all sources but one: where the others say the work is. */
  public Box reference(String butSource) {
    Box box = Box.EMPTY;
    for (Control.Point p : job.control().points()) {
      Position k = p.known();
      box = box.union(Box.of(new double[] {k.east(), k.north(), k.level()}));
    }
    for (Map.Entry<String, Received> e : received.entrySet()) {
      if (!e.getKey().equals(butSource)) {
        box = box.union(e.getValue().bounds());
      }
    }
    return box;
  }
}
