package wellspan.app.session;

import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.Executor;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import wellspan.core.build.Build;
import wellspan.core.build.OperationResults;
import wellspan.core.deliver.Delivery;
import wellspan.core.finding.Finding;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.operation.Recipe;
import wellspan.core.recipe.TexturedGround;

/** Makes items by recipes. Used on the window's thread. */
public final class MakeDesk {
  private final Session session;
  private final Executor window;
  private final ReadOnlyObjectWrapper<Optional<Refused>> refused =
      new ReadOnlyObjectWrapper<>(Optional.empty());
  private Optional<Recipe> awaited = Optional.empty();

  /**
   * What could not be made as it was asked for.
   *
   * @param why a sentence with what to do
   */
  public record Refused(Recipe recipe, String why) {}

  MakeDesk(Session session, Executor window) {
    this.session = session;
    this.window = window;
  }

  /**
   * Makes an item; one of the same name is made anew. What textured ground is made of lies in its
   * place: it is hidden and held back from deliveries. What cannot be made is taken back.
   */
  public void make(Recipe recipe) {
    awaited = Optional.of(recipe);
    refused.set(Optional.empty());
    session.edit(
        recipe.title(),
        j ->
            recipe instanceof TexturedGround t
                ? inPlaceOf(t.uses(), j.withRecipe(t))
                : j.withRecipe(recipe));
  }

  private static Job inPlaceOf(Collection<ItemId> items, Job job) {
    Job out = job.withSettings(items, s -> s.withVisible(false));
    for (Delivery d : job.deliveries()) {
      Set<ItemId> held = new HashSet<>(d.heldBack());
      held.addAll(items);
      out = out.withDelivery(d.holdingBack(held));
    }
    return out;
  }

  /** Puts what has just been made in the user's hand, with what is to be said of it. */
  void showMade(Build build) {
    Optional<OperationResults.MadeItems> made =
        awaited
            .map(r -> build.results().made().get(r.name()))
            .filter(m -> m.recipe().equals(awaited.get()));
    if (made.isEmpty()) {
      return;
    }
    awaited = Optional.empty();
    Recipe recipe = made.get().recipe();
    List<ItemId> ids = build.results().madeBy(recipe.name());
    if (!ids.isEmpty()) {
      session.selectedProperty().set(Optional.of(ids.getFirst()));
      session.say(recipe.name() + ": " + made.get().result().told());
    } else if (made.get().result().findings().stream().anyMatch(Finding::isError)) {
      String why = made.get().result().told();
      window.execute(() -> takeBack(recipe, why)); // once what was made is shown
    }
  }

  /** Nothing that failed is left in the job, unless it was changed since. */
  private void takeBack(Recipe recipe, String why) {
    boolean last =
        session.historyProperty().get().past().stream()
            .reduce((a, b) -> b)
            .filter(e -> e.what().equals(recipe.title()))
            .isPresent();
    if (last && session.job().recipe(recipe.name()).filter(recipe::equals).isPresent()) {
      session.undo();
      refused.set(Optional.of(new Refused(recipe, why)));
      session.complain(recipe.name() + " was not made: " + why);
    }
  }

  /** The last thing that could not be made, until something else is. */
  public ReadOnlyObjectProperty<Optional<Refused>> refusedProperty() {
    return refused.getReadOnlyProperty();
  }

  public void unmake(String name) {
    session.edit("Take away " + name, j -> j.withoutRecipe(name));
  }

  /** The recipe that made the item, if it was made in the job. */
  public Optional<OperationResults.MadeItems> maker(ItemId id) {
    return session.build().results().maker(id);
  }
}
