package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.UUID;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.GlobalIds;
import wellspan.core.frame.Frame;
import wellspan.core.item.Item;
import wellspan.core.item.ItemId;
import wellspan.core.packing.Packing;
import wellspan.core.progress.Progress;
import wellspan.core.unit.LinearUnit;

/** One item delivered without a job, in metres. */
final class LooseDelivery {
  private LooseDelivery() {}

  static DeliveryRun.Outcome of(Item item, DeliveryFormat format, Frame frame, Path file)
      throws IOException {
    GlobalIds ids = new GlobalIds(new UUID(5, 6));
    return DeliveryRun.run(
        "d",
        Packing.loose(
            "p",
            format,
            frame,
            LinearUnit.METRE,
            ids,
            List.of(Packing.loosePiece(ids, ItemId.of("s", item), item, format, "f"))),
        file,
        Clock.systemUTC(),
        Progress.NONE);
  }
}
