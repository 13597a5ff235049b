package wellspan.core.describe;

import java.util.List;
import java.util.Optional;

/**
 * What a model says of an item.
 *
 * @param finish material and colour, where it has any
 * @param globalId 22 characters, empty where the format has none
 */
public record Description(
    EntityClass entityClass,
    String globalId,
    List<PropertySet> propertySets,
    Optional<Finish> finish) {

  public Description {
    propertySets = List.copyOf(propertySets);
  }

  /** Without material and colour. */
  public Description(EntityClass entityClass, String globalId, List<PropertySet> propertySets) {
    this(entityClass, globalId, propertySets, Optional.empty());
  }
}
