package wellspan.core.network;

import java.util.List;
import wellspan.core.attribute.Connection;
import wellspan.core.attribute.PropertySet;

/**
 * A pipe or a chamber as a body.
 *
 * @param name as in the source, not unique
 * @param kind id of the kind of item that it is
 * @param material empty where it is not said
 * @param connection the network it is part of, and where others join it
 * @param body its geometry and what that was made of
 * @param sets what is known of it, and what its source says
 */
public record NetworkBody(
    String name,
    String kind,
    String material,
    Connection connection,
    NetworkPart body,
    List<PropertySet> sets) {}
