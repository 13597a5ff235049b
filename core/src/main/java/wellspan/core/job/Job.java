package wellspan.core.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.function.Consumer;
import wellspan.core.deliver.Delivery;
import wellspan.core.deliver.LocalZero;
import wellspan.core.deliver.ProjectInfo;
import wellspan.core.frame.Frame;
import wellspan.core.item.ItemId;
import wellspan.core.operation.Recipe;
import wellspan.core.place.Control;
import wellspan.core.place.SpotMark;
import wellspan.core.replay.RecordedStep;
import wellspan.core.rulebook.Rulebook;
import wellspan.core.schema.IfcSchema;
import wellspan.core.unit.LinearUnit;

/**
 * Everything decided about a job. Geometry is not part of it: that is built from the sources.
 *
 * @param id never changes; the GlobalIds of all deliveries come from it
 * @param settings of items that differ from the standard ones
 * @param control points that sources and deliveries are checked against
 * @param marks places that were marked by hand; they can be delivered as points
 * @param recipes how items are made that no source holds, in the order in which they are made
 * @param steps by which items are shaped, in their order; items without steps are left out
 * @param rulebook what the client wants to be said of every item
 * @param project what models say of the project besides its name
 * @param views where one looked, by name
 */
public record Job(
    UUID id,
    String name,
    Frame frame,
    List<Source> sources,
    Map<ItemId, ItemSettings> settings,
    List<Delivery> deliveries,
    Control control,
    List<SpotMark> marks,
    List<Recipe> recipes,
    Map<ItemId, List<RecordedStep>> steps,
    Rulebook rulebook,
    ProjectInfo project,
    List<SavedView> views) {

  public Job {
    marks = List.copyOf(marks);
    views = List.copyOf(views);
    recipes = List.copyOf(recipes);
    Map<ItemId, List<RecordedStep>> some = new TreeMap<>();
    steps.forEach(
        (item, list) -> {
          if (!list.isEmpty()) {
            some.put(item, List.copyOf(list));
          }
        });
    steps = Collections.unmodifiableMap(some);
    sources = List.copyOf(sources);
    settings = Collections.unmodifiableMap(new TreeMap<>(settings));
    deliveries = List.copyOf(deliveries);
  }

  /**
   * An empty job with one delivery, so that there is something to run as soon as a source is there.
   */
  public static Job named(String name) {
    Delivery first =
        new Delivery(
            "BIM handover",
            "BIM authoring",
            IfcSchema.IFC4X3,
            LinearUnit.METRE,
            new LocalZero.BasePoint(),
            "bim-handover.ifc",
            java.util.Set.of());
    return new Job(
        UUID.randomUUID(),
        name,
        Frame.UNPLACED,
        List.of(),
        Map.of(),
        List.of(first),
        Control.NONE,
        List.of(),
        List.of(),
        Map.of(),
        Rulebook.NONE,
        ProjectInfo.NONE,
        List.of());
  }

  public Optional<Source> source(String sourceName) {
    return sources.stream().filter(s -> s.name().equals(sourceName)).findFirst();
  }

  public Optional<Delivery> delivery(String deliveryName) {
    return deliveries.stream().filter(d -> d.name().equals(deliveryName)).findFirst();
  }

  public ItemSettings settingsOf(ItemId id) {
    return settings.getOrDefault(id, ItemSettings.STANDARD);
  }

  public Job withFrame(Frame f) {
    return with(d -> d.frame = f);
  }

  /** Adds a source, or replaces the one of the same name. */
  public Job withSource(Source source) {
    List<Source> all = new ArrayList<>(sources);
    int at = sources.stream().map(Source::name).toList().indexOf(source.name());
    if (at < 0) {
      all.add(source);
    } else {
      all.set(at, source);
    }
    return with(d -> d.sources = all);
  }

  public Job withSettings(
      Collection<ItemId> ids, java.util.function.UnaryOperator<ItemSettings> change) {
    Map<ItemId, ItemSettings> all = new TreeMap<>(settings);
    for (ItemId item : ids) {
      ItemSettings s = change.apply(settingsOf(item));
      if (s.equals(ItemSettings.STANDARD)) {
        all.remove(item);
      } else {
        all.put(item, s);
      }
    }
    return with(d -> d.settings = all);
  }

  public Job withDelivery(Delivery delivery) {
    List<Delivery> all = new ArrayList<>(deliveries);
    int at = deliveries.stream().map(Delivery::name).toList().indexOf(delivery.name());
    if (at < 0) {
      all.add(delivery);
    } else {
      all.set(at, delivery);
    }
    return with(d -> d.deliveries = all);
  }

  public Job withoutDelivery(String deliveryName) {
    List<Delivery> rest = deliveries.stream().filter(d -> !d.name().equals(deliveryName)).toList();
    return with(d -> d.deliveries = rest);
  }

  public Job withControl(Control c) {
    return with(d -> d.control = c);
  }

  public Job withMarks(List<SpotMark> m) {
    return with(d -> d.marks = m);
  }

  public List<RecordedStep> stepsOf(ItemId item) {
    return steps.getOrDefault(item, List.of());
  }

  /** Replaces the steps of an item; an empty list takes them away. */
  public Job withSteps(ItemId item, List<RecordedStep> of) {
    Map<ItemId, List<RecordedStep>> all = new TreeMap<>(steps);
    all.put(item, of);
    return with(d -> d.steps = all);
  }

  public Optional<Recipe> recipe(String of) {
    return recipes.stream().filter(r -> r.name().equals(of)).findFirst();
  }

  /** Adds a recipe, or replaces the one of the same name. */
  public Job withRecipe(Recipe recipe) {
    List<Recipe> all = new ArrayList<>(recipes);
    int at = recipes.stream().map(Recipe::name).toList().indexOf(recipe.name());
    if (at < 0) {
      all.add(recipe);
    } else {
      all.set(at, recipe);
    }
    return with(d -> d.recipes = all);
  }

  public Job withoutRecipe(String of) {
    List<Recipe> rest = recipes.stream().filter(r -> !r.name().equals(of)).toList();
    return with(d -> d.recipes = rest);
  }

  /** With another rulebook; {@link Rulebook#NONE} for none. */
  public Job withRulebook(Rulebook book) {
    return with(d -> d.rulebook = book);
  }

  /** With other words about the project. */
  public Job withProject(ProjectInfo info) {
    return with(d -> d.project = info);
  }

  /** Keeps a view, in the place of one of its name. */
  public Job withView(SavedView view) {
    List<SavedView> all = new ArrayList<>(withoutView(view.name()).views);
    all.add(view);
    return with(d -> d.views = all);
  }

  public Job withoutView(String viewName) {
    return with(d -> d.views = views.stream().filter(v -> !v.name().equals(viewName)).toList());
  }

  /** With its sources as they are, and nothing made of them. */
  public Job withoutOperations() {
    return with(
        d -> {
          d.recipes = List.of();
          d.steps = Map.of();
        });
  }

  private Job with(Consumer<Draft> change) {
    Draft d = new Draft(this);
    change.accept(d);
    return new Job(
        d.id,
        d.name,
        d.frame,
        d.sources,
        d.settings,
        d.deliveries,
        d.control,
        d.marks,
        d.recipes,
        d.steps,
        d.rulebook,
        d.project,
        d.views);
  }

  /** The parts of a job while one of them is being changed. */
  private static final class Draft {
    private final UUID id;
    private final String name;
    private Frame frame;
    private List<Source> sources;
    private Map<ItemId, ItemSettings> settings;
    private List<Delivery> deliveries;
    private Control control;
    private List<SpotMark> marks;
    private List<Recipe> recipes;
    private Map<ItemId, List<RecordedStep>> steps;
    private Rulebook rulebook;
    private ProjectInfo project;
    private List<SavedView> views;

    Draft(Job of) {
      id = of.id;
      name = of.name;
      frame = of.frame;
      sources = of.sources;
      settings = of.settings;
      deliveries = of.deliveries;
      control = of.control;
      marks = of.marks;
      recipes = of.recipes;
      steps = of.steps;
      rulebook = of.rulebook;
      project = of.project;
      views = of.views;
    }
  }
}
