package wellspan.core.replay;

import java.util.List;
import java.util.concurrent.CancellationException;
import wellspan.core.finding.Finding;
import wellspan.core.finding.Stop;
import wellspan.core.operation.Inputs;
import wellspan.core.operation.Parameters;
import wellspan.core.operation.Recipe;
import wellspan.core.progress.Progress;

/** Carries out recipes. One that cannot be carried out makes nothing and says why. */
public final class RecipeRun {
  /** Of the finding on what could not be made. */
  public static final String FAILED = "step.failed";

  private RecipeRun() {}

  /**
   * @throws CancellationException if cancelled
   */
  public static Recipe.Made of(Recipe recipe, Inputs inputs, Progress progress) {
    progress.advance(0, recipe.title());
    try {
      Parameters.check(recipe);
      return recipe.make(inputs, progress);
    } catch (CancellationException e) {
      throw e; // nobody wants it any more; that is no failure
    } catch (IllegalArgumentException | IllegalStateException e) {
      return new Recipe.Made(
          List.of(),
          e.getMessage(),
          List.of(
              Finding.error(
                  Stop.SHAPE,
                  FAILED,
                  recipe.name(),
                  recipe.name() + " could not be made: " + e.getMessage())));
    }
  }
}
