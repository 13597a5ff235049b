package wellspan.core.recipe;

import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.progress.Progress;

/** A surface that is the same as another one, to be shaped on its own. */
@Declared(
    id = "copy",
    title = "Copy as",
    about = "Makes a surface that is the same as another one, to be shaped on its own.",
    also = "duplicate")
public record Copy(
    @Parameter(label = "name") String name,
    @Parameter(label = "of", takes = Takes.SURFACE) ItemId surface)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    inputs.ground(surface);
    Item of = inputs.item(surface);
    return new Made(Item.of(name, Kind.TERRAIN, of.shape()), "Copied from " + of.name() + ".");
  }
}
