package wellspan.exchange.bcf.read;

import java.util.List;

/**
 * A topic as it stands in a file.
 *
 * @param objects GlobalIds that its viewpoints select
 * @param cameras where its viewpoints look from: x, y, z in metres of the model's own coordinates
 * @param pictures number of snapshots that are there and not empty
 */
public record ReadTopic(
    String guid,
    String type,
    String status,
    String title,
    String description,
    List<String> objects,
    List<double[]> cameras,
    int pictures) {
  public ReadTopic {
    objects = List.copyOf(objects);
    cameras = List.copyOf(cameras);
  }
}
