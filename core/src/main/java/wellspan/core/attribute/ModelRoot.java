package wellspan.core.attribute;

import java.util.List;
import java.util.Optional;

/**
 * What a model says of the project and the site that all of it stands in.
 *
 * @param phase of the project, empty if not stated
 * @param site the first of several; empty where the model has none
 * @param levels of its structure below the site, each as the path to it, also those that nothing
 *     stands in
 */
public record ModelRoot(
    Holder project, String phase, Optional<Holder> site, List<List<Holder>> levels) {
  public ModelRoot {
    levels = levels.stream().map(List::copyOf).toList();
  }
}
