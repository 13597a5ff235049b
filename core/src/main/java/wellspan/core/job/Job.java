package wellspan.core.job;

import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
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
    ProjectInfo project) {

  public Job {
    marks = List.copyOf(marks);
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
        ProjectInfo.NONE);
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
    return new Job(
        id,
        name,
        f,
        sources,
        settings,
        deliveries,
        control,
        marks,
        recipes,
        steps,
        rulebook,
        project);
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
    return new Job(
        id,
        name,
        frame,
        all,
        settings,
        deliveries,
        control,
        marks,
        recipes,
        steps,
        rulebook,
        project);
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
    return new Job(
        id,
        name,
        frame,
        sources,
        all,
        deliveries,
        control,
        marks,
        recipes,
        steps,
        rulebook,
        project);
  }

  public Job withDelivery(Delivery delivery) {
    List<Delivery> all = new ArrayList<>(deliveries);
    int at = deliveries.stream().map(Delivery::name).toList().indexOf(delivery.name());
    if (at < 0) {
      all.add(delivery);
    } else {
      all.set(at, delivery);
    }
    return new Job(
        id, name, frame, sources, settings, all, control, marks, recipes, steps, rulebook, project);
  }

  public Job withoutDelivery(String deliveryName) {
    List<Delivery> rest = deliveries.stream().filter(d -> !d.name().equals(deliveryName)).toList();
    return new Job(
        id, name, frame, sources, settings, rest, control, marks, recipes, steps, rulebook,
        project);
  }

  public Job withControl(Control c) {
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        c,
        marks,
        recipes,
        steps,
        rulebook,
        project);
  }

  public Job withMarks(List<SpotMark> m) {
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        m,
        recipes,
        steps,
        rulebook,
        project);
  }

  public List<RecordedStep> stepsOf(ItemId item) {
    return steps.getOrDefault(item, List.of());
  }

  /** Replaces the steps of an item; an empty list takes them away. */
  public Job withSteps(ItemId item, List<RecordedStep> of) {
    Map<ItemId, List<RecordedStep>> all = new TreeMap<>(steps);
    all.put(item, of);
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        marks,
        recipes,
        all,
        rulebook,
        project);
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
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        marks,
        all,
        steps,
        rulebook,
        project);
  }

  public Job withoutRecipe(String of) {
    List<Recipe> rest = recipes.stream().filter(r -> !r.name().equals(of)).toList();
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        marks,
        rest,
        steps,
        rulebook,
        project);
  }

  /** With another rulebook; {@link Rulebook#NONE} for none. */
  public Job withRulebook(Rulebook book) {
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        marks,
        recipes,
        steps,
        book,
        project);
  }

  /** With other words about the project. */
  public Job withProject(ProjectInfo info) {
    return new Job(
        id,
        name,
        frame,
        sources,
        settings,
        deliveries,
        control,
        marks,
        recipes,
        steps,
        rulebook,
        info);
  }
}
