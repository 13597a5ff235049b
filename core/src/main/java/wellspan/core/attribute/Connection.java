package wellspan.core.attribute;

import java.util.List;
import wellspan.core.geom.Position;

/**
 * What an element of a network is joined to.
 *
 * @param network name of the network
 * @param type {@code storm}, {@code sanitary}, {@code water}, {@code other} or empty
 * @param ports where others are joined to it
 */
public record Connection(String network, String type, List<Port> ports) {
  /**
   * A place where two elements are joined.
   *
   * @param link the same on both of them, and on no others
   * @param at shared position, on the lowest inside point
   * @param out whether water leaves the element here
   */
  public record Port(String link, Position at, boolean out) {}

  public Connection {
    ports = List.copyOf(ports);
  }
}
