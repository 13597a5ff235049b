package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import wellspan.core.deliver.Parcel;
import wellspan.core.frame.PositionFile;
import wellspan.core.geom.Box;
import wellspan.core.job.AtomicFile;
import wellspan.core.receive.FileStem;

/** Position files beside a written file that cannot say where it lies, named after it. */
final class PositionBeside {
  private PositionBeside() {}

  static String json(Parcel parcel, String fileName) {
    Box work = parcel.pieces().stream().map(p -> p.item().bounds()).reduce(Box.EMPTY, Box::union);
    return PositionFile.json(fileName, parcel.frame().withUnit(parcel.unit()), work);
  }

  /** The files beside a written one, under names of their own until it is proven. */
  record Fresh(Path json, Path text, Path jsonFresh, Path textFresh) {
    /** What is to be read back: the position as it stands on the disk. */
    String read() throws IOException {
      return Files.readString(jsonFresh);
    }

    /** Lets them take their place. */
    List<Path> keep() throws IOException {
      AtomicFile.move(jsonFresh, json);
      AtomicFile.move(textFresh, text);
      return List.of(json, text);
    }

    void discard() throws IOException {
      Files.deleteIfExists(jsonFresh);
      Files.deleteIfExists(textFresh);
    }
  }

  /**
   * @param file the delivered file, as it will be called
   */
  static Fresh write(Parcel parcel, Path file) throws IOException {
    String fileName = String.valueOf(file.getFileName());
    String base = FileStem.withoutEnding(fileName);
    Path json = file.resolveSibling(base + ".position.json");
    Path text = file.resolveSibling(base + ".position.txt");
    Fresh fresh = new Fresh(json, text, AtomicFile.fresh(json), AtomicFile.fresh(text));
    AtomicFile.write(fresh.jsonFresh, json(parcel, fileName));
    AtomicFile.write(
        fresh.textFresh, PositionFile.text(fileName, parcel.frame().withUnit(parcel.unit())));
    return fresh;
  }
}
