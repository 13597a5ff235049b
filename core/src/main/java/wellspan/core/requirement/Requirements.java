package wellspan.core.requirement;

import java.util.List;

/**
 * A set of specifications.
 *
 * @param title as in the file
 */
public record Requirements(String title, List<Specification> specifications) {
  public Requirements {
    specifications = List.copyOf(specifications);
  }
}
