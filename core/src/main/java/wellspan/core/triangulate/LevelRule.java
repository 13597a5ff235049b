package wellspan.core.triangulate;

import java.util.Locale;
import wellspan.core.choice.Choice;

/** Which level holds where several were measured at one place. */
public enum LevelRule implements Choice {
  FIRST,
  MEAN,
  HIGHEST,
  LOWEST;

  @Override
  public String word() {
    return name().toLowerCase(Locale.ROOT);
  }

  /**
   * @param first the level that came first
   * @param sum of all levels
   * @param count how many there are
   */
  public double level(double first, double sum, int count, double lowest, double highest) {
    return switch (this) {
      case FIRST -> first;
      case MEAN -> sum / count;
      case HIGHEST -> highest;
      case LOWEST -> lowest;
    };
  }
}
