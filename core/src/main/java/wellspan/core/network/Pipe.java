package wellspan.core.network;

import java.util.List;
import wellspan.core.attribute.PropertySet;

/**
 * A pipe between two chambers.
 *
 * @param start name of the chamber it starts from, in the sense of flow
 * @param end name of the chamber it ends at
 * @param wall thickness of its wall, metres; NaN where it is not given
 * @param slope fall over length, positive falling; NaN where it is not given
 * @param material empty where it is not said
 * @param sets what else is said of it
 */
public record Pipe(
    String name,
    String start,
    String end,
    PipeSection section,
    double wall,
    double slope,
    String material,
    List<PropertySet> sets) {
  public Pipe {
    sets = List.copyOf(sets);
  }
}
