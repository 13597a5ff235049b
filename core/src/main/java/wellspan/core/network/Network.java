package wellspan.core.network;

import java.util.List;

/**
 * Chambers and the pipes between them.
 *
 * @param type {@code storm}, {@code sanitary}, {@code water}, {@code other} or empty
 */
public record Network(String name, String type, List<Chamber> chambers, List<Pipe> pipes) {
  public Network {
    chambers = List.copyOf(chambers);
    pipes = List.copyOf(pipes);
  }
}
