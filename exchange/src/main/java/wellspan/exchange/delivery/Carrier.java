package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;

/**
 * How a parcel goes into a file of one format and comes back out of it. Holds no state: any thread
 * may use it.
 */
public interface Carrier {
  /** The format it writes. */
  DeliveryFormat format();

  /** Endings of the files that are written beside the main one and belong to it, without dot. */
  default List<String> companions() {
    return List.of();
  }

  /**
   * Writes a file.
   *
   * @param pictures names of the files beside it that hold pictures over surfaces, by piece
   * @param name what the file will be called
   */
  void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException;

  /**
   * Reads what was written, by the reader that serves any file of the format.
   *
   * @param position text of the position file that goes with the file
   * @return what the file holds, in shared coordinates, each item under the GlobalId it was sent
   *     with
   */
  Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException;
}
