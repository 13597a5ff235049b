package wellspan.core.replay;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import wellspan.core.item.Item;
import wellspan.core.operation.Declared;
import wellspan.core.operation.Operation;
import wellspan.core.operation.Recipe;
import wellspan.core.operation.Step;
import wellspan.core.recipe.BridgeOverGround;
import wellspan.core.recipe.Contours;
import wellspan.core.recipe.Copy;
import wellspan.core.recipe.CourseUnderSurface;
import wellspan.core.recipe.CoursesBetweenStrings;
import wellspan.core.recipe.Culvert;
import wellspan.core.recipe.Earth;
import wellspan.core.recipe.Extrusion;
import wellspan.core.recipe.GradedPad;
import wellspan.core.recipe.Repetition;
import wellspan.core.recipe.RetainingWall;
import wellspan.core.recipe.RoadOfTypicalSection;
import wellspan.core.recipe.SettingOut;
import wellspan.core.recipe.SideSlopes;
import wellspan.core.recipe.Sweep;
import wellspan.core.recipe.TexturedGround;
import wellspan.core.recipe.Triangulation;
import wellspan.core.step.ChainageAtStart;
import wellspan.core.step.Clip;
import wellspan.core.step.CutCover;
import wellspan.core.step.DropFalseLevels;
import wellspan.core.step.DropFlawedTriangles;
import wellspan.core.step.DropIslands;
import wellspan.core.step.DropSpikes;
import wellspan.core.step.FillHoles;
import wellspan.core.step.JoinElements;
import wellspan.core.step.KeepChainages;
import wellspan.core.step.MergeDuplicates;
import wellspan.core.step.Raise;
import wellspan.core.step.ReverseDirection;
import wellspan.core.step.SetIn;
import wellspan.core.step.Simplify;
import wellspan.core.step.Trim;

/** All operations, in the order in which they are offered. Another one is another line here. */
public final class Operations {
  private static final List<Class<? extends Step>> STEPS =
      List.of(
          DropFalseLevels.class,
          DropSpikes.class,
          MergeDuplicates.class,
          DropFlawedTriangles.class,
          DropIslands.class,
          Trim.class,
          Clip.class,
          CutCover.class,
          SetIn.class,
          Raise.class,
          Simplify.class,
          FillHoles.class,
          JoinElements.class,
          KeepChainages.class,
          ChainageAtStart.class,
          ReverseDirection.class);

  private static final List<Class<? extends Recipe>> RECIPES =
      List.of(
          Triangulation.class,
          GradedPad.class,
          Contours.class,
          TexturedGround.class,
          Earth.class,
          RoadOfTypicalSection.class,
          SideSlopes.class,
          CoursesBetweenStrings.class,
          CourseUnderSurface.class,
          BridgeOverGround.class,
          Culvert.class,
          RetainingWall.class,
          Sweep.class,
          Repetition.class,
          Extrusion.class,
          SettingOut.class,
          Copy.class);

  private Operations() {}

  public static List<Class<? extends Step>> steps() {
    return STEPS;
  }

  /** The steps that are for an item. */
  public static List<Class<? extends Step>> stepsFor(Item item) {
    return STEPS.stream().filter(s -> accepts(s, item)).toList();
  }

  public static List<Class<? extends Recipe>> recipes() {
    return RECIPES;
  }

  public static Stream<Class<? extends Operation>> all() {
    return Stream.concat(STEPS.stream(), RECIPES.stream());
  }

  /** The one of an id. */
  public static Optional<Class<? extends Operation>> named(String id) {
    return all().filter(o -> declared(o).id().equals(id)).findFirst();
  }

  public static Declared declared(Class<? extends Operation> operation) {
    return operation.getAnnotation(Declared.class);
  }

  /** Whether a step is for items such as this one. */
  public static boolean accepts(Class<? extends Step> step, Item item) {
    return Stream.of(declared(step).accepts()).anyMatch(t -> t.fits(item));
  }
}
