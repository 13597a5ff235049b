package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.stream.Stream;
import wellspan.core.deliver.Parcel;
import wellspan.core.model.Model;
import wellspan.core.progress.Progress;
import wellspan.exchange.ifc.read.ModelReader;
import wellspan.exchange.ifc.write.IfcWriter;

/**
 * What a parcel would say as a model: written to a folder that goes again, and read like any file.
 */
public final class DeliveredModel {
  private DeliveredModel() {}

  /** Any thread; takes as long as writing and reading the model. */
  public static Model of(Parcel parcel, Progress progress) throws IOException {
    Path room = Files.createTempDirectory("wellspan");
    Path file = room.resolve("model.ifc");
    try {
      IfcWriter.write(parcel, file, "model.ifc", Clock.systemUTC(), progress.part(0, 0.5));
      return ModelReader.read(file, progress.part(0.5, 1));
    } finally {
      try (Stream<Path> all = Files.list(room)) {
        for (Path p : all.toList()) {
          Files.delete(p);
        }
      }
      Files.delete(room);
    }
  }
}
