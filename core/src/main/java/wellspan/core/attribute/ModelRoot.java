package wellspan.core.attribute;

import java.util.Optional;

/**
 * What a model says of the project and the site that all of it stands in.
 *
 * @param phase of the project, empty if not stated
 * @param site the first of several; empty where the model has none
 */
public record ModelRoot(Holder project, String phase, Optional<Holder> site) {}
