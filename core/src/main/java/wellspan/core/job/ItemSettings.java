package wellspan.core.job;

import java.util.Optional;
import wellspan.core.attribute.EntityClass;

/**
 * What was decided about an item; it stays through every revision of the source.
 *
 * @param visible on the stage
 * @param entityClass chosen class, empty for the standard one
 */
public record ItemSettings(boolean visible, Optional<EntityClass> entityClass) {
  public static final ItemSettings STANDARD = new ItemSettings(true, Optional.empty());

  public ItemSettings withVisible(boolean shown) {
    return new ItemSettings(shown, entityClass);
  }

  /** Another class; empty for the standard one. */
  public ItemSettings withClass(Optional<EntityClass> chosen) {
    return new ItemSettings(visible, chosen);
  }
}
