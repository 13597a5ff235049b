package wellspan.core.shape;

import wellspan.core.geom.Position;

/** A point with its name or number and its code, which may be empty. */
public record NamedPoint(String name, Position position, String code) {}
