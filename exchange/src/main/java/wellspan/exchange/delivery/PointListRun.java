package wellspan.exchange.delivery;

import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.Proof;
import wellspan.core.deliver.Prover;
import wellspan.core.deliver.Receipt;
import wellspan.core.describe.Description;
import wellspan.core.frame.Frame;
import wellspan.core.frame.FrameJson;
import wellspan.core.frame.PositionFile;
import wellspan.core.geom.Box;
import wellspan.core.geom.Position;
import wellspan.core.item.Item;
import wellspan.core.job.AtomicFile;
import wellspan.core.job.Sha256;
import wellspan.core.progress.Progress;
import wellspan.core.receive.PlaceStatement;
import wellspan.core.receive.Received;
import wellspan.exchange.points.PointListReader;
import wellspan.exchange.points.PointListWriter;

/**
 * Writes points as a list with its position beside it, reads the list back and compares. Lists have
 * no classes, properties or identity, so these are taken as sent.
 */
public final class PointListRun {
  private PointListRun() {}

  public static DeliveryRun.Outcome run(String name, Parcel parcel, Path target, Clock clock)
      throws IOException {
    Instant begin = clock.instant();
    long nanos = System.nanoTime();
    Path folder = target.toAbsolutePath().getParent();
    Files.createDirectories(folder);
    Path fresh = folder.resolve(target.getFileName() + ".new");
    try {
      PointListWriter.write(parcel, fresh);
      String position = position(parcel, target);
      Frame told = FrameJson.read(new ObjectMapper().readTree(position).path("frame"));
      Received arrived = inShared(parcel, told, PointListReader.read(fresh, Progress.NONE));
      Proof proof = Prover.compare(parcel, arrived, Progress.NONE);
      Path kept = proof.pass() ? target : folder.resolve(target.getFileName() + ".unproven");
      AtomicFile.move(fresh, kept);
      List<Receipt.SentFile> files = new ArrayList<>();
      files.add(sent(kept));
      for (Path p : besides(parcel, kept, position)) {
        files.add(sent(p));
      }
      Receipt receipt =
          new Receipt(
              name,
              "point list",
              begin,
              (System.nanoTime() - nanos) / 1e9,
              parcel.frame(),
              files,
              Map.of(),
              proof);
      return new DeliveryRun.Outcome(receipt, parcel, arrived, kept);
    } finally {
      Files.deleteIfExists(fresh);
    }
  }

  private static Receipt.SentFile sent(Path p) throws IOException {
    return new Receipt.SentFile(String.valueOf(p.getFileName()), Files.size(p), Sha256.of(p));
  }

  private static String position(Parcel parcel, Path file) {
    Box work = parcel.pieces().stream().map(p -> p.item().bounds()).reduce(Box.EMPTY, Box::union);
    return PositionFile.json(
        String.valueOf(file.getFileName()), parcel.frame().withUnit(parcel.unit()), work);
  }

  /** Position files beside a file, named after it. */
  private static List<Path> besides(Parcel parcel, Path file, String position) throws IOException {
    String base = file.getFileName().toString().replaceFirst("\\.[^.]*$", "");
    Path json = file.resolveSibling(base + ".position.json");
    Path text = file.resolveSibling(base + ".position.txt");
    AtomicFile.write(json, position);
    AtomicFile.write(
        text,
        PositionFile.text(
            String.valueOf(file.getFileName()), parcel.frame().withUnit(parcel.unit())));
    return List.of(json, text);
  }

  /** The list's points in shared coordinates, dealt to the groups they were sent in. */
  private static Received inShared(Parcel parcel, Frame told, Received list) {
    List<Item.NamedPoint> all =
        list.items().stream()
            .flatMap(
                i ->
                    i instanceof Item.PointGroup g
                        ? g.points().stream()
                        : java.util.stream.Stream.empty())
            .toList();
    List<Received.Entry> entries = new ArrayList<>();
    double unit = told.unit().metres();
    int next = 0;
    for (Parcel.Piece piece : parcel.pieces()) {
      List<Item.NamedPoint> points = new ArrayList<>();
      int wanted = piece.item() instanceof Item.PointGroup g ? g.points().size() : 0;
      for (; wanted > 0 && next < all.size(); wanted--) {
        Item.NamedPoint p = all.get(next++);
        Position local =
            new Position(
                p.position().east() * unit,
                p.position().north() * unit,
                p.position().height() * unit);
        points.add(new Item.NamedPoint(p.name(), told.toShared(local), p.code()));
      }
      Description d = piece.description();
      entries.add(
          new Received.Entry(new Item.PointGroup(piece.item().name(), points), "", Optional.of(d)));
    }
    return new Received(
        list.format(),
        told.crs(),
        list.unit(),
        entries,
        list.counts(),
        List.of(),
        List.of(PlaceStatement.ofFrame(50, "the position file", "", told)));
  }
}
