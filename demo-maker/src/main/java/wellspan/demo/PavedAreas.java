package wellspan.demo;

import java.util.List;
import java.util.Locale;
import wellspan.core.item.ItemId;
import wellspan.core.job.Job;
import wellspan.core.recipe.CourseUnderSurface;
import wellspan.core.recipe.Sweep;
import wellspan.core.recipe.Triangulation;
import wellspan.core.sweep.SectionShape;
import wellspan.core.triangulate.LevelRule;

/** Turning head, junction and yard: no section is carried there, courses lie under surfaces. */
final class PavedAreas {
  private static final ItemId NONE = new ItemId("");

  private record Layer(String name, String material, double depth, double thickness) {}

  private static final List<Layer> ROAD =
      List.of(
          new Layer("Surface course", "asphalt surface", 0, 0.04),
          new Layer("Binder course", "asphalt binder", 0.04, 0.06),
          new Layer("Base course", "asphalt base", 0.10, 0.12),
          new Layer("Sub-base", "crushed rock", 0.22, 0.30));

  private PavedAreas() {}

  static Job in(Job job) {
    Job out = area(job, "Turning head", "Turning head area");
    out = area(out, "Junction", "Junction area");
    for (String edge :
        List.of("Turning head edge", "Junction return west", "Junction return east")) {
      out = kerb(out, edge);
    }
    for (String pad : List.of("PAD_A", "PAD_B", "PAD_C")) {
      ItemId surface = ItemId.of("yard-layout", "terrain surface", pad);
      out = course(out, surface, pad, new Layer("Surface course", "asphalt surface", 0, 0.05));
      out = course(out, surface, pad, new Layer("Sub-base", "crushed rock", 0.05, 0.35));
    }
    return out;
  }

  private static Job area(Job job, String name, String outline) {
    ItemId edge = ItemId.of("quay-road", "string", outline);
    ItemId surface = ItemId.of("job", "terrain surface", name);
    Job out =
        job.withRecipe(
            new Triangulation(
                name,
                List.of(),
                List.of(edge),
                List.of(edge),
                List.of(),
                LevelRule.MEAN,
                LevelRule.LOWEST));
    for (Layer l : ROAD) {
      out = course(out, surface, name.toLowerCase(Locale.ROOT), l);
    }
    return out;
  }

  private static Job course(Job job, ItemId surface, String of, Layer l) {
    String name = l.name() + ", " + of;
    return job.withRecipe(
            new CourseUnderSurface(name, surface, l.depth(), l.thickness(), l.material()))
        .withSettings(
            List.of(ItemId.of("job", "course", name)), s -> s.withAttribute("Status", "D"));
  }

  private static Job kerb(Job job, String edge) {
    String name = "Kerb, " + edge.toLowerCase(Locale.ROOT).replace(" edge", "");
    return job.withRecipe(
            new Sweep(
                name,
                ItemId.of("quay-road", "string", edge),
                SectionShape.UPSTAND_KERB,
                NONE,
                0,
                0,
                0,
                -1e9,
                1e9,
                NONE,
                0,
                0,
                "concrete"))
        .withSettings(List.of(ItemId.of("job", "kerb", name)), s -> s.withAttribute("Status", "D"));
  }
}
