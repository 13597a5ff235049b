package wellspan.exchange.delivery;

import java.io.IOException;
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

  static List<Path> write(Parcel parcel, Path file, String position) throws IOException {
    String fileName = String.valueOf(file.getFileName());
    String base = FileStem.withoutEnding(fileName);
    Path json = file.resolveSibling(base + ".position.json");
    Path text = file.resolveSibling(base + ".position.txt");
    AtomicFile.write(json, position);
    AtomicFile.write(text, PositionFile.text(fileName, parcel.frame().withUnit(parcel.unit())));
    return List.of(json, text);
  }
}
