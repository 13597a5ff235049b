package wellspan.exchange.bcf.write;

import java.util.List;
import java.util.UUID;

/**
 * One topic.
 *
 * @param type {@code Requirement} or {@code Finding}
 * @param guid the same whenever the same is found again
 * @param objects GlobalIds of what it is about, selected in its viewpoint
 * @param picture PNG of what the viewpoint shows
 */
public record BcfTopic(
    String type,
    UUID guid,
    String title,
    String description,
    List<String> objects,
    Viewpoint viewpoint,
    byte[] picture) {

  /**
   * A view straight down, in metres of the model's own coordinates.
   *
   * @param height visible height, metres
   * @param aspect width over height
   */
  public record Viewpoint(double x, double y, double z, double height, double aspect) {}

  public BcfTopic {
    objects = List.copyOf(objects);
  }
}
