package wellspan.core.place;

import wellspan.core.geom.Position;

/** A place in shared coordinates that somebody marked; its height may be NaN. */
public record SpotMark(String name, Position position) {}
