package wellspan.core.attribute;

import java.util.List;
import java.util.Optional;
import wellspan.core.geom.Position;

/**
 * What an element of a network is joined to.
 *
 * @param network name of the network
 * @param type {@code storm}, {@code sanitary}, {@code water}, {@code other} or empty; of a received
 *     model that has none of these what it says itself
 * @param ports where others are joined to it
 */
public record Connection(String network, String type, List<Port> ports) {
  /** Which way water runs through a port, seen from its element. */
  public enum Flow {
    IN,
    OUT,
    BOTH,
    UNSTATED
  }

  /**
   * A place where two elements are joined.
   *
   * @param link the same on both of them, and on no others
   * @param at shared position, on the lowest inside point
   * @param received as what it was received, where it was; then with its own name
   */
  public record Port(String link, Position at, Flow flow, Optional<Holder> received) {
    /** One that is made here. */
    public Port(String link, Position at, Flow flow) {
      this(link, at, flow, Optional.empty());
    }

    /** The same elsewhere. */
    public Port at(Position other) {
      return new Port(link, other, flow, received);
    }
  }

  public Connection {
    ports = List.copyOf(ports);
  }
}
