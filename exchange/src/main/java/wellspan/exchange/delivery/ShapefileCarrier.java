package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import wellspan.core.deliver.Parcel;
import wellspan.core.deliver.ShapefileFormat;
import wellspan.core.frame.Frame;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.file.UniqueNames;
import wellspan.exchange.shapefile.read.ShapefileReader;
import wellspan.exchange.shapefile.write.ShapefileWriter;

/** Carries lines as a shapefile; records are paired by their names. */
record ShapefileCarrier(ShapefileFormat format) implements Carrier {
  private static Map<String, String> names(Parcel parcel) {
    return new FileNames(p -> p.item().name(), n -> n, i -> "", new UniqueNames()).of(parcel);
  }

  @Override
  public List<String> companions() {
    return List.of("shx", "dbf", "prj", "cpg");
  }

  @Override
  public void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException {
    ShapefileWriter.write(parcel, names(parcel), file);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Received read = ShapefileReader.read(file, progress);
    Frame told = position.isEmpty() ? parcel.frame() : ReadBack.frame(position);
    return ReadBack.identified(
        position.isEmpty() ? read : ReadBack.inShared(read, told, false),
        parcel,
        names(parcel),
        i -> "",
        e -> e.name());
  }
}
