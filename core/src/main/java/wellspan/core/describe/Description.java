package wellspan.core.describe;

import java.util.List;

/**
 * What a model says of an item.
 *
 * @param globalId 22 characters, empty where the format has none
 */
public record Description(
    EntityClass entityClass, String globalId, List<PropertySet> propertySets) {

  public Description {
    propertySets = List.copyOf(propertySets);
  }
}
