package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import wellspan.core.attribute.Description;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.PointListFormat;
import wellspan.core.frame.Frame;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.core.shape.NamedPoint;
import wellspan.core.shape.Shape;
import wellspan.exchange.points.read.PointListReader;
import wellspan.exchange.points.write.PointListWriter;

/**
 * Carries points as a list. Lists have no groups, classes, properties or identity, so points are
 * dealt to the groups they were sent in and the rest is taken as sent.
 */
record PointListCarrier(PointListFormat format) implements Carrier {
  @Override
  public void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException {
    PointListWriter.write(parcel, file);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    return inShared(parcel, ReadBack.frame(position), PointListReader.read(file, progress));
  }

  /** The list's points in shared coordinates, dealt to the groups they were sent in. */
  private static Received inShared(Parcel parcel, Frame told, Received list) {
    List<NamedPoint> all =
        list.items().stream()
            .flatMap(
                i ->
                    i.shape() instanceof Shape.Points g
                        ? g.points().stream()
                        : java.util.stream.Stream.empty())
            .toList();
    List<Item> entries = new ArrayList<>();
    double unit = told.unit().metres();
    int next = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      List<NamedPoint> points = new ArrayList<>();
      int wanted = piece.item().shape() instanceof Shape.Points g ? g.points().size() : 0;
      for (; wanted > 0 && next < all.size(); wanted--) {
        NamedPoint p = all.get(next++);
        Position local =
            new Position(
                p.position().east() * unit,
                p.position().north() * unit,
                p.position().level() * unit);
        points.add(new NamedPoint(p.name(), told.toShared(local), p.code()));
      }
      Description paired = Description.NONE.withGlobalId(piece.description().globalId());
      entries.add(Item.points(piece.item().name(), points).saying(paired));
    }
    if (next < all.size()) { // more came than were sent
      entries.add(Item.points("more points", all.subList(next, all.size())));
    }
    return new Received(
        list.format(),
        told.crs(),
        list.unit(),
        entries,
        list.counts(),
        list.findings().stream().filter(f -> f.isError()).toList(),
        List.of(PlaceStatement.ofFrame(50, "the position file", "", told)));
  }
}
