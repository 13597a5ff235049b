package wellspan.core.recipe;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.item.Kind;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameter;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Takes;
import wellspan.core.overlay.EarthBodies;
import wellspan.core.progress.Progress;
import wellspan.core.shape.Shape;

/** The earth between two surfaces as bodies: one of what is cut, one of what is filled. */
@Declared(
    id = "earth",
    title = "Earth bodies",
    about = "Makes bodies of the earth between two surfaces: what is cut and what is filled.",
    also = "cut fill volumes solids excavation earthworks")
public record Earth(
    @Parameter(label = "name", start = "\"Earth\"") String name,
    @Parameter(label = "existing", takes = Takes.SURFACE) ItemId existing,
    @Parameter(label = "proposed", takes = Takes.SURFACE) ItemId proposed)
    implements Recipe {
  @Override
  public Made make(Inputs inputs, Progress progress) {
    EarthBodies b = EarthBodies.between(inputs.ground(existing), inputs.ground(proposed), progress);
    List<Item> items = new ArrayList<>();
    if (b.cut().triangleCount() > 0) {
      items.add(Item.of(name + " cut", Kind.CUT, new Shape.Faces(b.cut())));
    }
    if (b.fill().triangleCount() > 0) {
      items.add(Item.of(name + " fill", Kind.FILL, new Shape.Faces(b.fill())));
    }
    if (items.isEmpty()) {
      throw new IllegalArgumentException(
          "the two surfaces do not lie over each other, or are the same.");
    }
    return new Made(
        items,
        String.format(
            Locale.ROOT, "Cut %.1f m³, fill %.1f m³.", b.cut().volume(), b.fill().volume()),
        List.of());
  }
}
