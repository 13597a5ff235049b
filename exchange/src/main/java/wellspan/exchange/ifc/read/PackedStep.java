package wellspan.exchange.ifc.read;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipFile;
import wellspan.exchange.file.ReadException;

/** The STEP file in a packed model ({@code .ifczip}). */
public final class PackedStep {
  private PackedStep() {}

  /** Whether a file is an archive with a STEP file in it. */
  public static boolean isPacked(Path file) throws IOException {
    if (!isArchive(file)) {
      return false;
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      return !models(zip).isEmpty();
    } catch (ZipException e) {
      return String.valueOf(file.getFileName()).toLowerCase(Locale.ROOT).endsWith(".ifczip");
    }
  }

  private static boolean isArchive(Path file) throws IOException {
    try (InputStream in = Files.newInputStream(file)) {
      byte[] head = in.readNBytes(4);
      return head.length == 4 && head[0] == 'P' && head[1] == 'K' && head[2] == 3 && head[3] == 4;
    }
  }

  private static List<? extends ZipEntry> models(ZipFile zip) {
    return zip.stream()
        .filter(e -> !e.isDirectory() && e.getName().toLowerCase(Locale.ROOT).endsWith(".ifc"))
        .toList();
  }

  /**
   * The bytes of a model, packed or not.
   *
   * @throws ReadException if an archive is damaged or holds several models
   */
  static byte[] bytes(Path file, long most) throws IOException {
    if (!isArchive(file)) {
      return Files.readAllBytes(file);
    }
    try (ZipFile zip = new ZipFile(file.toFile())) {
      List<? extends ZipEntry> models = models(zip);
      if (models.size() != 1) {
        throw new ReadException(
            file,
            "the archive holds "
                + models.size()
                + " models (.ifc) where one is expected. Unpack it, and receive them one by one.");
      }
      ZipEntry model = models.getFirst();
      try (InputStream in = zip.getInputStream(model)) {
        byte[] all = in.readNBytes((int) Math.min(most, Integer.MAX_VALUE - 16));
        if (in.read() >= 0) {
          throw new ReadException(
              file, "unpacked, the model has more than 2 000 MB. Ask for it in parts.");
        }
        return all;
      }
    } catch (ZipException e) {
      throw new ReadException(file, "the archive is damaged. Ask for the file again.", e);
    }
  }
}
