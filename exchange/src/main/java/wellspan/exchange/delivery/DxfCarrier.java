package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import wellspan.core.deliver.DeliveryFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.dxf.DxfReader;
import wellspan.exchange.dxf.write.DxfWriter;
import wellspan.exchange.dxf.write.LayerNames;

/** Carries every item on a layer of its own as a drawing. */
record DxfCarrier(DeliveryFormat.Dxf format) implements Carrier {
  private Map<String, String> names(Parcel parcel) {
    return FileNames.of(parcel, LayerNames.of(format.release()), false);
  }

  @Override
  public void write(Parcel parcel, Path file, String name, Clock clock, Progress progress)
      throws IOException {
    DxfWriter.write(parcel, format, names(parcel), file, progress);
  }

  /** A drawing has no codes of points, and no points without a level: both are told as a loss. */
  private static Received.Entry asSent(Received.Entry e, Map<String, Item> sent) {
    if (e.item() instanceof Item.PointGroup arrived
        && e.description().isPresent()
        && sent.get(e.description().get().globalId()) instanceof Item.PointGroup g
        && g.points().size() == arrived.points().size()) {
      List<Item.NamedPoint> points = new ArrayList<>();
      for (int i = 0; i < g.points().size(); i++) {
        Item.NamedPoint was = g.points().get(i), is = arrived.points().get(i);
        Position p = is.position();
        points.add(
            new Item.NamedPoint(
                is.name(),
                Double.isFinite(was.position().height())
                    ? p
                    : new Position(p.east(), p.north(), Double.NaN),
                was.code()));
      }
      return new Received.Entry(
          new Item.PointGroup(arrived.name(), points), e.layer(), e.description());
    }
    return e;
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Received read = DxfReader.read(file, progress);
    Received shared = Told.inShared(read, Told.frame(position), !read.unit().isEmpty());
    Received described = Told.described(shared, parcel, names(parcel), false);
    Map<String, Item> sent = new HashMap<>();
    parcel.pieces().forEach(p -> sent.put(p.description().globalId(), p.item()));
    return described.withEntries(
        described.entries().stream().map(e -> asSent(e, sent)).toList(), described.findings());
  }
}
