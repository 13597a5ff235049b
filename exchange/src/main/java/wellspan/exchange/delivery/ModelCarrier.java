package wellspan.exchange.delivery;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.Locale;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import wellspan.core.deliver.IfcFormat;
import wellspan.core.deliver.Parcel;
import wellspan.core.job.AtomicFile;
import wellspan.core.progress.Progress;
import wellspan.core.receive.Received;
import wellspan.exchange.ifc.read.IfcReader;
import wellspan.exchange.ifc.write.IfcWriter;

/** A model says everything itself, but where it lies if there is no system to say it in. */
record ModelCarrier(IfcFormat format) implements Carrier {
  @Override
  public void write(
      Parcel parcel,
      Map<String, String> pictures,
      Path file,
      String name,
      Clock clock,
      Progress progress)
      throws IOException {
    IfcWriter.write(parcel, pictures, file, name, clock, progress);
    if (name.toLowerCase(Locale.ROOT).endsWith(".ifczip")) {
      pack(file, name.substring(0, name.length() - "zip".length()));
    }
  }

  /** Puts a file into an archive in its own place. */
  private static void pack(Path file, String entry) throws IOException {
    Path packed = file.resolveSibling(file.getFileName() + ".packed");
    try (ZipOutputStream zip = new ZipOutputStream(Files.newOutputStream(packed))) {
      zip.putNextEntry(new ZipEntry(entry));
      Files.copy(file, zip);
      zip.closeEntry();
    } catch (IOException e) {
      Files.deleteIfExists(packed);
      throw e;
    }
    AtomicFile.move(packed, file);
  }

  @Override
  public Received readBack(Parcel parcel, Path file, String position, Progress progress)
      throws IOException {
    Received read = IfcReader.read(file, progress);
    return format.saysPlace(parcel.frame())
        ? read
        : ReadBack.inShared(read, ReadBack.frame(position), true);
  }
}
